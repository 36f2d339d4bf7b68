package goodbones.server.upkeep;

import java.nio.file.Path;
import org.springframework.boot.EnvironmentPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.core.env.ConfigurableEnvironment;

/**
 * Before anything is opened: the folder of the data is there, ours alone, and can be written to.
 */
final class OwnFolder implements EnvironmentPostProcessor {
  @Override
  public void postProcessEnvironment(
      ConfigurableEnvironment environment, SpringApplication application) {
    String url = environment.getProperty("spring.datasource.url", "");
    String folder = environment.getProperty("goodbones.data", "");
    if (!folder.isEmpty() && url.startsWith("jdbc:h2:file:" + folder + "/")) {
      DataFolder.keepToOneself(Path.of(folder));
    }
  }
}
