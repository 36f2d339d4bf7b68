package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Edits on pages and pieces over the API, on the real database. */
@ServerTest
@TestMethodOrder(MethodOrderer.MethodName.class)
class WorkbenchApiTest {
  private Api api;

  @BeforeEach
  void begin(@Autowired MockMvc mvc) {
    api = new Api(mvc);
  }

  private static JsonNode placement(JsonNode page, String id) {
    return page.path("placements")
        .valueStream()
        .filter(p -> p.path("id").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aSlotIsFilledAndAStyleBecomesALocalChangeThatCanBeTakenAway() {
    Api.Answer words =
        api.editPage(
            "om-home",
            "type",
            "FIELD",
            "node",
            "om-opening/ob-heading",
            "field",
            "words",
            "value",
            "Rope & <twine>");
    assertThat(words.status()).isEqualTo(200);
    assertThat(Api.html(words.body())).contains("Rope &amp; &lt;twine&gt;");
    assertThat(placement(words.body(), "om-opening").path("changes")).isEmpty();
    api.localRadius("20px");
    JsonNode changed = api.page("om-home");
    assertThat(placement(changed, "om-opening").path("changes").get(0).path("label").asString())
        .isEqualTo("Corner radius");
    assertThat(Api.html(changed)).contains("border-top-left-radius:20px");
    Api.Answer reset =
        api.editPage(
            "om-home",
            "type",
            "RESET",
            "node",
            "om-opening/ob-button",
            "aspect",
            "style border-radius");
    assertThat(placement(reset.body(), "om-opening").path("changes")).isEmpty();
  }

  @Test
  void undoAndRedoGoBackAndForthWithoutEnd() {
    String start = Api.html(api.page("sf-home"));
    for (String words : new String[] {"one", "two", "three"}) {
      api.editPage(
          "sf-home", "type", "FIELD", "node", "sf-routes-h", "field", "words", "value", words);
    }
    api.editPage(
        "sf-home",
        "type",
        "MOVE",
        "node",
        "sf-home",
        "nodes",
        List.of("sf-routes"),
        "before",
        "sf-opening/ob-section");
    String end = Api.html(api.page("sf-home"));
    for (int i = 0; i < 4; i++) {
      api.turn("sf-home", "undo");
    }
    assertThat(Api.html(api.page("sf-home"))).isEqualTo(start);
    assertThat(api.page("sf-home").path("undo").asString()).isEmpty();
    for (int i = 0; i < 4; i++) {
      api.turn("sf-home", "redo");
    }
    assertThat(Api.html(api.page("sf-home"))).isEqualTo(end);
    assertThat(api.page("sf-home").path("undo").asString()).startsWith("move ");
    assertThat(api.turn("sf-home", "redo").status()).isEqualTo(422);
  }

  @Test
  void aStaleVersionIsRefusedAndNothingIsOverwritten() {
    long old = api.page("om-home").path("version").asLong();
    api.editPage(
        "om-home", "type", "FIELD", "node", "om-yard-h", "field", "words", "value", "First");
    Api.Answer second =
        api.write(
            "/api/pages/om-home/edits",
            Api.edit(
                old, "type", "FIELD", "node", "om-yard-h", "field", "words", "value", "Second"));
    assertThat(second.status()).isEqualTo(409);
    assertThat(second.detail()).contains("Nothing was overwritten");
    assertThat(Api.html(api.page("om-home"))).contains("First");
  }

  @Test
  void badInputSaysWhatWhereAndHowToMendIt() {
    Object[] radius = {
      "type",
      "STYLE",
      "nodes",
      List.of("om-opening/ob-button"),
      "property",
      "border-radius",
      "device",
      "desktop",
      "value",
      ""
    };
    assertThat(problem(radius, "{radius.nope}"))
        .contains("no token “radius.nope”", "radius.button");
    assertThat(problem(radius, "{color.accent}")).contains("color.accent is a color");
    assertThat(problem(radius, "wide")).contains("Corner radius cannot be “wide”", "24px");
    Object[] words = {
      "type", "FIELD", "node", "om-opening/ob-button", "field", "words", "value", ""
    };
    assertThat(problem(words, "x".repeat(90))).contains("90 characters", "take out 10");
    Object[] link = {"type", "FIELD", "node", "om-opening/ob-button", "field", "link", "value", ""};
    assertThat(problem(link, "javascript:alert(1)")).contains("not an address to link to");
    Object[] unknown = {"type", "RENAME", "node", "nobody", "value", ""};
    assertThat(problem(unknown, "x")).contains("not here any more");
    Object[] into = {"type", "ADD", "node", "om-yard-h", "kind", "column", "value", ""};
    assertThat(problem(into, "")).contains("A column cannot stand in a heading; put it in a row");
    assertThat(api.read("/api/pages/nowhere/workbench").detail()).contains("no page “nowhere”");
    assertThat(api.read("/api/pieces/none/workbench?site=saltmarsh-ferries").status())
        .isEqualTo(404);
  }

  private String problem(Object[] parts, String value) {
    Object[] edit = parts.clone();
    edit[edit.length - 1] = value;
    Api.Answer answer = api.editPage("om-home", edit);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.body().path("type").asString()).startsWith("urn:good-bones:problem:");
    return answer.detail();
  }

  @Test
  void theLadderSaysWhatEveryBoxContributesAndWhy() {
    JsonNode ladder =
        api.read("/api/pages/sf-home/ladder?node=sf-opening/ob-heading&device=phone").body();
    assertThat(ladder.path("rungs").valueStream().map(r -> r.path("kind").asString()))
        .containsExactly("page", "placement", "section", "heading");
    JsonNode size =
        ladder
            .path("styles")
            .valueStream()
            .filter(s -> s.path("property").asString().equals("font-size"))
            .findFirst()
            .orElseThrow();
    assertThat(size.path("css").asString()).isEqualTo("38px");
    assertThat(size.path("source").asString()).isEqualTo("Opening band, revision 2");
    assertThat(size.path("trail")).hasSizeGreaterThan(3);
  }
}
