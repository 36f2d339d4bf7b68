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
 * How fast 200 sites with 10,000 pages are listed, and how fast a site of 500 pages opens and is
 * surveyed. The database is the demo's, every site and page copied. It prints figures and checks
 * none; its name keeps it out of the tests. Run it with {@code -Dtest=SitesSpeed}.
 */
class SitesSpeed {
  private static final int ROUNDS = 15;

  /** Each site 49 times more, each of its pages ten times there. */
  private static final String SITES = "(select x from system_range(1, 49))";

  private static final String PAGES = SITES + ", (select x as y from system_range(0, 9))";

  /** The pages of one site a hundred times. */
  private static final String MANY = "(select x from system_range(1, 99))";

  private static final String LARGE = "saltmarsh-ferries";
  private static final String OF_SITE = "site_id || '--' || x";
  private static final String OF_PAGE =
      "id || '--' || x || case when y = 0 then '' else '-' || y end";

  @Test
  void measure() throws IOException, SQLException {
    Copies.measured(SitesSpeed::copy, SitesSpeed::measure);
  }

  private static void measure(Designer designer) {
    Page page = designer.page();
    for (String path :
        List.of(
            "/api/sites",
            "/api/sites/" + LARGE,
            "/api/sites/" + LARGE + "/coverage",
            "/api/sites/" + LARGE + "/stand-ins",
            "/api/sites/" + LARGE + "/survey",
            "/api/pages/sf-home/frame",
            "/api/pages/sf-home/workbench")) {
      Timed.answer(path, page, ROUNDS);
    }
    opened(designer, "/sites", "article iframe, li iframe");
    opened(designer, "/sites/" + LARGE, "[role=treeitem] iframe");
    edited(page);
  }

  /**
   * From the click on a link inside the application, which has nothing else to do any more and
   * knows nothing of what is opened, to the first thing that is drawn.
   */
  private static void opened(Designer designer, String path, String drawn) {
    List<Double> times = new ArrayList<>();
    Page page = designer.page();
    for (int i = 0; i < ROUNDS; i++) {
      designer.go("/people");
      designer.heading("People").waitFor();
      page.waitForLoadState(LoadState.NETWORKIDLE);
      times.add(
          ((Number)
                  page.evaluate(
                      """
                      ([path, drawn]) => new Promise((done) => {
                        const begun = performance.now();
                        history.pushState({}, '', path);
                        dispatchEvent(new PopStateEvent('popstate', { state: {} }));
                        const look = () => document.querySelector(drawn)
                          ? requestAnimationFrame(() => done(performance.now() - begun)) : requestAnimationFrame(look);
                        look();
                      })
                      """,
                      List.of(path, drawn)))
              .doubleValue());
    }
    Timed.print(path + ", to its first drawing", times);
  }

  /** The survey after an edit of one page, which is what the edit touches. */
  private static void edited(Page page) {
    List<Double> times = new ArrayList<>();
    for (int i = 0; i < ROUNDS; i++) {
      times.add(
          ((Number)
                  page.evaluate(
                      """
                      async ([site, words]) => {
                        const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];
                        const view = await (await fetch('/api/pages/sf-home/workbench')).json();
                        const edit = { type: 'FIELD', node: 'sf-words-t', field: 'words', value: words };
                        const edited = await fetch('/api/pages/sf-home/edits', {
                          method: 'POST',
                          headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                          body: JSON.stringify({ version: view.version, stamp: view.stamp, edit }),
                        });
                        if (!edited.ok) throw new Error(await edited.text());
                        const begun = performance.now();
                        await (await fetch(`/api/sites/${site}/survey`)).text();
                        return performance.now() - begun;
                      }
                      """,
                      List.of(LARGE, "Said " + i + " times")))
              .doubleValue());
    }
    Timed.print("the survey after an edit of one page", times);
  }

  private static void copy(Copies copies) throws SQLException {
    String page = "owner_kind = 'page'";
    Map<String, String> many = Map.of("ID", "id || '--m' || x", "ADDRESS", "address || '--' || x");
    Map<String, String> manyOwned = Map.of("OWNER_ID", "owner_id || '--m' || x");
    String large = "site_id = '" + LARGE + "'";
    String pages = "select id from page where not shared and " + large;
    // Before there are others of these ids.
    copies.of(
        "PLACED",
        manyOwned,
        MANY,
        page + " and owner_id in (" + pages + " and id not like '%--%')");
    copies.of(
        "REFERRED",
        manyOwned,
        MANY,
        page + " and owner_id in (" + pages + " and id not like '%--%')");
    copies.of("PAGE", many, MANY, "not shared and " + large);
    String first = "owner_id in (select id from page where id not like '%--%')";
    Map<String, String> owned =
        Map.of(
            "OWNER_ID",
            OF_PAGE.replace("id", "owner_id").replace("owner_owner_id", "owner_id"),
            "SITE_ID",
            OF_SITE);
    copies.of("PLACED", owned, PAGES, page + " and " + first);
    copies.of("REFERRED", Map.of("OWNER_ID", owned.get("OWNER_ID")), PAGES, page + " and " + first);
    copies.of(
        "PAGE",
        Map.of(
            "ID",
            OF_PAGE,
            "SITE_ID",
            OF_SITE,
            "ADDRESS",
            "address || case when y = 0 then '' else '--' || y end"),
        PAGES,
        "id not like '%--%' and (y = 0 or not shared)");
    Map<String, String> ofSite = Map.of("SITE_ID", OF_SITE);
    for (String table :
        List.of("ADOPTED", "SITE_VALUE", "SITE_FINISHES", "SITE_STYLE", "SITE_FILLING")) {
      copies.of(table, ofSite, SITES, "");
    }
    copies.of(
        "SITE_SHEET",
        Map.of(
            "SITE_ID",
            OF_SITE,
            "DOCUMENT",
            "regexp_replace(regexp_replace(document, '(\"part\":\"[^\"]+)', '$1--' || x), '(page:[a-z-]+)', '$1--' || x)"),
        SITES,
        "");
    copies.of("SITE", Map.of("ID", "id || '--' || x", "NAME", "name || ' ' || x"), SITES, "");
    copies.told("SITE", "PAGE", "PLACED", "REFERRED");
  }
}
