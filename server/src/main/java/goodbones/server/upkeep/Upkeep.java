package goodbones.server.upkeep;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.LoggerContext;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What {@code good-bones backup} and {@code restore} do where the application does not run: {@code
 * backup DATA FILE} or {@code restore DATA FILE}. Ends with 1 and a sentence on the error output if
 * it cannot.
 */
final class Upkeep {
  private static final DateTimeFormatter NOW = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");

  private Upkeep() {}

  /** See the class. */
  public static void main(String[] args) {
    if (LoggerFactory.getILoggerFactory() instanceof LoggerContext logs) {
      // What is said is said in a sentence.
      logs.getLogger(Logger.ROOT_LOGGER_NAME).setLevel(Level.OFF);
    }
    try {
      Path data = Path.of(args[1]).toAbsolutePath();
      Path file = Path.of(args[2]).toAbsolutePath();
      System.out.println(args[0].equals("backup") ? backup(data, file) : restore(data, file));
    } catch (IOException | SQLException | CannotStart cannot) {
      System.err.println(cannot.getMessage());
      System.exit(1);
    }
  }

  static String backup(Path data, Path file) throws IOException, SQLException {
    if (!hasDatabase(data)) {
      throw new IOException("There is nothing to back up in " + data);
    }
    try (Connection database = Tables.open(data)) {
      return "Backed up to " + file + " and read back: " + BackupFile.write(database, file);
    } catch (SQLException inUse) {
      throw inUse(data, inUse);
    }
  }

  /** What is in the folder is moved aside, not overwritten. */
  static String restore(Path data, Path file) throws IOException, SQLException {
    String at = LocalDateTime.now().format(NOW);
    if (hasDatabase(data)) {
      requireUnused(data);
    }
    Path restored = data.resolveSibling(data.getFileName() + "-restoring-" + at);
    DataFolder.keepToOneself(restored);
    BackupFile.Found found;
    try {
      found = new BackupReader(file).into(restored);
    } catch (IOException | SQLException | RuntimeException failed) {
      BackupFile.delete(restored);
      throw failed;
    }
    String aside = "";
    if (Files.exists(data)) {
      Path before = data.resolveSibling(data.getFileName() + "-before-" + at);
      Files.move(data, before);
      aside = "; what was there is in " + before;
    }
    Files.move(restored, data);
    return "Restored " + found + " to " + data + aside;
  }

  private static boolean hasDatabase(Path data) {
    return Files.exists(data.resolve(Tables.DATABASE + ".mv.db"));
  }

  private static void requireUnused(Path data) throws IOException {
    try (Connection alone = Tables.open(data)) {
      alone.isValid(1);
    } catch (SQLException inUse) {
      throw inUse(data, inUse);
    }
  }

  private static IOException inUse(Path data, SQLException why) {
    return new IOException("The data in " + data + " is in use; stop Good Bones there first", why);
  }
}
