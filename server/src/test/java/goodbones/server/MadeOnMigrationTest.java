package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.test.context.support.WithUserDetails;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/**
 * A database of 2026-12-02, in which a placement named the one revision that all of its changes
 * were settled on. On two pages a heading was made 41 px large and removed, before a revision that
 * also sets its size was rolled out; on one of them the button's size was set since.
 */
@SpringBootTest(properties = {"goodbones.demo=true", "goodbones.demo.work=false"})
@AutoConfigureMockMvc
@WithUserDetails("iris")
@DirtiesContext(classMode = DirtiesContext.ClassMode.AFTER_EACH_TEST_METHOD)
class MadeOnMigrationTest {
  private final Api api;
  @Autowired private JdbcTemplate database;

  MadeOnMigrationTest(@Autowired MockMvc mvc) {
    this.api = new Api(mvc);
  }

  @DynamicPropertySource
  static void database(DynamicPropertyRegistry registry) {
    registry.add(
        "spring.datasource.url", () -> "jdbc:h2:file:" + OldFile.unpacked("made-on-placements"));
  }

  private static JsonNode ok(Api.Answer answer) {
    assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
    return answer.body();
  }

  @Test
  void whatWasOutOfSightKeepsTheRevisionThatItWasMadeOnAndAsksWhenItIsSeenAgain() {
    List<String> documents =
        database.queryForList(
            "select document from page union all select document from revision where document is"
                + " not null union all select draft from piece where draft is not null union all"
                + " select stood from rollout union all select step from edit_step",
            String.class);
    assertThat(documents).hasSizeGreaterThan(50);
    assertThat(documents).noneMatch(json -> json.contains("\"settled\""));
    assertThat(documents).noneMatch(json -> json.contains("dormantSince"));
    String home =
        database.queryForObject("select document from page where id = 'sf-home'", String.class);
    assertThat(home)
        .contains(
            "\"ob-heading style font-size\":{\"value\":{\"is\":\"style\",\"value\":\"41px\"},\"madeOn\":2}",
            "\"ob-button style font-size\":{\"value\":{\"is\":\"style\",\"value\":\"19px\"},\"madeOn\":3}");

    JsonNode once =
        ok(
            api.write(
                "/api/pages/sf-home/undo",
                Map.of("version", api.page("sf-home").path("version").asLong())));
    assertThat(Api.html(once)).doesNotContain("19px");
    Api.Answer shownAgain =
        api.write("/api/pages/sf-home/undo", Map.of("version", once.path("version").asLong()));
    assertThat(shownAgain.status()).as("the heading's size was set by both").isEqualTo(409);
    assertThat(Api.html(api.page("sf-home"))).doesNotContain("41px");
  }

  @Test
  void theRolloutOfThenIsTakenBack() {
    JsonNode history = ok(api.read("/api/rollouts")).path("history");
    long last = history.get(0).path("id").asLong();
    ok(api.write("/api/rollouts/" + last + "/take-back", Map.of("decisions", List.of())));
    assertThat(Api.html(api.page("om-home"))).contains(":20px").doesNotContain("41px");
  }
}
