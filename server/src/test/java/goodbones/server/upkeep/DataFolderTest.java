package goodbones.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** What data is opened, who else may read it, and what is said where it cannot be. */
class DataFolderTest {
  @TempDir private Path folder;

  private static Flyway flyway(String url) {
    return Flyway.configure()
        .dataSource(url, "sa", "")
        .ignoreMigrationPatterns("*:future", "*:missing")
        .load();
  }

  @Test
  void dataOfALaterVersionIsNotTouched() throws SQLException {
    String url = "jdbc:h2:mem:later;DB_CLOSE_DELAY=-1";
    flyway(url).migrate();
    DataFolder.migrate(flyway(url));
    try (Connection database = DriverManager.getConnection(url, "sa", "");
        Statement sql = database.createStatement()) {
      sql.execute(
          "insert into \"flyway_schema_history\" select 999, '999', 'later', 'SQL',"
              + " 'V999__later.sql', 1, 'sa', now(), 1, true");
    }
    assertThatThrownBy(() -> DataFolder.migrate(flyway(url)))
        .isInstanceOf(CannotStart.class)
        .hasMessageContaining("later version")
        .hasMessageContaining("999");
  }

  @Test
  void theFolderIsOursAlone() throws IOException {
    Path data = folder.resolve("data");
    DataFolder.keepToOneself(data);
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(data)))
        .isEqualTo("rwx------");
  }

  @Test
  void aSecondServerOnOneFolderIsToldInASentence() throws SQLException {
    String url = "jdbc:h2:file:" + folder.resolve("good-bones");
    try (Connection first = DriverManager.getConnection(url, "sa", "")) {
      assertThat(first.isValid(1)).isTrue();
      // Another process holds the lock of the file; within one it is the same database.
      SQLException taken = new SQLException("locked", "90020", 90020);
      FailureAnalysis said = new StartFaults().analyze(new IllegalStateException(taken));
      assertThat(said).isNotNull();
      assertThat(said.getDescription()).contains("Another Good Bones is running on this data");
    }
  }
}
