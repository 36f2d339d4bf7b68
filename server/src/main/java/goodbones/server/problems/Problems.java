package goodbones.server.problems;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes problem details where no controller was reached: in filters, and for faults of servlets.
 */
@Component
public class Problems {
  private final JsonMapper mapper;

  Problems(JsonMapper mapper) {
    this.mapper = mapper;
  }

  /** Answers with a problem in words, whatever the request says that it accepts. */
  public void write(
      HttpServletResponse response, HttpStatus status, String type, String title, String detail)
      throws IOException {
    if (response.isCommitted()) {
      return;
    }
    ProblemDetail problem = ProblemAdvice.problem(status, type, title, detail);
    Map<String, Object> body = new LinkedHashMap<>();
    body.put("type", String.valueOf(problem.getType()));
    body.put("title", title);
    body.put("status", status.value());
    body.put("detail", detail);
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding(StandardCharsets.UTF_8);
    response.getWriter().write(mapper.writeValueAsString(body));
  }
}
