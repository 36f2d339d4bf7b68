package goodbones.server.problems;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/**
 * Answers what a filter or a servlet refused, and whoever asks for the address of errors itself.
 */
@Controller
class ErrorAnswers implements ErrorController {
  private final Problems problems;

  ErrorAnswers(Problems problems) {
    this.problems = problems;
  }

  @RequestMapping("/error")
  void answer(HttpServletRequest request, HttpServletResponse response) throws IOException {
    boolean refused =
        request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
            && HttpStatus.resolve(code) != null;
    int status =
        refused ? (Integer) request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) : 404;
    problems.write(
        response,
        HttpStatus.valueOf(status),
        Refusals.type(status),
        Refusals.title(status),
        Refusals.reason(status));
  }
}
