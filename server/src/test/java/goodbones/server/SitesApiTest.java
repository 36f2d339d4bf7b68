package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** What pages of a site share, their links and addresses, and the client’s details. */
@ServerTest
class SitesApiTest {
  @Autowired private MockMvc mvc;
  private Api api;

  @BeforeEach
  void setUp() {
    api = new Api(mvc);
  }

  private List<Map<String, Object>> kept(String site) {
    List<Map<String, Object>> rules = new ArrayList<>();
    for (JsonNode each : api.coverage(site).path("rules")) {
      JsonNode rule = each.path("rule");
      List<String> except = new ArrayList<>();
      rule.path("except").forEach(page -> except.add(page.asString()));
      rules.add(
          Api.rule(
              rule.path("id").asString(),
              rule.path("region").asString(),
              rule.path("band").asString(),
              rule.path("scope").asString(),
              rule.path("of").asString(),
              except,
              rule.path("part").asString(),
              ""));
    }
    return rules;
  }

  private Document published(String site, String path) {
    return Jsoup.parse(api.text("/hosted/" + site + "/" + path));
  }

  private void publish(String site) {
    assertThat(api.write("/api/sites/" + site + "/publication", Map.of()).status()).isEqualTo(200);
  }

  @Test
  void headerContentAndFooterAreOnePageWithItsMenuAndDetails() {
    publish("saltmarsh-ferries");
    Document fares = published("saltmarsh-ferries", "fares/");
    assertThat(fares.select("body > header, body > main, body > footer"))
        .extracting(Element::normalName)
        .containsExactly("header", "main", "footer");
    assertThat(fares.select("header nav a").eachText())
        .containsExactly("Timetable", "Fares", "The islands", "Before you sail");
    assertThat(fares.select("header nav a[aria-current=page]").eachText()).containsExactly("Fares");
    assertThat(fares.select("header a.logo").attr("href")).isEqualTo("../");
    assertThat(fares.select("header a.logo img").attr("alt")).isEqualTo("Saltmarsh Ferries");
    assertThat(fares.select("footer").text())
        .contains("01632 960 114")
        .contains("© " + java.time.Year.now() + " Saltmarsh Ferries");
    assertThat(fares.select("[data-bound], [data-part], [data-node]")).isEmpty();
  }

  @Test
  void whatWasPublishedSaysWhetherPagesHaveChangedSince() {
    String state = "/api/sites/oakum-rope-museum/publication";
    publish("oakum-rope-museum");
    assertThat(api.read(state).body().path("pagesChanged").asBoolean()).isFalse();
    api.field("om-home", "om-month-t", "words", "Demonstrations at noon.");
    assertThat(api.read(state).body().path("pagesChanged").asBoolean()).isTrue();
    publish("oakum-rope-museum");
    assertThat(api.read(state).body().path("pagesChanged").asBoolean()).isFalse();
  }

