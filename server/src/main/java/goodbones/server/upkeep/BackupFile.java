package goodbones.server.upkeep;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Blob;
import java.sql.Clob;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;

/** A backup: a zip file with the whole database in it, pictures and fonts included. */
final class BackupFile {
  static final String DATABASE = "good-bones";
  private static final String ENTRY = DATABASE + ".mv.db";

  /** What we write packs to a tenth or more; a file that unpacks to much more is no backup. */
  private static final long MOST_TIMES = 40;

  private static final long SMALL = 64L * 1024 * 1024;

  private BackupFile() {}

  /** What was found when a backup was read back. */
  record Found(int tables, long rows) {
    @Override
    public String toString() {
      return tables + " tables with " + rows + " rows";
    }
  }

  static String url(Path folder) {
    return "jdbc:h2:file:" + folder.toAbsolutePath().resolve(DATABASE) + ";WRITE_DELAY=0";
  }

  /**
   * Writes a backup of a database that may be in use, and reads it back.
   *
   * @throws IOException if it cannot be written, or not be read back; what says so can be shown
   */
  static Found write(Connection database, Path file) throws IOException, SQLException {
    requireWritable(file);
    try (Statement sql = database.createStatement()) {
      sql.execute("backup to '" + file.toAbsolutePath().toString().replace("'", "''") + "'");
    }
    keepToOneself(file);
    return check(file);
  }

  /** Whoever reads a backup reads all that is in it. */
  private static void keepToOneself(Path file) throws IOException {
    if (file.getFileSystem().supportedFileAttributeViews().contains("posix")) {
      Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
    }
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
   * Reads every row of a backup.
   *
   * @throws IOException if it is no backup, or is damaged
   */
  static Found check(Path file) throws IOException {
    Path folder = Files.createTempDirectory("good-bones-check");
    try {
      unpack(file, folder);
      return read(folder);
    } finally {
      delete(folder);
    }
  }

  /** Puts the database of a backup into a folder. */
  static void unpack(Path file, Path folder) throws IOException {
    long most = SMALL + MOST_TIMES * Files.size(file);
    try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(file))) {
      ZipEntry entry = zip.getNextEntry();
      while (entry != null) {
        if (entry.getName().equals(ENTRY)) {
          try (var out = Files.newOutputStream(folder.resolve(ENTRY))) {
            byte[] buffer = new byte[1 << 16];
            long written = 0;
            for (int n = zip.read(buffer); n >= 0; n = zip.read(buffer)) {
              written += n;
              if (written > most) {
                throw new IOException("“" + file + "” unpacks to more than any backup does");
              }
              out.write(buffer, 0, n);
            }
          }
          return;
        }
        entry = zip.getNextEntry();
      }
    }
    throw new IOException("“" + file + "” is no backup of Good Bones: " + ENTRY + " is not in it");
  }

  /** Reads every row of the database in a folder, long texts and files included. */
  static Found read(Path folder) throws IOException {
    try (Connection database = DriverManager.getConnection(url(folder), "sa", "");
        Statement sql = database.createStatement()) {
      List<String> tables = new ArrayList<>();
      try (ResultSet found =
          sql.executeQuery(
              "select table_name from information_schema.tables where table_schema = 'PUBLIC'")) {
        while (found.next()) {
          tables.add(found.getString(1));
        }
      }
      long rows = 0;
      for (String table : tables) {
        try (ResultSet row = sql.executeQuery("select * from \"" + table + "\"")) {
          int columns = row.getMetaData().getColumnCount();
          while (row.next()) {
            for (int i = 1; i <= columns; i++) {
              readWhole(row.getObject(i));
            }
            rows++;
          }
        }
      }
      if (!tables.contains("PERSON") && !tables.contains("ACCOUNT")) {
        throw new IOException("There is no database of Good Bones in it");
      }
      return new Found(tables.size(), rows);
    } catch (SQLException damaged) {
      throw new IOException("The database in it cannot be read: " + damaged.getMessage(), damaged);
    }
  }

  private static void readWhole(@Nullable Object value) throws SQLException, IOException {
    if (value instanceof Blob file) {
      try (InputStream in = file.getBinaryStream()) {
        in.transferTo(OutputStream.nullOutputStream());
      }
    } else if (value instanceof Clob text) {
      try (Reader in = text.getCharacterStream()) {
        in.transferTo(Writer.nullWriter());
      }
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
