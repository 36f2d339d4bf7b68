package goodbones.server;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Starts the application. */
@SpringBootApplication
public class GoodBones {
  public static void main(String[] args) {
    SpringApplication.run(GoodBones.class, args);
  }

  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
