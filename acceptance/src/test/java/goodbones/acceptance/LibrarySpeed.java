package goodbones.acceptance;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * How fast a library of some 2,000 pieces, used on 10,000 pages, opens, is narrowed down and says
 * where a piece, a token and a picture are used. The database is the demo's, every piece and page
 * copied. It prints figures and checks none; its name keeps it out of the tests. Run it with {@code
 * -Dtest=LibrarySpeed}.
 */
class LibrarySpeed {
  private static final int ROUNDS = 15;
  private static final int PIECE_COPIES = 41;
  private static final int PAGE_COPIES = 500;

  /** What of a copy goes by a name of its own, by table. */
  private static final Map<String, Map<String, String>> PIECES =
      Map.of(
          "PIECE", Map.of("ID", "id || '~' || x", "NAME", "name || ' ' || x"),
          "REVISION", Map.of("PIECE_ID", "piece_id || '~' || x"),
          "DESCRIBED", Map.of("PIECE_ID", "piece_id || '~' || x"),
          "PLACED", Map.of("OWNER_ID", "owner_id || '~' || x"),
          "REFERRED", Map.of("OWNER_ID", "owner_id || '~' || x"));

  private static final Map<String, Map<String, String>> PAGES =
      Map.of(
          "PAGE", Map.of("ID", "id || '~' || x", "ADDRESS", "address || '~' || x"),
          "PLACED", Map.of("OWNER_ID", "owner_id || '~' || x"),
          "REFERRED", Map.of("OWNER_ID", "owner_id || '~' || x"));

  private static final String TIMED =
      """
      async (path) => {
        const begun = performance.now();
        const text = await (await fetch(path)).text();
        return [performance.now() - begun, text.length];
      }
      """;

  @Test
  void measure() throws IOException, SQLException {
    try (Application application = Application.start()) {
      application.stop();
      copy(application.database());
      application.revive();
      try (Designer designer = new Designer(application.address())) {
        designer.signIn();
        Page page = designer.page();
        for (String path :
            List.of(
                "/api/pieces",
                "/api/pieces/st-buttons/uses",
                "/api/pieces/opening-band/uses",
                "/api/uses/token/t-accent",
                "/api/uses/picture/stand-in",
                "/api/uses/picture/harbour-morning")) {
          told(path, page);
        }
        opened(designer);
      }
    }
  }

  private static void told(String path, Page page) {
    List<Double> times = new ArrayList<>();
    double length = 0;
    for (int i = 0; i < ROUNDS; i++) {
      List<?> answer = (List<?>) page.evaluate(TIMED, path);
      times.add(((Number) answer.get(0)).doubleValue());
      length = ((Number) answer.get(1)).doubleValue();
    }
    double first = times.remove(0);
    print(path + " (" + Math.round(length / 1024) + " KB)", first, times);
  }

  private static void print(String what, double first, List<Double> times) {
    Collections.sort(times);
    System.out.printf(
        "%-60s first %6.0f ms, median %6.0f ms, slowest %6.0f ms%n",
        what, first, times.get(times.size() / 2), times.get(times.size() - 1));
  }

  /** From asking for the library to its first card drawn, and from a key to what is left. */
  private static void opened(Designer designer) {
    List<Double> opening = new ArrayList<>();
    List<Double> narrowing = new ArrayList<>();
    Page page = designer.page();
    for (int i = 0; i < ROUNDS; i++) {
      designer.go("/sites");
      designer.heading("Sites").waitFor();
      opening.add(
          ((Number)
                  page.evaluate(
                      """
                      () => new Promise((done) => {
                        const begun = performance.now();
                        [...document.querySelectorAll('nav a, header a')].find((a) => a.textContent === 'Library').click();
                        const look = () => document.querySelector('article iframe')
                          ? requestAnimationFrame(() => done(performance.now() - begun)) : requestAnimationFrame(look);
                        look();
                      })
                      """))
              .doubleValue());
      narrowing.add(
          ((Number)
                  page.evaluate(
                      """
                      () => new Promise((done) => {
                        const field = document.querySelector('input[type=search]');
                        const begun = performance.now();
                        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, 'price 17');
                        field.dispatchEvent(new Event('input', { bubbles: true }));
                        const look = () => /pieces? of/.test(document.querySelector('main [role=status]').textContent)
                          ? requestAnimationFrame(() => done(performance.now() - begun)) : requestAnimationFrame(look);
                        look();
                      })
                      """))
              .doubleValue());
    }
    print("the library, from a click to its first card", opening.remove(0), opening);
    print("narrowed down by words", narrowing.remove(0), narrowing);
  }

  private static void copy(String url) throws SQLException {
    try (Connection database = DriverManager.getConnection(url, "sa", "");
        Statement sql = database.createStatement()) {
      sql.execute("set referential_integrity false");
      for (String table : List.of("PIECE", "REVISION", "DESCRIBED")) {
        copy(sql, table, PIECES, PIECE_COPIES, "");
      }
      for (String table : List.of("PLACED", "REFERRED")) {
        copy(sql, table, PIECES, PIECE_COPIES, " where owner_kind <> 'page'");
        copy(sql, table, PAGES, PAGE_COPIES, " where owner_kind = 'page'");
      }
      copy(sql, "PAGE", PAGES, PAGE_COPIES, "");
      sql.execute("set referential_integrity true");
      for (String table : List.of("PIECE", "PAGE", "PLACED", "REFERRED")) {
        try (ResultSet count = sql.executeQuery("select count(*) from " + table)) {
          count.next();
          System.out.println(table.toLowerCase() + ": " + count.getInt(1));
        }
      }
    }
  }

  private static void copy(
      Statement sql, String table, Map<String, Map<String, String>> names, int copies, String where)
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
        values.add(names.get(table).getOrDefault(column, column));
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
            + ", (select x from system_range(1, "
            + copies
            + "))"
            + where);
  }
}
