package goodbones.acceptance;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.sql.SQLException;
import java.util.ArrayList;
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
  private static final String PIECE_NUMBERS = "(select x from system_range(1, 41))";
  private static final String PAGE_NUMBERS = "(select x from system_range(1, 500))";

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

  @Test
  void measure() throws IOException, SQLException {
    Copies.measured(LibrarySpeed::copy, LibrarySpeed::measure);
  }

  private static void measure(Designer designer) {
    Page page = designer.page();
    for (String path :
        List.of(
            "/api/pieces",
            "/api/pieces/st-buttons/uses",
            "/api/pieces/opening-band/uses",
            "/api/uses/token/t-accent",
            "/api/uses/picture/stand-in",
            "/api/uses/picture/harbour-morning")) {
      Timed.answer(path, page, ROUNDS);
    }
    opened(designer);
  }

  /**
   * From asking for the library to its first card drawn, and from a key to what is left; each time
   * when what was seen before was drawn.
   */
  private static void opened(Designer designer) {
    List<Double> opening = new ArrayList<>();
    List<Double> narrowing = new ArrayList<>();
    Page page = designer.page();
    for (int i = 0; i < ROUNDS; i++) {
      designer.go("/sites");
      designer.heading("Sites").waitFor();
      page.waitForLoadState(LoadState.NETWORKIDLE);
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
      page.waitForLoadState(LoadState.NETWORKIDLE);
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
    Timed.print("the library, from a click to its first card", opening);
    Timed.print("narrowed down by words", narrowing);
  }

  private static void copy(Copies copies) throws SQLException {
    for (String table : List.of("PIECE", "REVISION", "DESCRIBED")) {
      copies.of(table, PIECES.get(table), PIECE_NUMBERS, "");
    }
    for (String table : List.of("PLACED", "REFERRED")) {
      copies.of(table, PIECES.get(table), PIECE_NUMBERS, "owner_kind <> 'page'");
      copies.of(
          table,
          PAGES.get(table),
          PAGE_NUMBERS,
          "owner_kind = 'page' and owner_id in (select id from page where not shared)");
    }
    copies.of("PAGE", PAGES.get("PAGE"), PAGE_NUMBERS, "not shared");
    copies.told("PIECE", "PAGE", "PLACED", "REFERRED");
  }
}
