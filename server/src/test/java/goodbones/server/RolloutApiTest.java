package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.reset;

import goodbones.server.sites.Sites;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** A release carried to sites and taken back, on the real database. */
@ServerTest
@DirtiesContext(classMode = DirtiesContext.ClassMode.AFTER_EACH_TEST_METHOD)
class RolloutApiTest {
  private static final String FERRIES = "saltmarsh-ferries";
  private static final String MUSEUM = "oakum-rope-museum";
  @MockitoSpyBean private Sites sites;
  @Autowired private JdbcTemplate database;
  private Api api;

  @BeforeEach
  void begin(@Autowired MockMvc mvc) {
    api = new Api(mvc);
  }

  private JsonNode plan() {
    return api.read("/api/rollouts/plan?piece=opening-band").body();
  }

  private static Stream<JsonNode> placements(JsonNode plan) {
    return plan.path("sites").valueStream().flatMap(s -> s.path("placements").valueStream());
  }

  private static String status(JsonNode plan, String page) {
    return placements(plan)
        .filter(p -> p.path("pageId").asString().equals(page))
        .map(p -> p.path("status").asString())
        .findFirst()
        .orElse("shows it");
  }

  private Api.Answer apply(JsonNode plan, String settle, String... siteIds) {
    List<Map<String, Object>> decisions =
        placements(plan)
            .flatMap(p -> p.path("questions").valueStream())
            .map(q -> Map.<String, Object>of("key", q.path("key").asString(), "settle", settle))
            .toList();
    return api.write(
        "/api/rollouts",
        Api.rollout(plan, settle.isEmpty() ? List.of() : decisions, List.of(siteIds)));
  }

  /** Everything that a rollout may touch, as it is stored. */
  private List<Map<String, Object>> stored() {
    return Stream.of(
            "select id, cast(document as varchar) d from page order by id",
            "select * from adopted order by site_id, piece_id",
            "select * from placed order by owner_kind, owner_id, path")
        .flatMap(sql -> database.queryForList(sql).stream())
        .toList();
  }

  @Test
  void theConflictIsDecidedAppliedAndTakenBackExactly() {
    api.localRadius("20px");
    List<Map<String, Object>> before = stored();
    assertThat(api.releaseOpeningBand()).isEqualTo(3);
    assertThat(stored()).as("a release changes no site").isEqualTo(before);
    JsonNode plan = plan();
    assertThat(status(plan, "sf-home")).isEqualTo("clean");
    assertThat(status(plan, "om-home")).isEqualTo("to_decide");

    Api.Answer applied = apply(plan, "take", FERRIES, MUSEUM);
    assertThat(applied.status()).isEqualTo(200);
    String museum = Api.html(api.page("om-home"));
    assertThat(museum)
        .contains("font-size:72px", "A new line of text.", "Four hundred years of rope")
        .contains("border-top-left-radius:var(--radius-button)")
        .doesNotContain("border-top-left-radius:20px");
    assertThat(plan().path("sites")).isEmpty();

    String id = applied.body().path("id").asString();
    Api.Answer back =
        api.write("/api/rollouts/" + id + "/take-back", Map.of("decisions", List.of()));
    assertThat(back.status()).isEqualTo(200);
    assertThat(stored()).as("everything is exactly as before").isEqualTo(before);

    Api.Answer again = apply(plan(), "stay", MUSEUM);
    assertThat(again.status()).isEqualTo(200);
    assertThat(Api.html(api.page("om-home")))
        .contains("font-size:72px", "border-top-left-radius:20px");
    assertThat(Api.html(api.page("sf-home"))).doesNotContain("font-size:72px");
    assertThat(status(plan(), "om-home")).isEqualTo("shows it");
    assertThat(status(plan(), "sf-home")).isEqualTo("clean");
  }

  @Test
  void whatIsNotDecidedWaitsOnItsRevisionAndTheRestGoesOn() {
    api.localRadius("20px");
    api.releaseOpeningBand();
    assertThat(apply(plan(), "", FERRIES, MUSEUM).status()).isEqualTo(200);
    JsonNode waiting = api.page("om-home").path("placements").get(0);
    assertThat(waiting.path("pin").asString()).isEqualTo("waiting");
    assertThat(waiting.path("revision").asInt()).isEqualTo(2);
    assertThat(api.page("sf-home").path("placements").get(0).path("revision").asInt()).isEqualTo(3);
    assertThat(status(plan(), "om-home")).isEqualTo("to_decide");
    assertThat(apply(plan(), "stay", MUSEUM).status()).isEqualTo(200);
    assertThat(api.page("om-home").path("placements").get(0).path("pin").asString()).isEmpty();
  }

  private int asked(JsonNode overview) {
    return overview.path("waiting").valueStream().mapToInt(w -> w.path("toDecide").asInt()).sum();
  }

  private int asked() {
    int counted = asked(api.read("/api/rollouts").body());
    JsonNode plan = plan();
    long planned =
        placements(plan).filter(p -> p.path("status").asString().equals("to_decide")).count();
    assertThat(counted).as("what is counted and what is planned").isEqualTo((int) planned);
    return counted;
  }

