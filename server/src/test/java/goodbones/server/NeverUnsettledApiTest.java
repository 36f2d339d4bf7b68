package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.server.sites.Sites;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** What comes to another revision goes through rebase, whichever way it comes. */
@ServerTest
class NeverUnsettledApiTest {
  private static final String PAGE = "om-home";
  private static final String OPENING = "om-opening/ob-section";
  private static final String MUSEUM = "oakum-rope-museum";
  @Autowired private MockMvc mvc;
  @Autowired private Sites sites;
  @Autowired private JdbcTemplate database;
  private Api api;

  @BeforeEach
  void begin() {
    api = new Api(mvc);
  }

  private JsonNode placement() {
    return api.page(PAGE)
        .path("placements")
        .valueStream()
        .filter(p -> p.path("id").asString().equals("om-opening"))
        .findFirst()
        .orElseThrow();
  }

  private void edit(Object... parts) {
    Api.Answer answer = api.editPage(PAGE, parts);
    assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
  }

  private void undo() {
    Api.Answer answer =
        api.write(
            "/api/pages/" + PAGE + "/undo",
            Map.of("version", api.page(PAGE).path("version").asLong()));
    assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
  }

  /** The museum changed the button’s radius, and so does the revision that is released. */
  @Test
  void followingAgainAsksAndAPlacementThatCameBackWaits() {
    api.localRadius("20px");
    edit("type", "HOLD", "node", OPENING, "on", true);
    sites.adopt(MUSEUM, "opening-band", api.releaseOpeningBand());
    assertThat(placement().path("pin").asString()).isEqualTo("held");
    edit("type", "HOLD", "node", OPENING, "on", false);
    assertThat(placement().path("pin").asString()).isEqualTo("waiting");
    String html = Api.html(api.page(PAGE));
    assertThat(html).contains("border-top-left-radius:20px").doesNotContain("font-size:72px");
    JsonNode plan = api.read("/api/rollouts/plan?piece=opening-band").body();
    assertThat(plan.toString()).contains("to_decide");

    edit("type", "REMOVE", "nodes", List.of(OPENING));
    undo();
    assertThat(placement().path("pin").asString()).isEqualTo("waiting");
    undo();
    assertThat(placement().path("pin").asString()).as("held, as before").isEqualTo("held");
  }

  @Test
  void everyChangeCarriesTheRevisionThatItWasMadeOn() {
    String stored =
        database.queryForObject("select document from page where id = 'sf-home'", String.class);
    assertThat(stored).contains("\"madeOn\":").doesNotContain("\"madeOn\":0");
  }
}
