package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.server.sites.Sites;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** What a single step brings back asks first; what cannot come along is said. */
@ServerTest
class BroughtBackApiTest {
  private static final String PAGE = "om-home";
  private final Api api;
  private final Sites sites;

  BroughtBackApiTest(@Autowired MockMvc mvc, @Autowired Sites sites) {
    this.api = new Api(mvc);
    this.sites = sites;
  }

  private Api.Answer turn(String way, Object... more) {
    Map<String, Object> asked = Api.parts(more);
    asked.put("version", api.page(PAGE).path("version").asLong());
    return api.write("/api/pages/" + PAGE + "/" + way, asked);
  }

  /** The museum changed the button’s radius, undid that, and the library changed it since. */
  @Test
  void aStepThatTheLibraryWentPastAsksAndDoesNothingUntilItIsAnswered() {
    api.localRadius("21px");
    api.localRadius("22px");
    assertThat(turn("undo").status()).isEqualTo(200);
    assertThat(turn("undo").status()).isEqualTo(200);
    sites.adopt("oakum-rope-museum", "opening-band", api.releaseOpeningBand());
    long version = api.page(PAGE).path("version").asLong();
    Api.Answer asks = turn("redo");
    assertThat(asks.status()).isEqualTo(409);
    assertThat(asks.body().path("type").asString()).endsWith("asks-first");
    assertThat(api.page(PAGE).path("version").asLong()).isEqualTo(version);
    assertThat(api.page(PAGE).path("redo").asString()).isNotEmpty();

    JsonNode back = turn("redo", "own", true).body();
    assertThat(Api.html(back)).contains("border-top-left-radius:21px");
    assertThat(turn("redo").status()).as("22px was made before, too").isEqualTo(409);
    assertThat(turn("redo", "own", true).status()).isEqualTo(200);
    assertThat(turn("undo").status()).isEqualTo(200);
    assertThat(turn("undo").status()).isEqualTo(200);
    JsonNode left = turn("redo", "own", false).body();
    assertThat(Api.html(left)).doesNotContain("border-top-left-radius:21px");
    assertThat(left.path("version").asLong()).isEqualTo(api.page(PAGE).path("version").asLong());
  }

  @Test
  void aNamedStyleThatIsNotHereIsSaidWithWhatWasKeptOfIt() {
    String heading = "sf-opening/ob-heading";
    assertThat(
            api.editPage(
                    "sf-home", "type", "NAMED_STYLES", "node", heading, "ids", List.of("s-lead"))
                .status())
        .isEqualTo(200);
    String clip =
        api.read("/api/pages/sf-home/clip?node=sf-opening/ob-section")
            .body()
            .path("data")
            .asString()
            .replace("\"s-lead\"", "\"elsewhere\"");
    JsonNode pasted =
        api.editPage("tv-home", "type", "PASTE", "node", "tv-home", "value", clip).body();
    assertThat(pasted.path("unfit")).hasSize(1);
    JsonNode unfit = pasted.path("unfit").get(0);
    assertThat(unfit.path("node").asString()).endsWith("/ob-heading");
    assertThat(unfit.path("says").asString()).contains("no named style").contains("kept here as");
    assertThat(unfit.path("settings").size()).isPositive();
    JsonNode mended =
        api.editPage("tv-home", "type", "SETTINGS", "settings", unfit.path("settings")).body();
    assertThat(mended.path("version").asLong()).isGreaterThan(pasted.path("version").asLong());
  }
}
