package goodbones.server.upkeep;

import java.io.BufferedOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Writes what the tables hold, as it stands at one moment. */
final class BackupWriter {
  /** What H2 calls so: all that is read is as it stood when the first of it was. */
  private static final int SNAPSHOT = 6;

  private final Connection database;

  BackupWriter(Connection database) {
    this.database = database;
  }

  /**
   * @param file one that is not there yet; only its owner can read it
   */
  void write(Path file) throws IOException, SQLException {
    boolean auto = database.getAutoCommit();
    int isolation = database.getTransactionIsolation();
    database.setAutoCommit(false);
    database.setTransactionIsolation(SNAPSHOT);
    try (OutputStream to = create(file);
        ZipOutputStream zip = new ZipOutputStream(new BufferedOutputStream(to))) {
      List<BackupManifest.Table> tables = new ArrayList<>();
      for (String table : Tables.of(database)) {
        tables.add(table(table, zip));
      }
      zip.putNextEntry(new ZipEntry(BackupManifest.ENTRY));
      zip.write(new BackupManifest(BackupManifest.FORMAT, schema(), tables).json());
      zip.closeEntry();
    } finally {
      database.rollback();
      database.setTransactionIsolation(isolation);
      database.setAutoCommit(auto);
    }
  }

  /** Whoever reads a backup reads all that is in it. */
  private static OutputStream create(Path file) throws IOException {
    OutputStream out = Files.newOutputStream(file, StandardOpenOption.CREATE_NEW);
    if (file.getFileSystem().supportedFileAttributeViews().contains("posix")) {
      Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
    }
    return out;
  }

  private String schema() throws SQLException {
    try (Statement sql = database.createStatement();
        ResultSet row =
            sql.executeQuery(
                "select \"version\" from \"flyway_schema_history\" where \"version\" is not null"
                    + " order by \"installed_rank\" desc limit 1")) {
      row.next();
      return row.getString(1);
    }
  }

  private BackupManifest.Table table(String name, ZipOutputStream zip)
      throws IOException, SQLException {
    MessageDigest digest = Tables.sha256();
    zip.putNextEntry(
        new ZipEntry(new BackupManifest.Table(name, List.of(), 0, Map.of(), "").entry()));
    DataOutputStream out = new DataOutputStream(new DigestOutputStream(zip, digest));
    List<String> columns = new ArrayList<>();
    List<Character> letters = new ArrayList<>();
    long rows = 0;
    try (Statement sql = database.createStatement();
        ResultSet row = sql.executeQuery("select * from " + Tables.quoted(name))) {
      ResultSetMetaData all = row.getMetaData();
      for (int i = 1; i <= all.getColumnCount(); i++) {
        columns.add(all.getColumnName(i));
        letters.add(RowValues.letter(all.getColumnType(i)));
      }
      while (row.next()) {
        for (int i = 1; i <= columns.size(); i++) {
          RowValues.write(row, i, letters.get(i - 1), out);
        }
        rows++;
      }
    }
    out.flush();
    zip.closeEntry();
    return new BackupManifest.Table(
        name, columns, rows, next(name), HexFormat.of().formatHex(digest.digest()));
  }

  private Map<String, Long> next(String table) throws SQLException {
    Map<String, Long> next = new TreeMap<>();
    try (PreparedStatement sql =
        database.prepareStatement(
            "select column_name, identity_base from information_schema.columns"
                + " where table_schema = 'PUBLIC' and table_name = ? and is_identity = 'YES'")) {
      sql.setString(1, table);
      try (ResultSet row = sql.executeQuery()) {
        while (row.next()) {
          next.put(row.getString(1), row.getLong(2));
        }
      }
    }
    return next;
  }
}
