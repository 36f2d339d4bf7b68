package goodbones.server.problems;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses requests that are larger than anything that is sent here. What is sent is counted as it
 * is read: a body may come in chunks and say no length. What strangers may send is short.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class SizeLimit extends OncePerRequestFilter {
  private static final long MOST_BYTES = 10L * 1024 * 1024;

  /** Says in a request that its body was longer than it may be. */
  static final String OVER = SizeLimit.class.getName() + ".over";

  private static final int LONGEST_ADDRESS = 4_000;
  private static final long MOST_OF_STRANGERS = 16L * 1024;

  /** Where a body is read before it is known who sends it. */
  private static final List<String> OPEN =
      List.of("/api/session", "/api/sign-in", "/api/sign-out", "/control/", "/error");

  private final Problems problems;

  SizeLimit(Problems problems) {
    this.problems = problems;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getRequestURI().length() > LONGEST_ADDRESS) {
      problems.write(
          response,
          HttpStatus.URI_TOO_LONG,
          Refusals.type(414),
          Refusals.title(414),
          Refusals.reason(414));
      return;
    }
    long most =
        OPEN.stream().anyMatch(request.getRequestURI()::startsWith)
            ? MOST_OF_STRANGERS
            : MOST_BYTES;
    if (request.getContentLengthLong() > most) {
      refuse(response, most);
      return;
    }
    Counted counted = new Counted(request, most);
    try {
      chain.doFilter(counted, response);
    } catch (IOException | ServletException | RuntimeException failed) {
      if (!counted.isOver()) {
        throw failed;
      }
    }
    if (counted.isOver()) {
      if (!response.isCommitted()) {
        response.reset();
      }
      refuse(response, most);
    }
  }

  private void refuse(HttpServletResponse response, long most) throws IOException {
    // What is left of the body is not waited for.
    response.setHeader("Connection", "close");
    problems.write(
        response, HttpStatus.CONTENT_TOO_LARGE, "bad-input", "This is too large", said(most));
  }

  static String said(long most) {
    return "At most " + most / 1024 + " KB fit. Nothing was changed";
  }

  /** A request whose body ends in a fault where it is longer than allowed. */
  private static final class Counted extends HttpServletRequestWrapper {
    private final long most;
    private long read;

    Counted(HttpServletRequest request, long most) {
      super(request);
      this.most = most;
    }

    boolean isOver() {
      return read > most;
    }

    private void count(int bytes) throws IOException {
      read += Math.max(0, bytes);
      if (isOver()) {
        setAttribute(OVER, most);
        throw new IOException("the body is longer than " + most + " bytes");
      }
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      ServletInputStream in = super.getInputStream();
      return new ServletInputStream() {
        @Override
        public int read() throws IOException {
          int next = in.read();
          count(next < 0 ? 0 : 1);
          return next;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
          int some = in.read(into, from, length);
          count(some);
          return some;
        }

        @Override
        public boolean isFinished() {
          return in.isFinished();
        }

        @Override
        public boolean isReady() {
          return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
          in.setReadListener(listener);
        }
      };
    }

    @Override
    public BufferedReader getReader() throws IOException {
      String named = getCharacterEncoding();
      Charset charset = named == null ? StandardCharsets.UTF_8 : Charset.forName(named);
      return new BufferedReader(new InputStreamReader(getInputStream(), charset));
    }
  }
}
