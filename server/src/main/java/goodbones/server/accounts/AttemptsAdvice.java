package goodbones.server.accounts;

import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Tells whoever tries too fast how long to wait. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class AttemptsAdvice {
  @ExceptionHandler
  ResponseEntity<ProblemDetail> tooMany(TooManyAttempts refused) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.TOO_MANY_REQUESTS, String.valueOf(refused.getMessage()));
    problem.setTitle(TooManyAttempts.TITLE);
    return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
        .header(HttpHeaders.RETRY_AFTER, String.valueOf(refused.seconds()))
        .body(problem);
  }
}
