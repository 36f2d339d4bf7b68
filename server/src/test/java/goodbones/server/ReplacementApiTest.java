package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.FieldValue;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.Placement;
import goodbones.library.Placements;
import goodbones.library.Shown;
import goodbones.server.library.Pieces;
import goodbones.server.library.UsageIndex;
import goodbones.server.library.Use;
import goodbones.server.sites.Sites;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Another piece in the place of one, everywhere, as one rollout. */
@ServerTest
class ReplacementApiTest {
  @Autowired private Pieces pieces;
  @Autowired private UsageIndex usage;
  @Autowired private Sites sites;
  private Api api;

  @BeforeEach
  void begin(@Autowired MockMvc mvc) {
    api = new Api(mvc);
  }

  private Map<String, Node> pages() {
    Map<String, Node> pages = new TreeMap<>();
    for (var site : sites.all()) {
      sites.pages(site.id()).forEach(page -> pages.put(page.id(), sites.page(page.id()).root()));
    }
    return pages;
  }

  private Set<String> words(String pageId) {
    Shown shown =
        Shown.of(sites.page(pageId).root(), sites.adopted(sites.page(pageId).siteId()), pieces);
    Set<String> words = new TreeSet<>();
    shown.root().walk(node -> node.content().values().forEach(value -> add(value, words)));
    return words;
  }

  private static void add(FieldValue value, Set<String> words) {
    if (value instanceof FieldValue.Words said && !said.standIn()) {
      words.add(said.text());
    }
  }

  /** What was filled at placements, also at those that are kept out of sight. */
  private static Set<String> filled(Node page) {
    Set<String> words = new TreeSet<>();
    Placements.of(page).values().forEach(placement -> filled(placement, words));
    return words;
  }

  private static void filled(Placement placement, Set<String> words) {
    for (LocalValue value : placement.layer().changes().values()) {
      if (value instanceof LocalValue.ContentIs is) {
        is.value().ifPresent(content -> add(content, words));
      }
    }
    placement.left().forEach(left -> filled(left, words));
  }

  private static String plain(String text) {
    return text.replaceAll("[“”…]", "").strip();
  }

  private Api.Answer place(String page, String piece) {
    return api.editPage(page, "type", "PLACE", "node", page, "before", "", "piece", piece);
  }

  private Api.Answer plan(String piece, String by) {
    return api.read("/api/rollouts/replacement?piece=" + piece + "&by=" + by);
  }

  private Api.Answer replace(JsonNode plan) {
    return api.write(
        "/api/rollouts/replacement",
        Map.of(
            "pieceId",
            plan.path("pieceId").asString(),
            "by",
            plan.path("by").asString(),
            "basis",
            plan.path("basis").asString()));
  }

  private List<String> used() {
    return pieces.names().keySet().stream().filter(id -> !usage.uses(id).isEmpty()).toList();
  }

  /** Every piece that is used, each by several others, and back. */
  @Test
  void everyFillingIsCarriedOrListedAndTakingBackIsTheIdentity() {
    int replaced = 0;
    int inside = 0;
    int kept = 0;
    for (String piece : used()) {
      int tried = 0;
      for (String by : pieces.names().keySet()) {
        Api.Answer plan = plan(piece, by);
        if (plan.status() != 200) {
          assertThat(plan.status()).as("%s by %s: %s", piece, by, plan.body()).isEqualTo(422);
          continue;
        }
        if (tried++ == 2) {
          break;
        }
        Map<String, Node> before = pages();
        int uses = usage.uses(piece).size();
        Map<String, Set<String>> said = new TreeMap<>();
        before.forEach((id, root) -> said.put(id, filled(root)));
        Map<String, Set<String>> seen = new TreeMap<>();
        before.keySet().forEach(id -> seen.put(id, words(id)));
        Api.Answer done = replace(plan.body());
        assertThat(done.status()).as("%s by %s: %s", piece, by, done.body()).isEqualTo(200);
        replaced++;
        inside += plan.body().path("pieces").size();
        assertThat(usage.uses(piece)).as("%s by %s", piece, by).isEmpty();
        Map<String, Node> after = pages();
        List<String> listed = new ArrayList<>();
        plan.body()
            .path("sites")
            .valueStream()
            .flatMap(site -> site.path("placements").valueStream())
            .flatMap(placement -> placement.path("kept").valueStream())
            .forEach(text -> listed.add(text.asString()));
        kept += listed.size();
        for (String page : before.keySet()) {
          Set<String> now = words(page);
          Set<String> stored = filled(after.get(page));
          for (String text : said.get(page)) {
            assertThat(stored).as("%s by %s on %s", piece, by, page).contains(text);
            if (seen.get(page).contains(text) && !now.contains(text)) {
              assertThat(listed)
                  .as("%s by %s on %s", piece, by, page)
                  .anyMatch(line -> plain(text).startsWith(plain(line)));
            }
          }
        }
        String id = done.body().path("id").asString();
        Api.Answer back =
            api.write("/api/rollouts/" + id + "/take-back", Map.of("decisions", List.of()));
        assertThat(back.status()).as("%s by %s: %s", piece, by, back.body()).isEqualTo(200);
        assertThat(pages()).as("%s by %s", piece, by).isEqualTo(before);
        assertThat(usage.uses(piece)).as("%s by %s", piece, by).hasSize(uses);
      }
    }
    assertThat(replaced).isGreaterThan(10);
    assertThat(inside).isGreaterThan(0);
    assertThat(kept).isGreaterThan(0);
  }

  @Test
  void whatWasChangedSinceThePlanIsToldAndARetiredPieceStandsNowhere() {
    JsonNode plan = plan("call-to-action", "st-action").body();
    Use use = usage.uses("call-to-action").stream().filter(Use::isOnPage).findFirst().orElseThrow();
    assertThat(place(use.ownerId(), "st-news").status()).isEqualTo(200);
    assertThat(replace(plan).status()).isEqualTo(409);
    JsonNode again = plan("call-to-action", "st-action").body();
    assertThat(replace(again).status()).isEqualTo(200);
    assertThat(place(use.ownerId(), "call-to-action").status()).isEqualTo(422);
    assertThat(plan("call-to-action", "call-to-action").status()).isEqualTo(422);
  }
}
