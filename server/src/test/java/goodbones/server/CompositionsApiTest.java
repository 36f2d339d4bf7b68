package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Pages that start from a composition or from another page. */
@ServerTest
class CompositionsApiTest {
  private static final String CLOCKS = "quillon-clocks";
  private Api api;

  @BeforeEach
  void begin(@Autowired MockMvc mvc) {
    api = new Api(mvc);
  }

  private JsonNode compositions() {
    return api.read("/api/compositions?site=" + CLOCKS).body();
  }

  private Api.Answer from(String composition, String title) {
    return api.write(
        "/api/sites/" + CLOCKS + "/pages/from-composition",
        Map.of("title", title, "composition", composition));
  }

  private JsonNode page(Api.Answer made) {
    assertThat(made.status()).as(made.detail()).isEqualTo(200);
    return api.page(made.body().path("id").asString());
  }

  private static List<String> pieces(JsonNode page) {
    return page.path("placements")
        .valueStream()
        .filter(placed -> !placed.path("id").asString().contains("/"))
        .map(placed -> placed.path("pieceId").asString())
        .toList();
  }

  @Test
  void everyCompositionMakesAPageOfItsPiecesWhoseWordsAllStandIn() {
    int n = 0;
    for (JsonNode one : compositions()) {
      JsonNode page = page(from(one.path("id").asString(), "Made " + n++));
      assertThat(pieces(page)).hasSize(one.path("pieces").size());
      assertThat(page.path("standIns")).isNotEmpty();
      assertThat(one.path("missing")).isEmpty();
      assertThat(
              api.text("/api/compositions/" + one.path("id").asString() + "/frame?site=" + CLOCKS))
          .contains("<main>");
    }
    assertThat(n).isEqualTo(9);
    JsonNode service = page(from("co-service", "One more"));
    assertThat(pieces(service).get(1)).isEqualTo("st-picture-text");
    assertThat(service.path("placements").valueStream().map(p -> p.path("variant").asString()))
        .contains("st-picture-text-trailing");
    assertThat(from("co-service", "One more").detail()).contains("There is a page at /one-more");
    assertThat(from("nowhere", "Another").status()).isEqualTo(404);
  }

  @Test
  @DirtiesContext(methodMode = DirtiesContext.MethodMode.BEFORE_METHOD)
  void whatAClientCannotHaveIsSaidAndLeftOut() {
    api.write("/api/pieces/retired", Map.of("pieces", List.of("st-news")));
    JsonNode news =
        compositions()
            .valueStream()
            .filter(one -> one.path("id").asString().equals("co-news"))
            .findFirst()
            .orElseThrow();
    assertThat(news.path("missing").valueStream().map(JsonNode::asString)).containsExactly("News");
    assertThat(pieces(page(from("co-news", "What is new")))).doesNotContain("st-news").hasSize(2);
  }

  @Test
  void aPageLikeAnotherStaysTiedAndHasItsWordsOrNone() {
    Map<String, Object> with = Map.of("title", "With words", "page", "qc-home", "words", true);
    Map<String, Object> without = Map.of("title", "Without", "page", "qc-home", "words", false);
    String to = "/api/sites/" + CLOCKS + "/pages/like-page";
    JsonNode home = api.page("qc-home");
    JsonNode same = page(api.write(to, with));
    JsonNode empty = page(api.write(to, without));
    assertThat(pieces(same)).isEqualTo(pieces(home));
    assertThat(pieces(empty)).isEqualTo(pieces(home));
    assertThat(words(Api.html(same))).isEqualTo(words(Api.html(home)));
    assertThat(home.path("standIns")).isEmpty();
    assertThat(empty.path("standIns").size() + empty.path("placements").size()).isGreaterThan(2);
    assertThat(words(Api.html(empty))).doesNotContain("clock", "Quillon");
    assertThat(api.write(to, Map.of("title", "X", "page", "sf-home", "words", true)).detail())
        .contains("another client");
  }

  @Test
  void whatStandsOnAPageFromTheLibraryIsKeptAsAComposition() {
    assertThat(api.write("/api/pages/qc-home/composition", Map.of("name", " Ours ")).status())
        .isEqualTo(200);
    JsonNode ours = compositions().get(compositions().size() - 1);
    assertThat(ours.path("name").asString()).isEqualTo("Ours");
    assertThat(ours.path("pieces").size()).isEqualTo(pieces(api.page("qc-home")).size());
    assertThat(api.write("/api/pages/qc-home/composition", Map.of("name", " ")).status())
        .isEqualTo(422);
    assertThat(pieces(page(from(ours.path("id").asString(), "Like ours"))))
        .isEqualTo(pieces(api.page("qc-home")));
  }

