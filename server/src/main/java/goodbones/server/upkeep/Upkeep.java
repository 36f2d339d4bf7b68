package goodbones.server.upkeep;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;

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
    try {
      Path data = Path.of(args[1]).toAbsolutePath();
      Path file = Path.of(args[2]).toAbsolutePath();
      System.out.println(args[0].equals("backup") ? backup(data, file) : restore(data, file));
    } catch (IOException | SQLException cannot) {
      System.err.println(cannot.getMessage());
      System.exit(1);
    }
  }

  static String backup(Path data, Path file) throws IOException, SQLException {
    if (!Files.exists(data.resolve(BackupFile.DATABASE + ".mv.db"))) {
      throw new IOException("There is nothing to back up in " + data);
    }
    try (Connection database = DriverManager.getConnection(BackupFile.url(data), "sa", "")) {
      return "Backed up to " + file + " and read back: " + BackupFile.write(database, file);
    }
  }

  /** What is in the folder is moved aside, not overwritten. */
  static String restore(Path data, Path file) throws IOException, SQLException {
    BackupFile.Found found = BackupFile.check(file);
    String aside = "";
    if (Files.exists(data.resolve(BackupFile.DATABASE + ".mv.db"))) {
      requireUnused(data);
      Path before =
          data.resolveSibling(data.getFileName() + "-before-" + LocalDateTime.now().format(NOW));
      Files.move(data, before);
      aside = "; what was there is in " + before;
    }
    Files.createDirectories(data);
    BackupFile.unpack(file, data);
    return "Restored " + found + " to " + data + aside;
  }

  private static void requireUnused(Path data) throws IOException {
    try (Connection alone = DriverManager.getConnection(BackupFile.url(data), "sa", "")) {
      alone.isValid(1);
    } catch (SQLException inUse) {
      throw new IOException(
          "The data in " + data + " is in use; stop Good Bones there first", inUse);
    }
  }
}
