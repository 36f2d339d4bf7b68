package goodbones.server.upkeep;

import java.io.IOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.sql.SQLException;
import org.jspecify.annotations.Nullable;

/**
 * A backup: a zip file with the rows of every table, pictures and fonts included, and their
 * checksums.
 */
final class BackupFile {
  private BackupFile() {}

  /** What was found when a backup was read back. */
  record Found(int tables, long rows) {
    @Override
    public String toString() {
      return tables + " tables with " + rows + " rows";
    }
  }

  /**
   * Writes a backup of a database that may be in use, and reads it back.
   *
   * @throws IOException if it cannot be written, or not be read back; what says so can be shown
   */
  static Found write(Connection database, Path file) throws IOException, SQLException {
    requireWritable(file);
    new BackupWriter(database).write(file);
    return check(file);
  }

  private static void requireWritable(Path file) throws IOException {
    if (Files.exists(file)) {
      throw new IOException("There is a file “" + file + "” already; give the backup another name");
    }
    Path folder = file.toAbsolutePath().getParent();
    if (folder == null || !Files.isWritable(folder)) {
      throw new IOException("Nothing can be written to the folder of “" + file + "”");
    }
  }

  /**
   * Restores a backup to a folder that is deleted again.
   *
   * @throws IOException if it is no backup, or is damaged
   */
  static Found check(Path file) throws IOException, SQLException {
    Path folder = Files.createTempDirectory("good-bones-check");
    try {
      return new BackupReader(file).into(folder);
    } finally {
      delete(folder);
    }
  }

  static void delete(Path folder) throws IOException {
    Files.walkFileTree(
        folder,
        new SimpleFileVisitor<>() {
          @Override
          public FileVisitResult visitFile(Path file, BasicFileAttributes attributes)
              throws IOException {
            Files.delete(file);
            return FileVisitResult.CONTINUE;
          }

          @Override
          public FileVisitResult postVisitDirectory(Path dir, @Nullable IOException e)
              throws IOException {
            Files.delete(dir);
            return FileVisitResult.CONTINUE;
          }
        });
  }
}