  private static String words(String html) {
    return html.replaceAll("<[^>]*>", " ").replaceAll("\\s+", " ").strip();
  }

  private static List<String> titles(JsonNode set) {
    return set.path("pages").valueStream().map(page -> page.path("title").asString()).toList();
  }

  @Test
  @DirtiesContext(methodMode = DirtiesContext.MethodMode.BEFORE_METHOD)
  void thePagesOfASiteAreKeptAsASetForOthersAndCanBeTakenAway() {
    Map<String, Object> named = Map.of("name", "As the clocks have it");
    assertThat(api.write("/api/sites/quillon-clocks/sets", named).status()).isEqualTo(200);
    assertThat(api.write("/api/sites/quillon-clocks/sets", Map.of("name", " ")).status())
        .isEqualTo(422);
    JsonNode sets = api.read("/api/sites/tern-valley/sets").body();
    JsonNode ours = sets.get(sets.size() - 1);
    assertThat(ours.path("kept").asBoolean()).isTrue();
    assertThat(titles(ours)).contains("Repairs", "The bench").doesNotContain("Home");
    JsonNode first = ours.path("pages").get(0);
    String frame = "/api/sites/tern-valley/sets/" + ours.path("id").asString() + "/pages/";
    assertThat(api.text(frame + first.path("place").asInt() + "/frame")).contains("<section");
    assertThat(api.read(frame + "99/frame").status()).isEqualTo(404);
    Api.Answer made =
        api.write(
            "/api/sites/tern-valley/pages/from-set", Map.of("set", ours.path("id").asString()));
    assertThat(made.body()).hasSize(titles(ours).size());
    JsonNode page = api.page(made.body().get(0).path("id").asString());
    assertThat(pieces(page)).isNotEmpty();
    assertThat(words(Api.html(page))).doesNotContain("clock");
    assertThat(api.delete("/api/sets/" + ours.path("id").asString()).status()).isEqualTo(200);
    assertThat(api.read("/api/sites/saltmarsh-ferries/sets").body()).hasSize(2);
  }

  @Test
  void whatIsReplacedIsReplacedInCompositionsAndSetsToo() {
    api.write("/api/pages/qc-home/composition", Map.of("name", "Ours"));
    api.write("/api/sites/quillon-clocks/sets", Map.of("name", "All of ours"));
    String plan = "/api/rollouts/replacement?piece=quote-band&by=testimonial";
    String basis = api.read(plan).body().path("basis").asString();
    Api.Answer done =
        api.write(
            "/api/rollouts/replacement",
            Map.of("pieceId", "quote-band", "by", "testimonial", "basis", basis));
    assertThat(done.status()).as(done.detail()).isEqualTo(200);
    JsonNode ours = compositions().get(compositions().size() - 1);
    assertThat(ours.path("missing")).isEmpty();
    assertThat(ours.path("pieces").valueStream().map(JsonNode::asString))
        .contains("Testimonial")
        .doesNotContain("Quote band");
    JsonNode sets = api.read("/api/sites/oakum-rope-museum/sets").body();
    JsonNode all = sets.get(sets.size() - 1);
    assertThat(
            api.text(
                "/api/sites/oakum-rope-museum/sets/"
                    + all.path("id").asString()
                    + "/pages/0/frame"))
        .contains("customer said");
  }

  @Test
  void aSiteStartsFromASetOfPagesAndGetsNoneTwice() {
    JsonNode sets = api.read("/api/sites/quillon-clocks/sets").body();
    assertThat(titles(sets.get(1))).contains("About", "News").doesNotContain("Prices");
    Api.Answer made = api.write("/api/sites/quillon-clocks/pages/from-set", Map.of("set", "whole"));
    assertThat(made.body()).hasSize(sets.get(1).path("pages").size());
    assertThat(api.page(made.body().get(0).path("id").asString()).path("placements")).isNotEmpty();
    assertThat(api.read("/api/sites/quillon-clocks/sets").body()).isEmpty();
    assertThat(
            api.write("/api/sites/quillon-clocks/pages/from-set", Map.of("set", "huge")).status())
        .isEqualTo(422);
  }
}
