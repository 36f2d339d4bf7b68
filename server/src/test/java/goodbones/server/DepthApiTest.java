package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** A button in a call to action in an opening band: pieces in pieces, from keeping to rollout. */
@ServerTest
@DirtiesContext(classMode = DirtiesContext.ClassMode.AFTER_EACH_TEST_METHOD)
class DepthApiTest {
  private final Api api;
  private String button = "";

  DepthApiTest(@Autowired MockMvc mvc) {
    this.api = new Api(mvc);
  }

  private JsonNode ok(Api.Answer answer) {
    assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
    return answer.body();
  }

  /** The opening band's button becomes a piece, in the band's draft, which is released. */
  @BeforeEach
  void keepTheButton() {
    ok(
        api.editPiece(
            "opening-band",
            "type",
            "KEEP",
            "node",
            "ob-button",
            "name",
            "Small button",
            "purpose",
            "small-part"));
    release("opening-band", "With the small button");
    button = api.piece("opening-band").path("placements").get(0).path("pieceId").asString();
  }

  private void release(String piece, String note) {
    ok(
        api.write(
            "/api/pieces/" + piece + "/release?site=saltmarsh-ferries",
            Map.of("version", api.piece(piece).path("version").asLong(), "note", note)));
  }

  private JsonNode plan(String piece) {
    return ok(api.read("/api/rollouts/plan?piece=" + piece));
  }

  private static List<String> siteIds(JsonNode plan) {
    List<String> ids = new ArrayList<>();
    plan.path("sites").forEach(site -> ids.add(site.path("id").asString()));
    return ids;
  }

  private void rollOut(String piece) {
    JsonNode plan = plan(piece);
    ok(api.write("/api/rollouts", Api.rollout(plan, List.of(), siteIds(plan))));
  }

  @Test
  void theSmallButtonFollowsThroughTheBandToEverySite() {
    rollOut("opening-band");
    Map<String, Object> versions =
        Map.of(
            "sf-home", api.page("sf-home").path("version"),
            "om-home", api.page("om-home").path("version"));
    assertThat(api.page("sf-home").path("placements").get(1).path("pieceName").asString())
        .isEqualTo("Small button");

    paintButton("31px");
    release(button, "Rounder");
    JsonNode plan = plan(button);
    assertThat(plan.path("sites").get(0).path("along").get(0).path("name").asString())
        .isEqualTo("Opening band");
    rollOut(button);

    for (String page : List.of("sf-home", "om-home")) {
      assertThat(Api.html(api.page(page))).contains("border-top-left-radius:31px");
      assertThat(api.page(page).path("version"))
          .as("no page is written")
          .isEqualTo(versions.get(page));
    }
    assertThat(plan(button).path("sites")).isEmpty();
  }

  private void paintButton(String radius) {
    ok(
        api.editPiece(
            button,
            "type",
            "STYLE",
            "nodes",
            List.of("ob-button"),
            "property",
            "border-radius",
            "device",
            "desktop",
            "value",
            radius));
  }

  /** What undo brings back into a draft is bound to what is current by then. */
  @Test
  void anUndoInADraftIsBoundAnewAndReleasedWithoutAQuestion() {
    String placed = api.piece("opening-band").path("placements").get(0).path("id").asString();
    ok(api.editPiece("opening-band", "type", "REMOVE", "nodes", List.of(placed + "/ob-button")));
    assertThat(api.piece("opening-band").path("placements")).isEmpty();
    paintButton("31px");
    release(button, "Rounder");
    ok(
        api.write(
            "/api/pieces/opening-band/undo?site=saltmarsh-ferries",
            Map.of("version", api.piece("opening-band").path("version").asLong())));
    JsonNode back = api.piece("opening-band");
    assertThat(back.path("placements").get(0).path("revision").asInt()).isEqualTo(2);
    assertThat(Api.html(back)).contains("border-top-left-radius:31px");
    ok(
        api.editPiece(
            "opening-band",
            "type",
            "STYLE",
            "nodes",
            List.of("ob-heading"),
            "property",
            "font-size",
            "device",
            "desktop",
            "value",
            "70px"));
    release("opening-band", "Larger");
  }

