package goodbones.server.problems;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses requests that say that they are larger than anything that is sent here. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class SizeLimit extends OncePerRequestFilter {
  private static final long MOST_BYTES = 10L * 1024 * 1024;
  private final Problems problems;

  SizeLimit(Problems problems) {
    this.problems = problems;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getContentLengthLong() <= MOST_BYTES) {
      chain.doFilter(request, response);
      return;
    }
    problems.write(
        response,
        HttpStatus.CONTENT_TOO_LARGE,
        "bad-input",
        "This is too large",
        "What was sent has "
            + request.getContentLengthLong() / 1024
            + " KB; at most "
            + MOST_BYTES / 1024
            + " fit. Nothing was changed");
  }
}
