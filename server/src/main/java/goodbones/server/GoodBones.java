package goodbones.server;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Starts the application. */
@SpringBootApplication
public class GoodBones {
  public static void main(String[] args) {
    // Otherwise a connection that was used in the last half second is not tried when it is
    // borrowed.
    System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
    SpringApplication.run(GoodBones.class, args);
  }

  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