  @Test
  void whatAsksIsCountedAnewWhereAPageOrASiteChanged() {
    api.releaseOpeningBand();
    assertThat(asked()).isZero();
    api.localRadius("20px");
    assertThat(asked()).isEqualTo(1);
    assertThat(api.turn("om-home", "undo").status()).isEqualTo(200);
    assertThat(asked()).isZero();
    assertThat(api.turn("om-home", "redo").status()).isEqualTo(200);
    assertThat(asked()).isEqualTo(1);
    String id = apply(plan(), "take", MUSEUM).body().path("id").asString();
    assertThat(asked()).isZero();
    api.write("/api/rollouts/" + id + "/take-back", Map.of("decisions", List.of()));
    assertThat(asked()).isEqualTo(1);
  }

  @Test
  void aFailureInTheMiddleLeavesEverythingAsItWas() {
    api.localRadius("20px");
    api.releaseOpeningBand();
    List<Map<String, Object>> before = stored();
    JsonNode plan = plan();
    doThrow(new IllegalStateException("the disk is full"))
        .when(sites)
        .adopt(eq(FERRIES), any(), anyInt());
    Api.Answer failed = apply(plan, "take", MUSEUM, FERRIES);
    assertThat(failed.status()).isEqualTo(500);
    assertThat(failed.detail()).doesNotContain("disk").contains("What was saved before is kept");
    assertThat(stored()).isEqualTo(before);
    assertThat(api.read("/api/rollouts").body().path("history")).isEmpty();
    reset(sites);
    assertThat(apply(plan, "take", MUSEUM, FERRIES).status()).isEqualTo(200);
  }

  @Test
  void aPageEditedSinceThePlanStopsTheRollout() {
    api.releaseOpeningBand();
    JsonNode plan = plan();
    api.editPage(
        "sf-home", "type", "FIELD", "node", "sf-routes-h", "field", "words", "value", "Where to?");
    List<Map<String, Object>> before = stored();
    Api.Answer stale = apply(plan, "", FERRIES, MUSEUM);
    assertThat(stale.status()).isEqualTo(409);
    assertThat(stored()).isEqualTo(before);
    assertThat(apply(plan(), "", FERRIES, MUSEUM).status()).isEqualTo(200);
  }

  private JsonNode takeBackPlan(String id) {
    return api.write("/api/rollouts/" + id + "/take-back/plan", Map.of("decisions", List.of()))
        .body();
  }

  @Test
  void wordsFilledSinceAreAskedAboutBeforeTakingBack() {
    api.releaseOpeningBand();
    String id = apply(plan(), "", FERRIES).body().path("id").asString();
    String added =
        api.page("sf-home")
            .path("blocks")
            .valueStream()
            .flatMap(block -> block.path("nodes").valueStream())
            .filter(n -> n.path("title").asString().equals("A new line of text."))
            .map(n -> n.path("id").asString())
            .findFirst()
            .orElseThrow();
    api.editPage(
        "sf-home", "type", "FIELD", "node", added, "field", "words", "value", "Mind the gap");
    Api.Answer open =
        api.write("/api/rollouts/" + id + "/take-back", Map.of("decisions", List.of()));
    assertThat(open.status()).isEqualTo(422);
    assertThat(open.detail()).contains("was edited since the rollout");
    JsonNode question = takeBackPlan(id).path("questions").get(0);
    assertThat(question.path("page").asString()).contains("Mind the gap");
    Map<String, Object> keep = Map.of("key", question.path("key").asString(), "settle", "stay");
    assertThat(
            api.write("/api/rollouts/" + id + "/take-back", Map.of("decisions", List.of(keep)))
                .status())
        .isEqualTo(200);
    assertThat(Api.html(api.page("sf-home")))
        .contains("Mind the gap")
        .doesNotContain("font-size:72px");
  }

  @Test
  void aLaterRolloutGoesBackWithTheOneItStandsOn() {
    List<Map<String, Object>> before = stored();
    api.releaseOpeningBand();
    String first = apply(plan(), "", FERRIES).body().path("id").asString();
    api.releaseOpeningBand();
    api.style("ob-heading", "font-size", "80px");
    api.write(
        "/api/pieces/opening-band/release?site=" + FERRIES,
        Map.of(
            "version", api.piece("opening-band").path("version").asLong(), "note", "Larger still"));
    apply(plan(), "", FERRIES);
    JsonNode plan = takeBackPlan(first);
    assertThat(plan.path("together")).hasSize(1);
    assertThat(
            api.write("/api/rollouts/" + first + "/take-back", Map.of("decisions", List.of()))
                .status())
        .isEqualTo(200);
    assertThat(stored()).isEqualTo(before);
  }

  @Test
  void aReleaseNeedsAChangeAndANote() {
    long version = api.piece("opening-band").path("version").asLong();
    String path = "/api/pieces/opening-band/release?site=" + FERRIES;
    assertThat(api.write(path, Map.of("version", version, "note", "x")).detail())
        .contains("Nothing has changed since revision 2");
    api.style("ob-heading", "font-size", "72px");
    version = api.piece("opening-band").path("version").asLong();
    assertThat(api.write(path, Map.of("version", version, "note", " ")).detail())
        .contains("Say in a few words what is new");
  }
}
