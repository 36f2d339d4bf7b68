package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.security.test.context.support.WithUserDetails;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/**
 * A database that was made before pieces could stand in pieces: the demo's, with local changes, a
 * filling, two rollouts of which one was taken back and one waits for an answer, a draft, and a
 * section that was removed last.
 */
@SpringBootTest(properties = {"goodbones.demo=true", "goodbones.demo.work=false"})
@AutoConfigureMockMvc
@WithUserDetails("iris")
@DirtiesContext(classMode = DirtiesContext.ClassMode.AFTER_CLASS)
class OldDatabaseTest {
  private final Api api;

  OldDatabaseTest(@Autowired MockMvc mvc) {
    this.api = new Api(mvc);
  }

  @DynamicPropertySource
  static void database(DynamicPropertyRegistry registry) {
    registry.add(
        "spring.datasource.url",
        () -> "jdbc:h2:file:" + OldFile.unpacked("before-pieces-in-pieces"));
  }

  private JsonNode ok(Api.Answer answer) {
    assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
    return answer.body();
  }

  @Test
  void itOpensAndTheWorkGoesOn() {
    JsonNode ferries = api.page("sf-home");
    assertThat(Api.html(ferries)).contains("Words from before").contains(":9px");
    JsonNode museum = api.page("om-home").path("placements").get(0);
    assertThat(museum.path("pin").asString()).isEqualTo("waiting");
    assertThat(museum.path("changes")).hasSize(1);

    JsonNode piece = api.piece("opening-band").path("piece");
    assertThat(piece.path("current").asInt()).as("it went back by going forward").isEqualTo(5);
    assertThat(piece.path("draft").asBoolean()).isTrue();
    assertThat(piece.path("reach").path("placements").asInt()).isEqualTo(2);

    JsonNode back =
        ok(
            api.write(
                "/api/pages/sf-home/undo", Map.of("version", ferries.path("version").asLong())));
    assertThat(Api.html(back)).contains("sf-routes");
    JsonNode further =
        ok(api.write("/api/pages/sf-home/undo", Map.of("version", back.path("version").asLong())));
    assertThat(Api.html(further)).doesNotContain("Words from before");

    JsonNode history = ok(api.read("/api/rollouts")).path("history");
    long first = history.get(history.size() - 1).path("id").asLong();
    ok(api.write("/api/rollouts/" + first + "/take-back", Map.of("decisions", List.of())));
    assertThat(Api.html(api.page("sf-home"))).doesNotContain(":9px");
    assertThat(Api.html(api.page("om-home"))).contains(":20px");
  }
}
