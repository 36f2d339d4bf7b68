package goodbones.server.patience;

import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.webmvc.autoconfigure.WebMvcRegistrations;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerAdapter;
import org.springframework.web.servlet.mvc.method.annotation.ServletInvocableHandlerMethod;

/**
 * Calls the controllers, and calls them again where a lock could not be had, a version was
 * overtaken or two inserted the same. Everything that a request writes is one transaction, so what
 * failed has left nothing behind, and the next try sees what the other one wrote: it merges, is
 * refused in words, or goes through.
 */
@Component
class PatientHandlers implements WebMvcRegistrations {
  private static final Logger LOG = LoggerFactory.getLogger(PatientHandlers.class);
  private static final int TRIES = 6;
  private static final int PAUSE_MS = 25;

  @Override
  public RequestMappingHandlerAdapter getRequestMappingHandlerAdapter() {
    return new RequestMappingHandlerAdapter() {
      @Override
      protected ServletInvocableHandlerMethod createInvocableHandlerMethod(HandlerMethod method) {
        return new Patient(method);
      }
    };
  }

  private static final class Patient extends ServletInvocableHandlerMethod {
    Patient(HandlerMethod method) {
      super(method);
    }

    @Override
    protected @Nullable Object doInvoke(@Nullable Object... args) throws Exception {
      for (int attempt = 1; ; attempt++) {
        try {
          return super.doInvoke(args);
        } catch (ConcurrencyFailureException | DataIntegrityViolationException met) {
          if (attempt == TRIES) {
            throw met;
          }
          LOG.debug("Trying {} again after {}", getMethod().getName(), met.toString());
          pause(attempt);
        }
      }
    }

    /** Longer from try to try and never the same, so that two that met do not meet again. */
    private static void pause(int attempt) throws InterruptedException {
      int most = PAUSE_MS << attempt;
      TimeUnit.MILLISECONDS.sleep(ThreadLocalRandom.current().nextInt(PAUSE_MS, most));
    }
  }
}
