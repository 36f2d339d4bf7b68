package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** A slot that becomes the whole site's while its pages have different words in it. */
@ServerTest
class SiteWordsApiTest {
  private static final String SITE = "saltmarsh-ferries";
  private final Api api;

  SiteWordsApiTest(@Autowired MockMvc mvc) {
    this.api = new Api(mvc);
  }

  private static JsonNode ok(Api.Answer answer) {
    assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
    return answer.body();
  }

  private void place(String page, String heading) {
    JsonNode placed =
        ok(api.editPage(page, "type", "PLACE", "node", page, "before", "", "piece", "price-list"));
    String section = placed.path("made").get(0).asString();
    ok(
        api.editPage(
            page,
            "type",
            "FIELD",
            "node",
            section.replace("/pl-section", "/pl-heading"),
            "field",
            "words",
            "value",
            heading));
  }

  private List<String> shown() {
    List<String> shown = new ArrayList<>();
    for (String page : List.of("sf-home", "sf-fares", "sf-timetable")) {
      String html = Api.html(api.page(page));
      List.of("Crossings", "For everybody", "Day trips").stream()
          .filter(words -> html.contains(">" + words + "<"))
          .forEach(shown::add);
    }
    return shown;
  }

  private Api.Answer apply(JsonNode plan, String answer) {
    JsonNode question = plan.path("sites").get(0).path("questions").get(0);
    return api.write(
        "/api/rollouts",
        Api.rollout(
            plan,
            List.of(Map.of("key", question.path("key").asString(), "settle", answer)),
            List.of(SITE)));
  }

  @Test
  void oneQuestionForTheSiteAndAllOfItGoesBackWithTheRollout() {
    place("sf-home", "Crossings");
    place("sf-fares", "Day trips");
    place("sf-timetable", "Crossings");
    ok(
        api.editPiece(
            "price-list",
            "type",
            "SLOT",
            "node",
            "pl-heading",
            "field",
            "words",
            "filled",
            "SITE"));
    ok(
        api.write(
            "/api/pieces/price-list/release?site=" + SITE,
            Map.of(
                "version",
                api.piece("price-list").path("version").asLong(),
                "note",
                "One heading for each client")));
    JsonNode waiting = ok(api.read("/api/rollouts")).path("waiting").get(0);
    assertThat(waiting.path("toDecide").asInt()).isEqualTo(3);
    JsonNode plan = ok(api.read("/api/rollouts/plan?piece=price-list"));
    JsonNode site = plan.path("sites").get(0);
    assertThat(site.path("questions")).hasSize(1);
    JsonNode choices = site.path("questions").get(0).path("choices");
    assertThat(choices.valueStream().map(c -> c.path("value").asString()))
        .containsExactly("“Crossings”", "“Day trips”", "");
    assertThat(choices.get(0).path("pages")).hasSize(2);
    assertThat(site.path("placements").valueStream())
        .allMatch(p -> p.path("questions").isEmpty() && p.path("siteQuestions").size() == 1);
    assertThat(apply(plan, "9").detail()).contains("is none of them");
    assertThat(apply(plan, "both").detail()).contains("is no choice");

    JsonNode preview =
        ok(
            api.write(
                "/api/rollouts/preview",
                Api.parts(
                    "pieceId",
                    "price-list",
                    "revision",
                    2,
                    "pageId",
                    "sf-fares",
                    "decisions",
                    List.of(
                        Map.of(
                            "key",
                            site.path("questions").get(0).path("key").asString(),
                            "settle",
                            "0")),
                    "accepted",
                    List.of())));
    assertThat(preview.path("after").asString()).contains(">Crossings<").doesNotContain("Day tr");
    JsonNode done = ok(apply(plan, "0"));
    assertThat(shown()).containsExactly("Crossings", "Crossings", "Crossings");
    String heading =
        api.page("sf-fares")
            .path("blocks")
            .toString()
            .replaceAll(".*?\"([^\"]*/pl-heading)\".*", "$1");
    ok(
        api.editPage(
            "sf-fares",
            "type",
            "FIELD",
            "node",
            heading,
            "field",
            "words",
            "value",
            "For everybody"));
    assertThat(shown()).containsExactly("For everybody", "For everybody", "For everybody");
    ok(
        api.write(
            "/api/pages/sf-fares/undo",
            Map.of("version", api.page("sf-fares").path("version").asLong())));
    ok(
        api.write(
            "/api/rollouts/" + done.path("id").asLong() + "/take-back",
            Map.of("decisions", List.of())));
    assertThat(shown()).containsExactly("Crossings", "Day trips", "Crossings");
  }
}
