package goodbones.acceptance;

import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** Makes a large database out of the demo's, while the application is stopped. */
final class Copies implements AutoCloseable {
  private final Connection database;
  private final Statement sql;

  /** What is copied. */
  interface Copying {
    void into(Copies copies) throws SQLException;
  }

  /**
   * Starts the application on a database with copies, and hands over somebody who has signed in.
   */
  static void measured(Copying copying, Consumer<Designer> measuring)
      throws IOException, SQLException {
    try (Application application = Application.start()) {
      application.stop();
      try (Copies copies = new Copies(application.database())) {
        copying.into(copies);
      }
      application.revive();
      try (Designer designer = new Designer(application.address())) {
        designer.signIn();
        measuring.accept(designer);
      }
    }
  }

  /** References are not watched until it is closed. */
  private Copies(String url) throws SQLException {
    database = DriverManager.getConnection(url, "sa", "");
    sql = database.createStatement();
    sql.execute("set referential_integrity false");
  }

  /**
   * Copies the rows of a table as often as there are numbers.
   *
   * @param other what a column says in a copy, by the column's name; the others stay as they are
   * @param numbers a query whose columns the expressions may use
   * @param where which rows; all if it is empty
   */
  void of(String table, Map<String, String> other, String numbers, String where)
      throws SQLException {
    List<String> columns = new ArrayList<>();
    List<String> values = new ArrayList<>();
    try (ResultSet found =
        sql.executeQuery(
            "select column_name from information_schema.columns where table_schema = 'PUBLIC'"
                + " and table_name = '"
                + table
                + "' order by ordinal_position")) {
      while (found.next()) {
        String column = found.getString(1);
        columns.add(column);
        values.add(other.getOrDefault(column, column));
      }
    }
    sql.execute(
        "insert into "
            + table
            + " ("
            + String.join(", ", columns)
            + ") select "
            + String.join(", ", values)
            + " from "
            + table
            + ", "
            + numbers
            + (where.isEmpty() ? "" : " where " + where));
  }

  void told(String... tables) throws SQLException {
    for (String table : tables) {
      try (ResultSet count = sql.executeQuery("select count(*) from " + table)) {
        count.next();
        System.out.println(table.toLowerCase(java.util.Locale.ROOT) + ": " + count.getInt(1));
      }
    }
  }

  @Override
  public void close() throws SQLException {
    sql.execute("set referential_integrity true");
    sql.close();
    database.close();
  }
}
