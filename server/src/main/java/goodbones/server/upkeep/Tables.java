package goodbones.server.upkeep;

import goodbones.server.documents.V20__MadeOn;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;

/** The tables of a database, and an empty one with them. */
final class Tables {
  static final String DATABASE = "good-bones";
  private static final String HISTORY = "flyway_schema_history";

  private Tables() {}

  static String url(Path folder) {
    return "jdbc:h2:file:" + folder.toAbsolutePath().resolve(DATABASE) + ";WRITE_DELAY=0";
  }

  static Connection open(Path folder) throws SQLException {
    return DriverManager.getConnection(url(folder), "sa", "");
  }

  /**
   * Makes an empty database in a folder.
   *
   * @param version of its form
   * @throws IOException if this application is older than that
   */
  static void make(Path folder, String version) throws IOException {
    try {
      Flyway flyway =
          Flyway.configure()
              .dataSource(url(folder), "sa", "")
              .javaMigrations(new V20__MadeOn())
              .target(version)
              .load();
      flyway.migrate();
      if (flyway.info().current() == null
          || !version.equals(String.valueOf(flyway.info().current().getVersion()))) {
        throw later(version);
      }
    } catch (FlywayException none) {
      throw later(version);
    }
  }

  private static IOException later(String version) {
    return new IOException(
        "A later version of Good Bones wrote this backup (its form is “"
            + version
            + "”); restore it with that version");
  }

  /** Their names, without what is kept of how they were made. */
  static List<String> of(Connection database) throws SQLException {
    return names(
        database,
        "select table_name from information_schema.tables where table_schema = 'PUBLIC'"
            + " and table_type = 'BASE TABLE' and table_name <> ? order by 1",
        HISTORY);
  }

  static List<String> columns(Connection database, String table) throws SQLException {
    return names(
        database,
        "select column_name from information_schema.columns where table_schema = 'PUBLIC'"
            + " and table_name = ?",
        table);
  }

  private static List<String> names(Connection database, String query, String parameter)
      throws SQLException {
    List<String> names = new ArrayList<>();
    try (PreparedStatement sql = database.prepareStatement(query)) {
      sql.setString(1, parameter);
      try (ResultSet row = sql.executeQuery()) {
        while (row.next()) {
          names.add(row.getString(1));
        }
      }
    }
    return names;
  }

  /** Reads every value of a table, and says how many rows it has. */
  static long rows(Connection database, String table) throws SQLException, IOException {
    long rows = 0;
    try (Statement sql = database.createStatement();
        ResultSet row = sql.executeQuery("select * from " + quoted(table));
        DataOutputStream nowhere = new DataOutputStream(OutputStream.nullOutputStream())) {
      while (row.next()) {
        for (int i = 1; i <= row.getMetaData().getColumnCount(); i++) {
          RowValues.write(row, i, RowValues.letter(row.getMetaData().getColumnType(i)), nowhere);
        }
        rows++;
      }
    }
    return rows;
  }

  static String quoted(String name) {
    return '"' + name.replace("\"", "\"\"") + '"';
  }

  static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException never) {
      throw new IllegalStateException("every Java has SHA-256", never);
    }
  }
}
