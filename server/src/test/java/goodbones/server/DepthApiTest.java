package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** A button in a call to action in an opening band: pieces in pieces, from keeping to rollout. */
@ServerTest
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
            "One thing to do"));
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
            "31px"));
    release(button, "Rounder");
    JsonNode revisions = ok(api.read("/api/pieces/opening-band/revisions"));
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
}
