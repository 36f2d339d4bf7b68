package goodbones.server.problems;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;

/** What the container itself refuses is told as a problem too (RFC 9457). */
@Component
class ContainerAnswers implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    factory.addContextCustomizers(
        context ->
            ((StandardHost) context.getParent()).setErrorReportValveClass(Valve.class.getName()));
  }

  /** Made by the container, by its name. */
  public static final class Valve extends ErrorReportValve {
    @Override
    protected void report(Request request, Response response, Throwable thrown) {
      int status = response.getStatus();
      if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
        return;
      }
      String body =
          "{\"type\":\"urn:good-bones:problem:"
              + Refusals.type(status)
              + "\",\"title\":\""
              + Refusals.title(status)
              + "\",\"status\":"
              + status
              + ",\"detail\":\""
              + Refusals.reason(status)
              + "\"}";
      try {
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        response.getReporter().write(body);
        response.finishResponse();
      } catch (IOException | IllegalStateException gone) {
        // Nobody is there to read it any more.
      }
    }
  }
}
