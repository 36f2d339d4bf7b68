package goodbones.server.upkeep;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the data has to be like before the application works with it. */
@Configuration
class DataFolder {
  /** Data of a later version is neither read nor written: this one does not know what is in it. */
  @Bean
  FlywayMigrationStrategy migrating() {
    return DataFolder::migrate;
  }

  static void migrate(Flyway flyway) {
    for (MigrationInfo each : flyway.info().applied()) {
      if (each.getState() == MigrationState.FUTURE_SUCCESS
          || each.getState() == MigrationState.FUTURE_FAILED) {
        throw new CannotStart(
            "The data was made by a later version of Good Bones (its form is "
                + flyway.info().current().getVersion()
                + "; this version knows none later than "
                + latestKnown(flyway)
                + "); start that version, or choose another folder with --data.");
      }
    }
    flyway.migrate();
  }

  private static String latestKnown(Flyway flyway) {
    String latest = "0";
    for (MigrationInfo each : flyway.info().all()) {
      if (each.getState().isResolved() && each.getVersion() != null) {
        latest = each.getVersion().toString();
      }
    }
    return latest;
  }

  /**
   * Nobody else on the machine reads what is written from now on.
   *
   * @throws CannotStart if the folder cannot be written to
   */
  static void keepToOneself(Path folder) {
    try {
      Files.createDirectories(folder);
      if (!Files.isWritable(folder)) {
        throw new CannotStart(
            "The folder " + folder + " cannot be written to; choose another one with --data.");
      }
      if (folder.getFileSystem().supportedFileAttributeViews().contains("posix")) {
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx------"));
      }
    } catch (IOException e) {
      throw new CannotStart(
          "The folder " + folder + " cannot be made or read; choose another one with --data.");
    }
  }
}
