package goodbones.server;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import javax.sql.DataSource;
import org.h2.store.fs.FileUtils;
import org.h2.tools.Restore;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.test.util.TestPropertyValues;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Gives every server a database of its own with the demo data, in memory. The first one is filled
 * as any is; the others begin as copies of what it held then, which takes a small part of the time.
 */
final class FilledDatabase
    implements ApplicationContextInitializer<ConfigurableApplicationContext> {
  private static final String FILES = "memFS:/good-bones/";
  private static final String NAME = "data";
  private static final Set<String> KEPT = new HashSet<>();
  private static final Map<ConfigurableApplicationContext, String> GIVEN = new HashMap<>();

  @Override
  public void initialize(ConfigurableApplicationContext context) {
    String kept = FILES + context.getEnvironment().getProperty("goodbones.demo.work") + ".zip";
    String folder = FILES + UUID.randomUUID();
    dropClosed();
    GIVEN.put(context, folder);
    if (KEPT.contains(kept)) {
      Restore.execute(kept, folder, NAME);
    } else {
      context.addApplicationListener(
          (ApplicationListener<ApplicationReadyEvent>)
              ready -> {
                keep(context.getBean(DataSource.class), kept);
                KEPT.add(kept);
              });
    }
    TestPropertyValues.of("spring.datasource.url=jdbc:h2:" + folder + "/" + NAME).applyTo(context);
  }

  /** What servers of before had would fill the memory. */
  private static void dropClosed() {
    GIVEN
        .entrySet()
        .removeIf(
            given -> {
              boolean closed = !given.getKey().isActive();
              if (closed) {
                FileUtils.deleteRecursive(given.getValue(), true);
              }
              return closed;
            });
  }

  private static void keep(DataSource filled, String file) {
    try (Connection connection = filled.getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute("BACKUP TO '" + file + "'");
    } catch (SQLException e) {
      throw new IllegalStateException("what the demo filled could not be kept in " + file, e);
    }
  }
}
