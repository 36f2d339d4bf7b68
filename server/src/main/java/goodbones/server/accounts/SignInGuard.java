package goodbones.server.accounts;

import goodbones.server.problems.Problems;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets nobody try passwords faster than {@link Attempts} allow. */
final class SignInGuard extends OncePerRequestFilter {
  static final String PATH = "/api/sign-in";
  private final Attempts attempts;
  private final Problems problems;

  SignInGuard(Attempts attempts, Problems problems) {
    this.attempts = attempts;
    this.problems = problems;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !PATH.equals(request.getRequestURI()) || !"POST".equals(request.getMethod());
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String name = request.getParameter("username");
    Duration left = attempts.begin(name == null ? "" : name, request.getRemoteAddr());
    if (left.isZero()) {
      chain.doFilter(request, response);
      return;
    }
    TooManyAttempts refused = new TooManyAttempts(left);
    response.setHeader("Retry-After", String.valueOf(refused.seconds()));
    problems.write(
        response,
        HttpStatus.TOO_MANY_REQUESTS,
        "too-many-attempts",
        TooManyAttempts.TITLE,
        String.valueOf(refused.getMessage()));
  }
}