  private String insideTheBand(String page) {
    return api.page(page)
        .path("blocks")
        .valueStream()
        .flatMap(block -> block.path("nodes").valueStream())
        .map(node -> node.path("id").asString())
        .filter(id -> id.endsWith("/ob-button"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void anEditMadeBeforeACleanRolloutIsRebasedOrAskedForAnew() {
    rollOut("opening-band");
    JsonNode before = api.page("sf-home");
    paintButton("31px");
    release(button, "Rounder");
    rollOut(button);
    JsonNode after = api.page("sf-home");
    assertThat(after.path("version")).isEqualTo(before.path("version"));
    assertThat(after.path("stamp").asLong()).isGreaterThan(before.path("stamp").asLong());
    assertThat(styledOn(before, "border-radius", "3px").status())
        .as("the library changed the same")
        .isEqualTo(409);
    assertThat(Api.html(ok(styledOn(before, "font-weight", "700")))).contains("font-weight:700");
  }

  /** Sets something at the button on the page, as seen on an older canvas. */
  private Api.Answer styledOn(JsonNode canvas, String property, String value) {
    return api.write(
        "/api/pages/sf-home/edits",
        Map.of(
            "version",
            canvas.path("version").asLong(),
            "stamp",
            canvas.path("stamp").asLong(),
            "edit",
            Api.parts(
                "type",
                "STYLE",
                "nodes",
                List.of(insideTheBand("sf-home")),
                "property",
                property,
                "device",
                "desktop",
                "value",
                value)));
  }

  @Test
  void theLibraryGoesBackByGoingForward() {
    rollOut("opening-band");
    String square = Api.html(api.page("sf-home"));
    paintButton("31px");
    release(button, "Rounder");
    rollOut(button);
    JsonNode done = ok(api.read("/api/rollouts")).path("history").get(0);
    ok(
        api.write(
            "/api/rollouts/" + done.path("id").asLong() + "/take-back",
            Map.of("decisions", List.of())));
    assertThat(Api.html(api.page("sf-home"))).isEqualTo(square);
    JsonNode taken = ok(api.read("/api/rollouts")).path("history").get(0);
    assertThat(taken.path("backTo").asInt()).isEqualTo(1);
    JsonNode after =
        ok(
            api.write(
                "/api/rollouts/go-back",
                Map.of(
                    "pieceId",
                    button,
                    "version",
                    taken.path("pieceVersion").asLong(),
                    "revision",
                    1)));
    assertThat(after.path("waiting")).as("nothing waits").isEmpty();
    assertThat(api.piece(button).path("piece").path("current").asInt()).isEqualTo(3);
    assertThat(Api.html(api.page("sf-home"))).isEqualTo(square);
    JsonNode revisions = ok(api.read("/api/pieces/opening-band/revisions"));
    assertThat(revisions.get(0).path("followUp").asBoolean()).isTrue();
    assertThat(revisions.get(1).path("goneBackOn").asBoolean()).isTrue();
  }

  @Test
  void aPieceCannotComeToStandInItself() {
    Api.Answer itself =
        api.editPiece(
            "opening-band", "type", "PLACE", "node", "ob-section", "piece", "opening-band");
    assertThat(itself.status()).isEqualTo(422);
    Api.Answer around =
        api.editPiece(button, "type", "PLACE", "node", "ob-button", "piece", "opening-band");
    assertThat(around.status()).isEqualTo(422);
  }

  @Test
  void aPieceThatCameLaterCanBePlacedAtEverySite() {
    JsonNode placed =
        ok(api.editPage("tv-home", "type", "PLACE", "node", "tv-home", "piece", button));
    assertThat(placed.path("placements").valueStream().map(p -> p.path("pieceId").asString()))
        .contains(button);
    assertThat(plan(button).path("sites")).as("it shows the current one").isEmpty();
  }

  @Test
  void aPictureTakenAwayStaysAway() {
    ok(
        api.editPage(
            "sf-home",
            "type",
            "FIELD",
            "node",
            "sf-opening/ob-section",
            "field",
            "picture",
            "value",
            ""));
    JsonNode ladder =
        api.read("/api/pages/sf-home/ladder?node=sf-opening/ob-section&device=desktop").body();
    JsonNode picture = ladder.path("fields").get(0);
    assertThat(picture.path("value").asString()).isEmpty();
    assertThat(picture.path("local").asBoolean()).isTrue();
  }

  @Test
  void aQuestionInsideAPieceIsAnsweredOnce() {
    String inBand =
        api.piece("opening-band").path("placements").get(0).path("id").asString() + "/ob-button";
    ok(
        api.editPiece(
            "opening-band",
            "type",
            "STYLE",
            "nodes",
            List.of(inBand),
            "property",
            "border-radius",
            "device",
            "desktop",
            "value",
            "5px"));
    release("opening-band", "Its own corners");
    paintButton("31px");
    release(button, "Rounder");
    JsonNode inside = ok(api.read("/api/rollouts")).path("inside");
    assertThat(inside).hasSize(1);
    assertThat(inside.get(0).path("name").asString()).isEqualTo("Opening band");
    JsonNode question = inside.get(0).path("questions").get(0);
    JsonNode after =
        ok(
            api.write(
                "/api/rollouts/answers",
                Map.of(
                    "pieceId",
                    "opening-band",
                    "decisions",
                    List.of(Map.of("key", question.path("key").asString(), "settle", "take")))));
    assertThat(after.path("inside")).isEmpty();
    assertThat(Api.html(api.piece("opening-band"))).contains("border-top-left-radius:31px");
  }
}