  @Test
  void theMostSpecificRuleWinsAndAnExceptionHasNone() {
    String site = "quillon-clocks";
    List<Map<String, Object>> rules = kept(site);
    rules.add(Api.ruleWith("band-above", "Notice", "site", "", "st-band-notice"));
    rules.add(Api.rule("", "band-above", "Notice", "page", "qc-bench", List.of(), "", ""));
    rules.add(Api.ruleWith("header", "", "branch", "qc-prices", "st-header-above"));
    Api.Answer kept = api.rules(site, rules);
    assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
    publish(site);
    assertThat(published(site, "repairs/").select("main").text()).contains("everybody has to know");
    assertThat(published(site, "bench/").select("main").text())
        .doesNotContain("everybody has to know");
    assertThat(published(site, "prices/").select("header .divider")).isNotEmpty();
    assertThat(published(site, "repairs/").select("header .divider")).isEmpty();

    rules = kept(site);
    rules.add(Api.ruleWith("header", "", "site", "", "st-header-above"));
    Api.Answer refused = api.rules(site, rules);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.detail()).contains("equally specific").contains("the whole site");
    Api.Answer stale =
        api.put("/api/sites/" + site + "/coverage", Api.parts("version", 1, "rules", List.of()));
    assertThat(stale.status()).isEqualTo(409);
  }

  @Test
  void linksFollowARenamedPageAndItsFormerAddressLeadsOn() {
    String site = "oakum-rope-museum";
    assertThat(api.field("om-home", "om-opening/ob-button", "link", "page:om-visit").status())
        .isEqualTo(200);
    assertThat(api.say("om-visit", "Come and see", "/come", "page", true).status()).isEqualTo(200);
    publish(site);
    Document home = published(site, "");
    assertThat(home.select("main a.button").eachAttr("href")).contains("come/");
    assertThat(home.select("header nav a").eachText()).contains("Come and see");
    assertThat(published(site, "visit/").select("meta[http-equiv=refresh]").attr("content"))
        .endsWith("url=../come/");
    everyLinkLeadsSomewhere(site);

    assertThat(api.say("om-visit", "Come and see", "/walk", "page", true).detail())
        .contains("Another page is at /walk");
    assertThat(api.say("om-visit", "Come and see", "come", "page", true).detail())
        .contains("is no address");

    assertThat(api.say("om-visit", "Come and see", "/come", "page", false).status()).isEqualTo(200);
    publish(site);
    assertThat(published(site, "").select("header nav a").eachText())
        .as("a page in work is not published, and no menu leads to it")
        .doesNotContain("Come and see");
    assertThat(published(site, "").select("main a.button").get(0).hasAttr("href")).isFalse();
    everyLinkLeadsSomewhere(site);
  }

  /** Follows every link in the site from its home page, as a crawler would. */
  private void everyLinkLeadsSomewhere(String site) {
    Set<String> open = new TreeSet<>(Set.of(""));
    Set<String> seen = new TreeSet<>();
    while (!open.isEmpty()) {
      String path = open.iterator().next();
      open.remove(path);
      seen.add(path);
      Document page = Jsoup.parse(api.text("/hosted/" + site + "/" + path), "http://h/" + path);
      assertThat(page.title()).as("what is at “%s”", path).isNotEmpty();
      for (Element link : page.select("a[href]")) {
        String to = link.absUrl("href");
        if (to.startsWith("http://h/")) {
          String address = to.substring("http://h/".length()).replaceAll("#.*", "");
          if (!seen.contains(address)) {
            open.add(address);
          }
        }
      }
    }
  }

  @Test
  void aSectionHasAnAddressOfItsOwnThatStays() {
    String site = "saltmarsh-ferries";
    String link = "page:sf-home#sf-routes";
    JsonNode targets = api.read("/api/sites/" + site + "/targets?page=sf-home").body();
    List<String> links = new ArrayList<>();
    targets.forEach(target -> links.add(target.path("link").asString()));
    assertThat(links).contains(link, "page:sf-home", "role:home", "detail:phone");
    publish(site);
    List<String> before = published(site, "").select(".own > section").eachAttr("id");
    assertThat(before).doesNotHaveDuplicates().allMatch(id -> id.matches("[a-z0-9-]+"));
    Api.Answer renamed =
        api.editPage("sf-home", "type", "RENAME", "node", "sf-routes", "value", "Quite another");
    assertThat(renamed.status()).as(renamed.detail()).isEqualTo(200);
    publish(site);
    assertThat(published(site, "").select(".own > section").eachAttr("id")).isEqualTo(before);

    String path = "/api/pages/sf-home/section-address?node=sf-routes";
    JsonNode address = api.read(path).body();
    assertThat(before).contains(address.path("address").asString());
    assertThat(address.path("byName").asString()).isEqualTo("quite-another");
    assertThat(api.field("sf-timetable", "sf-tt-action/ca-button", "link", link).status())
        .isEqualTo(200);
    assertThat(api.write(path, Map.of()).body().path("address").asString())
        .as("it follows its name when somebody asks")
        .isEqualTo("quite-another");
    publish(site);
    assertThat(published(site, "").select(".own > section").eachAttr("id"))
        .contains("quite-another")
        .hasSameSizeAs(before);
    assertThat(published(site, "timetable/").select("main a.button").eachAttr("href"))
        .contains("../#quite-another");
    assertThat(api.read("/api/pages/sf-home/section-address?node=nothing").status()).isEqualTo(404);
  }

  @Test
  void aSectionOfAPageBecomesTheHeaderOfAllAndUndoBringsItBack() {
    String site = "tern-valley";
    String first = api.page("tv-people").path("blocks").get(0).path("id").asString();
    int sections = api.page("tv-people").path("blocks").size();
    Api.Answer shared =
        api.editPage("tv-people", "type", "AROUND", "node", first, "region", "header");
    assertThat(shared.status()).as(shared.detail()).isEqualTo(200);
    assertThat(shared.body().path("blocks")).hasSize(sections - 1);
    assertThat(shared.body().path("around").path("parts").get(0).path("region").asString())
        .isEqualTo("header");
    assertThat(shared.body().path("around").path("parts").get(0).path("pages").asInt())
        .isEqualTo(5);
    String part = shared.body().path("around").path("parts").get(0).path("part").asString();
    assertThat(api.page(part).path("shared").path("pages")).hasSize(5);
    List<Integer> pages = new ArrayList<>();
    api.coverage(site).path("parts").forEach(each -> pages.add(each.path("pages").asInt()));
    assertThat(pages).as("the header of before is kept, on no page").contains(0);
    assertThat(api.turn("tv-people", "undo").body().path("blocks")).hasSize(sections);
    assertThat(api.editPage(part, "type", "AROUND", "node", first, "region", "footer").status())
        .as("a shared part has no place around it")
        .isNotEqualTo(200);
  }

  @Test
  void pagesAreFiledUnderEachOtherAndNeverInARing() {
    String site = "saltmarsh-ferries";
    List<Map<String, Object>> filed = new ArrayList<>();
    for (JsonNode page : api.read("/api/sites/" + site).body().path("pages")) {
      filed.add(Api.parts("id", page.path("id").asString(), "parent", ""));
    }
    filed.get(2).put("parent", filed.get(1).get("id"));
    Api.Answer kept = api.put("/api/sites/" + site + "/filed", Api.parts("pages", filed));
    assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
    assertThat(api.read("/api/sites/" + site).body().path("pages").get(2).path("depth").asInt())
        .isEqualTo(1);
    filed.get(1).put("parent", filed.get(2).get("id"));
    assertThat(api.put("/api/sites/" + site + "/filed", Api.parts("pages", filed)).detail())
        .contains("cannot be filed under itself");
    assertThat(
            api.put("/api/sites/" + site + "/filed", Api.parts("pages", filed.subList(0, 2)))
                .status())
        .isEqualTo(422);
  }

  private int inWork(String site) {
    return api.read("/api/sites")
        .body()
        .valueStream()
        .filter(card -> card.path("id").asString().equals(site))
        .mapToInt(card -> card.path("inWork").asInt())
        .sum();
  }

  @Test
  void aClientSaysHowManyOfItsPagesAreInWork() {
    int before = inWork("oakum-rope-museum");
    assertThat(api.say("om-numbers", "In numbers", "/in-numbers", "page", false).status())
        .isEqualTo(200);
    assertThat(inWork("oakum-rope-museum")).isEqualTo(before + 1);
    assertThat(api.say("om-numbers", "In numbers", "/in-numbers", "page", true).status())
        .isEqualTo(200);
    assertThat(inWork("oakum-rope-museum")).isEqualTo(before);
  }

  @Test
  void aServiceIsToldByItsAddress() {
    JsonNode film = api.read("/api/service?address=https://www.youtube.com/@quillon").body();
    assertThat(film.path("name").asString()).isEqualTo("YouTube");
    assertThat(film.path("icon").asString()).isEqualTo("film-service");
    JsonNode none = api.read("/api/service?address=https://quillon.example").body();
    assertThat(none.path("name").asString()).isEmpty();
  }

  @Test
  void detailsAreCheckedAndFollowedEverywhere() {
    String site = "quillon-clocks";
    JsonNode before = api.read("/api/sites/" + site + "/details").body();
    Map<String, Object> said =
        Api.parts(
            "version",
            before.path("version").asLong(),
            "name",
            "Quillon & Son",
            "language",
            "en-GB",
            "logo",
            "",
            "icon",
            "clock-bench",
            "web",
            "quillon",
            "phone",
            "01632 960 999",
            "mail",
            "no address",
            "address",
            "<b>11</b> Fob Yard",
            "hours",
            "",
            "social",
            List.of());
    assertThat(api.put("/api/sites/" + site + "/details", said).detail())
        .contains("is no mail address");
    said.put("mail", "bench@quillon.example");
    assertThat(api.put("/api/sites/" + site + "/details", said).detail())
        .contains("is no address of a site");
    said.put("web", "https://quillon.example/");
    Api.Answer kept = api.put("/api/sites/" + site + "/details", said);
    assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
    assertThat(api.put("/api/sites/" + site + "/details", said).status())
        .as("on a version of before")
        .isEqualTo(409);
    publish(site);
    Document home = published(site, "");
    assertThat(home.select("link[rel=canonical]").attr("href"))
        .isEqualTo("https://quillon.example/");
    assertThat(home.select("meta[property=og:site_name]").attr("content"))
        .isEqualTo("Quillon & Son");
    assertThat(home.select("link[rel=icon]").attr("href")).startsWith("pictures/");
    assertThat(home.select("header a.logo").text()).isEqualTo("Quillon & Son");
    assertThat(home.select("footer").text()).contains("Quillon & Son");
    assertThat(home.select("footer b")).isEmpty();
  }

  @Test
  void menusAreTreesOfSoundLinks() {
    String site = "oakum-rope-museum";
    long version = api.read("/api/sites/" + site + "/menus").body().path("version").asLong();
    Map<String, Object> deep = Api.item("a", Api.item("b", Api.item("c", Api.item("d"))));
    assertThat(
            api.put(
                    "/api/sites/" + site + "/menus",
                    Api.parts("version", version, "menus", List.of(Api.menu("Main", deep))))
                .detail())
        .contains("at most 3 deep");
    assertThat(
            api.put(
                    "/api/sites/" + site + "/menus",
                    Api.parts(
                        "version",
                        version,
                        "menus",
                        List.of(
                            Api.menu(
                                "Main",
                                Api.parts(
                                    "words",
                                    "x",
                                    "link",
                                    "javascript:alert(1)",
                                    "newTab",
                                    false,
                                    "below",
                                    List.of())))))
                .detail())
        .contains("leads nowhere");
    Api.Answer kept =
        api.put(
            "/api/sites/" + site + "/menus",
            Api.parts(
                "version",
                version,
                "menus",
                List.of(
                    Api.menu(
                        "Main",
                        Api.item("om-walk", Api.item("om-numbers")),
                        Api.parts(
                            "words",
                            "Tides",
                            "link",
                            "https://tides.example/",
                            "newTab",
                            true,
                            "below",
                            List.of())),
                    Api.menu("Footer"))));
    assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
    publish(site);
    assertThat(published(site, "").select("header nav > ul > li > ul a").eachText())
        .containsExactly("In numbers");
    assertThat(published(site, "").select("header nav a[target=_blank][rel=noopener]").eachText())
        .containsExactly("Tides");
    assertThat(published(site, "").select("footer nav")).isEmpty();
  }

  @Test
  void whatIsSaidOfAPageAndItsFilingDisturbNobodyWhoWorksOnIt() {
    long version = api.page("om-walk").path("version").asLong();
    JsonNode said = said("om-walk");
    assertThat(
            api.say(
                    "om-walk",
                    "A walk",
                    said.path("address").asString(),
                    said.path("kind").asString(),
                    true)
                .status())
        .isEqualTo(200);
    List<Map<String, Object>> filed = new ArrayList<>();
    for (JsonNode page : api.read("/api/sites/oakum-rope-museum").body().path("pages")) {
      filed.add(0, Api.parts("id", page.path("id").asString(), "parent", ""));
    }
    assertThat(api.put("/api/sites/oakum-rope-museum/filed", Map.of("pages", filed)).status())
        .isEqualTo(200);
    assertThat(api.page("om-walk").path("version").asLong()).isGreaterThan(version);
    Api.Answer edited =
        api.write(
            "/api/pages/om-walk/edits",
            Api.edit(version, "type", "ADD", "node", "om-walk", "kind", "section", "value", ""));
    assertThat(edited.status()).as(edited.detail()).isEqualTo(200);
    assertThat(edited.body().path("merged").valueStream().map(JsonNode::asString))
        .anyMatch(words -> words.endsWith(": settings of the page"));
  }

  private JsonNode said(String id) {
    return api.read("/api/sites/oakum-rope-museum")
        .body()
        .path("pages")
        .valueStream()
        .filter(page -> page.path("id").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }
}
