package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** An edit that cannot be made says why in words and changes nothing. */
@ServerTest
class RefusedEditsApiTest {
  private static final String PAGE = "sf-home";
  @Autowired private MockMvc mvc;

  private static Arguments refused(String says, Object... parts) {
    return Arguments.of(says, List.of(parts));
  }

  static Stream<Arguments> edits() {
    String row = "sf-routes-row";
    String text = "sf-words-t";
    return Stream.of(
        refused("“edit.field” is missing", "type", "FIELD", "node", text),
        refused("has no field “nope”", "type", "FIELD", "node", text, "field", "nope", "value", ""),
        refused(
            "level is a number from 1 to 6, not “two”",
            "type",
            "FIELD",
            "node",
            "sf-words-h",
            "field",
            "level",
            "value",
            "two"),
        refused(
            "There is no picture “nope”",
            "type",
            "FIELD",
            "node",
            "sf-opening/ob-section",
            "field",
            "picture",
            "value",
            "nope"),
        refused(
            "A row has no words",
            "type",
            "MARKED",
            "node",
            row,
            "field",
            "words",
            "value",
            "<b>x</b>"),
        refused(
            "There is no token “nope”",
            "type",
            "STYLE",
            "nodes",
            List.of(text),
            "property",
            "color",
            "device",
            "desktop",
            "value",
            "{nope}"),
        refused(
            "not a style property",
            "type",
            "STYLE",
            "nodes",
            List.of(text),
            "property",
            "colour",
            "device",
            "desktop",
            "value",
            ""),
        refused(
            "“watch”",
            "type",
            "STYLE",
            "nodes",
            List.of(text),
            "property",
            "color",
            "device",
            "watch",
            "value",
            ""),
        refused("There is nothing to set", "type", "SETTINGS", "settings", List.of()),
        refused(
            "There is no colour scheme “nope”",
            "type",
            "SCHEME",
            "node",
            "sf-words",
            "scheme",
            "nope"),
        refused(
            "That named style is not to be had here",
            "type",
            "NAMED_STYLES",
            "node",
            text,
            "ids",
            List.of("nope")),
        refused("1 to", "type", "MAKE_STYLE", "node", text, "name", " "),
        refused("no settings of its own", "type", "MAKE_STYLE", "node", text, "name", "A new one"),
        refused("It comes from no piece", "type", "RESET", "node", text, "aspect", "content words"),
        refused("Only a placement can be held", "type", "HOLD", "node", text, "on", true),
        refused("tied to no piece", "type", "UNLINK", "node", text),
        refused("is not a kind", "type", "ADD", "node", "sf-words", "kind", "table"),
        refused(
            "1 to 12 columns, not 13",
            "type",
            "ADD",
            "node",
            "sf-words",
            "kind",
            "row",
            "value",
            "equal",
            "count",
            13),
        refused("cannot stand", "type", "ADD", "node", "sf-words", "kind", "section"),
        refused(
            "cannot be moved into itself",
            "type",
            "MOVE",
            "node",
            "sf-route-1",
            "nodes",
            List.of("sf-routes")),
        refused(
            "beside itself",
            "type",
            "MOVE_BESIDE",
            "node",
            text,
            "nodes",
            List.of("sf-words"),
            "after",
            true),
        refused("stays where it is", "type", "REMOVE", "nodes", List.of(PAGE)),
        refused("no piece “nope”", "type", "PLACE", "node", PAGE, "piece", "nope"),
        refused("no words in what was copied", "type", "PASTE_HTML", "node", PAGE, "value", "<hr>"),
        refused("", "type", "COLUMNS", "node", row, "device", "desktop", "value", "a third"),
        refused("at least one column", "type", "LAYOUT", "node", row, "value", "equal", "count", 0),
        refused("", "type", "SHARE", "node", "sf-route-1", "device", "desktop", "value", "13"),
        refused("does not share", "type", "GATHER", "node", row, "property", "color"),
        refused(
            "does not set its",
            "type",
            "CARRY",
            "node",
            text,
            "property",
            "color",
            "device",
            "desktop",
            "down",
            true),
        refused("", "type", "UNWRAP", "node", text),
        refused("", "type", "WRAP", "nodes", List.of("sf-words"), "kind", "box"),
        refused(
            "",
            "type",
            "STYLE",
            "nodes",
            List.of("gone"),
            "property",
            "color",
            "device",
            "desktop",
            "value",
            ""),
        refused("", "type", "REMOVE", "nodes", List.of()));
  }

  @ParameterizedTest
  @MethodSource("edits")
  void itSaysWhyAndChangesNothing(String says, List<Object> parts) {
    Api api = new Api(mvc);
    JsonNode before = api.page(PAGE);
    Api.Answer answer = api.editPage(PAGE, parts.toArray());
    assertThat(answer.status()).as(answer.detail()).isBetween(400, 422);
    assertThat(answer.detail()).isNotBlank().contains(says);
    JsonNode after = api.page(PAGE);
    assertThat(after.path("version")).isEqualTo(before.path("version"));
    assertThat(after.path("undo")).isEqualTo(before.path("undo"));
    assertThat(Api.html(after)).isEqualTo(Api.html(before));
  }

  @Test
  void whatIsNoEditAtAllIsRefusedToo() {
    Api api = new Api(mvc);
    Api.Answer unknown = api.editPage(PAGE, "type", "EXPLODE", "node", PAGE);
    assertThat(unknown.status()).isEqualTo(400);
    assertThat(unknown.detail())
        .contains("“EXPLODE” is no “type” of “edit”", "one of FIELD, MARKED");
    String edits = "/api/pages/" + PAGE + "/edits";
    assertThat(api.write(edits, java.util.Map.of("version", "soon")).detail())
        .contains("“soon” cannot be “version”");
    assertThat(api.write(edits, List.of(1)).detail()).contains("It is missing, or of another kind");
    assertThat(
            api.write(
                    edits,
                    java.util.Map.of("edit", java.util.Map.of("type", "REMOVE", "nodes", "one")))
                .detail())
        .contains("“edit.nodes” is missing, or of another kind");
    assertThat(api.read("/api/pages/nope/workbench").status()).isEqualTo(404);
    assertThat(api.read("/api/pages/" + PAGE + "/ladder?node=gone&device=desktop").status())
        .isBetween(400, 422);
  }
}
