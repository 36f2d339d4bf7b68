package goodbones.server.api;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.web.HttpMediaTypeNotAcceptableException;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * What writes answers in JSON. A request that takes no JSON is refused before anything is written,
 * not when its answer cannot be given.
 */
@Configuration
class AnswerableFirst implements WebMvcConfigurer {
  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry
        .addInterceptor(
            new HandlerInterceptor() {
              @Override
              public boolean preHandle(
                  HttpServletRequest request, HttpServletResponse response, Object handler)
                  throws HttpMediaTypeNotAcceptableException {
                requireJsonTaken(request);
                return true;
              }
            })
        .addPathPatterns("/api/**");
  }

  private static void requireJsonTaken(HttpServletRequest request)
      throws HttpMediaTypeNotAcceptableException {
    String accepted = request.getHeader(HttpHeaders.ACCEPT);
    if (accepted == null || request.getMethod().equals("GET")) {
      return;
    }
    boolean taken =
        MediaType.parseMediaTypes(accepted).stream()
            .anyMatch(type -> type.isCompatibleWith(MediaType.APPLICATION_JSON));
    if (!taken) {
      throw new HttpMediaTypeNotAcceptableException(List.of(MediaType.APPLICATION_JSON));
    }
  }
}
