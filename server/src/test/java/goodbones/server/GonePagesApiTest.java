package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Pages that are taken away: what led to them, where that leads then, and how they come back. */
@ServerTest
class GonePagesApiTest {
  private static final String SITE = "saltmarsh-ferries";
  @Autowired private MockMvc mvc;
  private Api api;

  @BeforeEach
  void setUp() {
    api = new Api(mvc);
  }

  private Api.Answer takeAway(String page, String leadsTo) {
    return api.write("/api/pages/" + page + "/take-away", Map.of("leadsTo", leadsTo));
  }

  private Api.Answer bringBack(String page) {
    return api.write("/api/sites/" + SITE + "/gone/" + page + "/bring-back", Map.of());
  }

  private Document published(String path) {
    api.write("/api/sites/" + SITE + "/publication", Map.of());
    return Jsoup.parse(api.text("/hosted/" + SITE + "/" + path));
  }

  private JsonNode dangling(String page) {
    return api.read("/api/pages/" + page + "/dangling").body();
  }

  private List<String> pages() {
    return api.read("/api/sites/" + SITE)
        .body()
        .path("pages")
        .valueStream()
        .map(page -> page.path("id").asString())
        .toList();
  }

  @Test
  void itIsSaidWhatLeadsToAPageAndThatLeadsToAnotherThen() {
    api.editPage(
        "sf-home",
        "type",
        "FIELD",
        "node",
        "sf-opening/ob-button",
        "field",
        "link",
        "value",
        "page:sf-fares");
    assertThat(dangling("sf-fares").path("links").valueStream().map(l -> l.path("document")))
        .extracting(JsonNode::asString)
        .contains("sf-home");
    assertThat(dangling("sf-fares").path("menus").toString()).contains("Main");
    Document before = published("");
    List<String> filed = pages();
    assertThat(before.select("main a.button").eachAttr("href")).contains("fares/");

    assertThat(takeAway("sf-fares", "sf-timetable").status()).isEqualTo(200);
    assertThat(pages()).doesNotContain("sf-fares");
    assertThat(
            api.read("/api/sites/" + SITE + "/publication").body().path("pagesChanged").asBoolean())
        .isTrue();
    assertThat(api.read("/api/pages/sf-fares/workbench").status()).isEqualTo(404);
    Document after = published("");
    assertThat(after.select("main a.button").eachAttr("href"))
        .contains("timetable/")
        .doesNotContain("fares/");
    assertThat(after.select("header nav a").eachText()).doesNotContain("Fares");
    assertThat(published("fares/").select("meta[http-equiv=refresh]").attr("content"))
        .endsWith("url=../timetable/");

    assertThat(bringBack("sf-fares").status()).isEqualTo(200);
    assertThat(pages()).as("it stands where it stood").isEqualTo(filed);
    assertThat(published("").body().html()).isEqualTo(before.body().html());
    assertThat(api.read("/api/sites/" + SITE + "/gone").body().size()).isZero();
  }

  @Test
  void whatStandsForAPageThatIsGoneTooLeadsOn() {
    takeAway("sf-fares", "sf-timetable");
    takeAway("sf-timetable", "sf-islands");
    assertThat(published("fares/").select("meta[http-equiv=refresh]").attr("content"))
        .endsWith("url=../islands/");
    bringBack("sf-fares");
    bringBack("sf-timetable");
    assertThat(published("fares/").select("meta[http-equiv=refresh]")).isEmpty();
    assertThat(published("timetable/").select("meta[http-equiv=refresh]")).isEmpty();
  }

  @Test
  void theHomePageStaysAndLinksLeadWithinTheSite() {
    assertThat(takeAway("sf-home", "").detail()).contains("home page");
    assertThat(takeAway("sf-fares", "sf-fares").status()).isEqualTo(422);
    assertThat(takeAway("sf-fares", "tv-home").status()).isEqualTo(422);
    assertThat(takeAway("nowhere", "").status()).isEqualTo(404);
    assertThat(bringBack("sf-fares").status()).isEqualTo(404);
    assertThat(pages()).contains("sf-fares");
  }

  /** A piece that is replaced everywhere and retired meanwhile is replaced on the page then. */
  @Test
  void whatWasReplacedEverywhereIsReplacedOnAPageThatComesBack() {
    String by = "hours-band";
    String piece = "opening-band";
    api.editPage("om-walk", "type", "PLACE", "node", "om-walk", "before", "", "piece", piece);
    assertThat(api.page("om-walk").path("placements").toString()).contains(piece);
    takeAway("om-walk", "");
    JsonNode plan = api.read("/api/rollouts/replacement?piece=" + piece + "&by=" + by).body();
    Api.Answer replaced =
        api.write(
            "/api/rollouts/replacement",
            Map.of("pieceId", piece, "by", by, "basis", plan.path("basis").asString()));
    assertThat(replaced.status()).as(replaced.detail()).isEqualTo(200);
    api.write("/api/sites/oakum-rope-museum/gone/om-walk/bring-back", Map.of());
    JsonNode back = api.page("om-walk").path("placements");
    assertThat(back.valueStream().map(one -> one.path("pieceId").asString()))
        .contains(by)
        .doesNotContain(piece);
    long id = api.read("/api/rollouts").body().path("history").get(0).path("id").asLong();
    assertThat(
            api.write("/api/rollouts/" + id + "/take-back", Map.of("decisions", List.of()))
                .status())
        .isEqualTo(200);
    assertThat(
            api.page("om-walk")
                .path("placements")
                .valueStream()
                .map(one -> one.path("pieceId").asString()))
        .contains(piece);
  }

  @Test
  void aPageThatComesBackShowsNothingUnsettled() {
    api.editPage(
        "om-walk", "type", "PLACE", "node", "om-walk", "before", "", "piece", "opening-band");
    JsonNode placed = api.page("om-walk").path("placements");
    String placement =
        placed
            .valueStream()
            .filter(one -> one.path("pieceId").asString().equals("opening-band"))
            .map(one -> one.path("id").asString())
            .findFirst()
            .orElseThrow();
    api.editPage(
        "om-walk",
        "type",
        "STYLE",
        "nodes",
        List.of(placement + "/ob-heading"),
        "property",
        "font-size",
        "device",
        "desktop",
        "value",
        "41px");
    String before = Api.html(api.page("om-walk"));
    long version = api.page("om-walk").path("version").asLong();
    takeAway("om-walk", "");
    api.releaseOpeningBand();
    JsonNode plan = api.read("/api/rollouts/plan?piece=opening-band").body();
    assertThat(plan.toString()).as("a page that is gone is in no plan").doesNotContain("om-walk");
    List<String> sites =
        plan.path("sites").valueStream().map(site -> site.path("id").asString()).toList();
    assertThat(api.write("/api/rollouts", Api.rollout(plan, List.of(), sites)).status())
        .isEqualTo(200);
    api.write("/api/sites/oakum-rope-museum/gone/om-walk/bring-back", Map.of());
    JsonNode back = api.page("om-walk");
    assertThat(Api.html(back)).isEqualTo(before);
    assertThat(back.path("version").asLong()).isGreaterThan(version);
    assertThat(back.path("placements").toString()).contains("waiting");
    assertThat(api.turn("om-walk", "undo").status()).as("its history goes on").isLessThan(500);
  }
}
