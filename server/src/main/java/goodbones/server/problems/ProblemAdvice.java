package goodbones.server.problems;

import goodbones.document.Refused;
import goodbones.library.AsksFirst;
import goodbones.library.UnknownPiece;
import goodbones.style.TokenProblem;
import java.net.URI;
import java.nio.file.InvalidPathException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.validation.FieldError;
import org.springframework.web.HttpMediaTypeNotAcceptableException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;

/** Turns errors into problem details (RFC 9457). */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {

  @ExceptionHandler
  ProblemDetail refused(Refused refused) {
    ProblemDetail problem =
        problem(
            HttpStatus.UNPROCESSABLE_CONTENT, "refused", "This does not fit", refused.getMessage());
    problem.setProperty(
        "faults",
        refused.faults().stream()
            .map(
                fault ->
                    Map.of(
                        "node", fault.node().value(),
                        "title", fault.nodeTitle(),
                        "message", fault.message()))
            .toList());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail token(TokenProblem token) {
    ProblemDetail problem =
        problem(
            HttpStatus.UNPROCESSABLE_CONTENT,
            "token",
            "This token cannot be used",
            token.getMessage());
    problem.setProperty("chain", token.chain() == null ? List.of() : token.chain());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail badInput(BadInput bad) {
    ProblemDetail problem =
        problem(
            HttpStatus.UNPROCESSABLE_CONTENT,
            "bad-input",
            "This cannot be taken",
            bad.getMessage());
    problem.setProperty("field", bad.field());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail illegal(IllegalArgumentException illegal) {
    return problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "bad-input",
        "This cannot be taken",
        illegal.getMessage());
  }

  @ExceptionHandler
  ProblemDetail notFound(NotFound missing) {
    return problem(HttpStatus.NOT_FOUND, "not-found", "Not found", missing.getMessage());
  }

  @ExceptionHandler
  ProblemDetail unknownPiece(UnknownPiece missing) {
    return problem(HttpStatus.NOT_FOUND, "not-found", "Not found", missing.getMessage());
  }

  @ExceptionHandler
  ProblemDetail stale(Stale stale) {
    return problem(HttpStatus.CONFLICT, "stale", "Changed meanwhile", stale.getMessage());
  }

  @ExceptionHandler
  ProblemDetail sameNode(SameNode same) {
    return problem(HttpStatus.CONFLICT, "same-node", "Both changed the same", same.getMessage());
  }

  @ExceptionHandler
  ProblemDetail asksFirst(AsksFirst asks) {
    return problem(HttpStatus.CONFLICT, "asks-first", "The library changed it", asks.getMessage());
  }

  @ExceptionHandler
  ProblemDetail locked(OptimisticLockingFailureException locked) {
    return stale(new Stale("This"));
  }

  /** After several tries; see the package {@code patience}. */
  @ExceptionHandler({
    PessimisticLockingFailureException.class,
    DataIntegrityViolationException.class
  })
  ProblemDetail busy(RuntimeException met) {
    Optional<String> tooLong = TooLong.said(met);
    if (tooLong.isPresent()) {
      return problem(
          HttpStatus.UNPROCESSABLE_CONTENT, "bad-input", "This cannot be taken", tooLong.get());
    }
    logger.warn("A request met others at the same place until it gave up", met);
    return problem(
        HttpStatus.CONFLICT,
        "busy",
        "Others are at work here",
        "Somebody else was changing the same thing just now, several times over. Nothing of yours was"
            + " kept and nothing of theirs overwritten: do it again in a moment");
  }

  /** Something nested so deep that no walk comes to its end. */
  @ExceptionHandler
  ProblemDetail tooDeep(StackOverflowError deep) {
    logger.warn("A request is nested too deep");
    return problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "bad-input",
        "This cannot be taken",
        "It is nested too deep; nothing was changed");
  }

  /** A header is looked at only when somebody asks for it. */
  @ExceptionHandler
  ProblemDetail rejected(RequestRejectedException rejected) {
    return problem(
        HttpStatus.BAD_REQUEST,
        Refusals.type(HttpStatus.BAD_REQUEST.value()),
        Refusals.title(HttpStatus.BAD_REQUEST.value()),
        Refusals.reason(HttpStatus.BAD_REQUEST.value()));
  }

  @ExceptionHandler
  ProblemDetail noRoom(NoRoom full) {
    return noRoom(String.valueOf(full.getMessage()));
  }

  private static ProblemDetail noRoom(String detail) {
    return problem(HttpStatus.INSUFFICIENT_STORAGE, "no-room", "The disk is full", detail);
  }

  @ExceptionHandler
  ProblemDetail fault(RuntimeException failed) {
    if (NoRoom.isWhy(failed)) {
      logger.error("A request found the disk full", failed);
      return noRoom(NoRoom.FULL);
    }
    logger.error("A request failed", failed);
    return problem(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "fault",
        "Something went wrong here",
        "This is a fault of the application, not of what you did. What was saved before is kept;"
            + " try again");
  }

  /** What annotations say of the parts of a request (Jakarta Validation). */
  @Override
  protected org.springframework.http.@Nullable ResponseEntity<Object> handleMethodArgumentNotValid(
      MethodArgumentNotValidException e,
      org.springframework.http.HttpHeaders headers,
      org.springframework.http.HttpStatusCode status,
      org.springframework.web.context.request.WebRequest request) {
    String said =
        e.getBindingResult().getFieldErrors().stream()
            .map(ProblemAdvice::said)
            .sorted()
            .collect(Collectors.joining("; "));
    return org.springframework.http.ResponseEntity.unprocessableContent()
        .body(problem(HttpStatus.UNPROCESSABLE_CONTENT, "bad-input", "This cannot be taken", said));
  }

  private static String said(FieldError fault) {
    String message = String.valueOf(fault.getDefaultMessage());
    boolean sentence = Character.isUpperCase(message.charAt(0));
    return sentence ? message : "“" + fault.getField() + "” " + message;
  }

  /** A request that is no JSON, or has something in it that the description of the API does not. */
  @Override
  protected org.springframework.http.@Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      org.springframework.http.HttpHeaders headers,
      org.springframework.http.HttpStatusCode status,
      org.springframework.web.context.request.WebRequest request) {
    Object over =
        request.getAttribute(
            SizeLimit.OVER,
            org.springframework.web.context.request.RequestAttributes.SCOPE_REQUEST);
    if (over instanceof Long most) {
      return org.springframework.http.ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
          .body(
              problem(
                  HttpStatus.CONTENT_TOO_LARGE,
                  "bad-input",
                  "This is too large",
                  SizeLimit.said(most)));
    }
    return org.springframework.http.ResponseEntity.badRequest()
        .body(
            problem(
                HttpStatus.BAD_REQUEST,
                "bad-input",
                "This request cannot be read",
                e.getCause() instanceof JacksonException json ? unreadable(json) : "It is empty"));
  }

  private static String unreadable(JacksonException json) {
    if (json instanceof InvalidFormatException wrong) {
      String what = "“" + wrong.getValue() + "” cannot be “" + where(json) + "”";
      return wrong.getTargetType().isEnum()
          ? what + "; it is one of " + List.of(wrong.getTargetType().getEnumConstants())
          : what;
    }
    if (json instanceof InvalidTypeIdException unknown) {
      return "“"
          + unknown.getTypeId()
          + "” is no “type” of “"
          + where(json)
          + "”; it is one of "
          + Choices.of(unknown.getBaseType().getRawClass())
              .map(Choices::word)
              .collect(Collectors.joining(", "));
    }
    if (json instanceof StreamReadException) {
      return "It is no JSON: " + json.getOriginalMessage();
    }
    String what = json.getPath().isEmpty() ? "It" : "“" + where(json) + "”";
    return what + " is missing, or of another kind than it has to be";
  }

  /** The names of the parts that lead to what cannot be read. */
  private static String where(JacksonException json) {
    return json.getPath().stream()
        .map(
            part ->
                part.getPropertyName() == null
                    ? String.valueOf(part.getIndex())
                    : part.getPropertyName())
        .collect(Collectors.joining("."));
  }

  @Override
  protected org.springframework.http.@Nullable ResponseEntity<Object>
      handleMaxUploadSizeExceededException(
          MaxUploadSizeExceededException e,
          org.springframework.http.HttpHeaders headers,
          org.springframework.http.HttpStatusCode status,
          org.springframework.web.context.request.WebRequest request) {
    return org.springframework.http.ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
        .body(
            problem(
                HttpStatus.CONTENT_TOO_LARGE,
                "bad-input",
                "This file is too large",
                "A file may have at most 8 MB; save it smaller and bring it in again"));
  }

  /** What is not to be had in the form asked for is said as a problem, whatever was asked for. */
  @Override
  protected org.springframework.http.@Nullable ResponseEntity<Object>
      handleHttpMediaTypeNotAcceptable(
          HttpMediaTypeNotAcceptableException e,
          org.springframework.http.HttpHeaders headers,
          org.springframework.http.HttpStatusCode status,
          org.springframework.web.context.request.WebRequest request) {
    return org.springframework.http.ResponseEntity.status(HttpStatus.NOT_ACCEPTABLE)
        .contentType(org.springframework.http.MediaType.APPLICATION_PROBLEM_JSON)
        .body(
            problem(
                HttpStatus.NOT_ACCEPTABLE, "bad-input", Refusals.title(406), Refusals.reason(406)));
  }

  /** A form with files that has no boundary, is cut off, or is otherwise none. */
  @ExceptionHandler
  ProblemDetail brokenForm(MultipartException broken) {
    return problem(
        HttpStatus.BAD_REQUEST,
        "bad-input",
        "This request cannot be read",
        "It says that it is a form with files and is none, or it was cut off; send it again."
            + " Nothing was changed");
  }

  @ExceptionHandler
  ProblemDetail wrongPath(InvalidPathException wrong) {
    return problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "bad-input",
        "This cannot be taken",
        "A file's name holds a character that no name can have; rename it");
  }

  static ProblemDetail problem(
      HttpStatus status, String type, String title, @Nullable String detail) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(status, detail == null ? title : detail);
    problem.setType(URI.create("urn:good-bones:problem:" + type));
    problem.setTitle(title);
    return problem;
  }
}
