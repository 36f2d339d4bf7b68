package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Node;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import goodbones.style.SiteFinishes;
import goodbones.survey.Contrast;
import goodbones.survey.PageLook;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** The demo opens in the middle of the agency’s work. */
@ServerTest
@TestPropertySource(properties = "goodbones.demo.work=true")
class DemoWorkTest {
  private static final List<String> CLIENTS =
      List.of("saltmarsh-ferries", "oakum-rope-museum", "tern-valley", "quillon-clocks");

  @Autowired private FinishesStore finishes;
  @Autowired private Pieces pieces;
  private Api api;

  @BeforeEach
  void begin(@Autowired MockMvc mvc) {
    api = new Api(mvc);
  }

  /** WCAG 2.2, success criterion 1.4.3, for what a revision says in a client's look. */
  private boolean isLegible(int revision, String site) {
    SiteFinishes look = finishes.forSite(site);
    Node root = pieces.revision("hours-band", revision).root();
    Shown shown = Shown.of(Frames.around(root), Showing.BOUND, pieces);
    return PageLook.of("page", shown, look).pairs().keySet().stream()
        .map(pair -> Contrast.of(pair, look, Contrast.Pixels.UNKNOWN).verdict())
        .allMatch(verdict -> verdict == Contrast.Verdict.AA || verdict == Contrast.Verdict.AAA);
  }

  @Test
  void aReleaseWaitsWithAQuestionForOneClientAndAContrastThatWouldFailAtAnother() {
    JsonNode waiting = api.read("/api/rollouts").body().path("waiting");
    assertThat(waiting).hasSize(1);
    assertThat(waiting.get(0).path("pieceId").asString()).isEqualTo("hours-band");
    assertThat(waiting.get(0).path("sites")).hasSize(CLIENTS.size());
    assertThat(waiting.get(0).path("toDecide").asInt()).isEqualTo(1);
    for (String site : CLIENTS) {
      assertThat(isLegible(1, site)).as(site).isTrue();
      assertThat(isLegible(2, site)).as(site).isEqualTo(!site.equals("tern-valley"));
    }
  }

  @Test
  void onePageIsHeldOnAnEarlierRevisionAndNothingStandsInButOnPurpose() {
    JsonNode uses = api.read("/api/pieces/call-to-action/uses").body().path("pages");
    List<JsonNode> held = uses.valueStream().filter(use -> use.path("held").asBoolean()).toList();
    assertThat(held).hasSize(1);
    assertThat(held.get(0).path("pageId").asString()).isEqualTo("om-visit");
    assertThat(held.get(0).path("behind").asBoolean()).isTrue();
    for (String site : CLIENTS) {
      api.read("/api/sites/" + site + "/stand-ins")
          .body()
          .properties()
          .forEach(page -> assertThat(page.getValue().asInt()).as("%s", page).isZero());
    }
  }
}
