package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** What hands do, through the API: adding, pasting, merging with others, and what fits. */
@ServerTest
class StructureApiTest {
  @Autowired private MockMvc mvc;
  private Api api;
  private String page;

  @BeforeEach
  void anEmptyPage() {
    api = new Api(mvc);
    String title = "Page " + System.nanoTime();
    page =
        api.write("/api/sites/tern-valley/pages", Map.of("title", title))
            .body()
            .path("id")
            .asString();
  }

  private String added(Object... parts) {
    Api.Answer answer = api.editPage(page, parts);
    assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
    return answer.body().path("made").path(0).asString();
  }

  private Api.Answer edited(JsonNode had, Map<String, Object> edit) {
    return api.write(
        "/api/pages/" + page + "/edits",
        Api.parts(
            "version",
            had.path("version").asLong(),
            "drawing",
            had.path("drawing").asString(),
            "edit",
            edit));
  }

  private Api.Answer on(long version, Object... parts) {
    return api.write("/api/pages/" + page + "/edits", Api.edit(version, parts));
  }

  private long version() {
    return api.page(page).path("version").asLong();
  }

  private static List<String> kinds(JsonNode view) {
    return view.path("blocks")
        .valueStream()
        .flatMap(block -> block.path("nodes").valueStream())
        .map(node -> node.path("kind").asString())
        .toList();
  }

  @Test
  void anElementNeedsNothingAroundItAndTwoSideBySideGetARow() {
    String heading = added("type", "ADD", "node", page, "kind", "heading");
    added("type", "ADD_BESIDE", "node", heading, "after", true, "kind", "text");
    assertThat(kinds(api.page(page))).containsExactly("row", "column", "heading", "column", "text");
    api.write("/api/pages/" + page + "/undo", Map.of("version", version()));
    assertThat(kinds(api.page(page))).containsExactly("heading");
    assertThat(api.page(page).path("redo").asString()).startsWith("add text beside");
  }

  @Test
  void anAnswerBringsOnlyWhatChanged() {
    String first = added("type", "ADD", "node", page, "kind", "section");
    String second = added("type", "ADD", "node", page, "kind", "section");
    JsonNode view = api.page(page);
    JsonNode answer = edited(view, Api.parts("type", "ADD", "node", second, "kind", "text")).body();
    assertThat(answer.path("blocks").path(0).path("id").asString()).isEqualTo(first);
    assertThat(answer.path("blocks").path(0).path("html").isNull()).isTrue();
    assertThat(answer.path("blocks").path(1).path("html").asString()).contains("A new line");
  }

  /** The style sheet has the rules of what can be added, so that adding it changes none. */
  @Test
  void whatCanBeAddedIsToldOnceAndLooksAsItWillWhenItStandsThere() {
    JsonNode view = api.page(page);
    assertThat(view.path("fresh").valueStream().map(thing -> thing.path("title").asString()))
        .contains("Heading", "Picture", "Section", "Row 8, then 3 offset 1")
        .doesNotHaveDuplicates();
    for (JsonNode thing : view.path("fresh")) {
      JsonNode before = api.page(page);
      Map<String, Object> parts =
          Api.parts("type", "ADD", "node", page, "kind", thing.path("kind").asString());
      if (thing.path("count").asInt() > 0) {
        parts.put("value", thing.path("value").asString());
        parts.put("count", thing.path("count").asInt());
      }
      if (thing.path("kind").asString().equals("column")) {
        continue;
      }
      JsonNode answer = edited(before, parts).body();
      assertThat(answer.path("css").isNull()).as("the same rules after %s", thing).isTrue();
      assertThat(answer.path("fresh").isNull()).isTrue();
      JsonNode block = answer.path("blocks").path(answer.path("blocks").size() - 1);
      assertThat(nameless(block.path("html").asString()))
          .isEqualTo(nameless(thing.path("html").asString()));
    }
  }

  private static String nameless(String html) {
    return html.replaceAll(" data-node=\"[^\"]*\"", "").replaceAll("menu-[0-9a-f]{10}", "menu");
  }

  @Test
  void editsOfDifferentThingsBothHoldAndTheSameThingIsAsked() {
    String heading = added("type", "ADD", "node", page, "kind", "heading");
    String text = added("type", "ADD", "node", page, "kind", "text");
    long old = version();
    assertThat(words(old, heading, "Theirs").status()).isEqualTo(200);
    Api.Answer other = words(old, text, "Mine");
    assertThat(other.status()).isEqualTo(200);
    assertThat(other.body().path("merged").path(0).asString()).contains("change words");
    assertThat(Api.html(api.page(page))).contains("Theirs", "Mine");
    Map<String, Object> mine =
        Api.parts("type", "FIELD", "node", heading, "field", "words", "value", "Mine too");
    Api.Answer same = words(old, heading, "Mine too");
    assertThat(same.status()).isEqualTo(409);
    assertThat(same.body().path("type").asString()).endsWith(":same-node");
    assertThat(same.detail()).contains("Nothing was overwritten", "keep yours");
    assertThat(Api.html(api.page(page))).doesNotContain("Mine too");
    assertThat(
            api.write(
                    "/api/pages/" + page + "/edits",
                    Api.parts("version", old, "over", true, "edit", mine))
                .status())
        .isEqualTo(200);
    assertThat(Api.html(api.page(page))).contains("Mine too");
  }

  private Api.Answer words(long version, String node, String words) {
    return on(version, "type", "FIELD", "node", node, "field", "words", "value", words);
  }

  @Test
  void aPlacementIsCopiedToAnotherSiteWithItsFillingsAndWordsAsHtml() {
    JsonNode clip = api.read("/api/pages/sf-home/clip?node=sf-opening/ob-section").body();
    assertThat(clip.path("html").asString()).contains("<h1>").doesNotContain("class=");
    assertThat(clip.path("text").asString()).contains("Three islands");
    String pasted = added("type", "PASTE", "node", page, "value", clip.path("data").asString());
    assertThat(pasted).endsWith("/ob-section");
    assertThat(Api.html(api.page(page))).contains("Three islands");
    Api.Answer broken = api.editPage(page, "type", "PASTE", "node", page, "value", "{nope");
    assertThat(broken.status()).isEqualTo(422);
    assertThat(broken.detail()).contains("copy it again");
  }

  @Test
  void wordsFromAnotherProgramBecomeElements() {
    added(
        "type",
        "PASTE_HTML",
        "node",
        page,
        "value",
        "<h2>Rules</h2><p onclick=x>Keep the <b>gate</b> shut</p><script>y()</script>");
    assertThat(kinds(api.page(page))).containsExactly("heading", "text");
    assertThat(Api.html(api.page(page)))
        .contains("Keep the <strong>gate</strong> shut")
        .doesNotContain("script", "onclick");
    String clean =
        api.write("/api/clean", Map.of("html", "<p style='x'>a <i>b</i></p>"))
            .body()
            .path("html")
            .asString();
    assertThat(clean).isEqualTo("a <em>b</em>");
  }

  @Test
  void whatDoesNotFitIsReportedWithAMend() {
    String section = added("type", "ADD", "node", page, "kind", "section");
    api.editPage(
        page,
        "type",
        "STYLE",
        "nodes",
        List.of(section),
        "property",
        "min-height",
        "device",
        "desktop",
        "value",
        "1400px");
    JsonNode findings =
        api.write(
                "/api/pages/" + page + "/fit",
                Map.of(
                    "nodes", List.of(section),
                    "screens", Map.of("desktop", List.of(1280, 800)),
                    "words", Map.of()))
            .body();
    assertThat(findings.path(0).path("check").asString()).isEqualTo("height");
    assertThat(findings.path(0).path("settings").path(0).path("value").asString())
        .isEqualTo("100vh");
  }

  @Test
  void settingsOfSeveralThingsAreOneStep() {
    String one = added("type", "ADD", "node", page, "kind", "heading");
    String two = added("type", "ADD", "node", page, "kind", "heading");
    api.editPage(
        page,
        "type",
        "STYLE",
        "nodes",
        List.of(one, two),
        "property",
        "text-align",
        "device",
        "desktop",
        "value",
        "end");
    JsonNode ladder =
        api.read("/api/pages/" + page + "/ladder?node=" + one + "&node=" + two + "&device=desktop")
            .body();
    JsonNode align =
        ladder
            .path("styles")
            .valueStream()
            .filter(style -> style.path("property").asString().equals("text-align"))
            .findFirst()
            .orElseThrow();
    assertThat(align.path("here").asString()).isEqualTo("end");
    assertThat(align.path("mixed").asBoolean()).isFalse();
    api.write("/api/pages/" + page + "/undo", Map.of("version", version()));
    assertThat(Api.html(api.page(page))).doesNotContain("text-align:end");
  }

  @Test
  void whoElseIsHereIsTold() {
    Map<String, Object> here = Map.of("tab", "a", "node", "", "leaving", false);
    api.write("/api/pages/" + page + "/here", here);
    JsonNode pulse =
        api.write("/api/pages/" + page + "/here", Map.of("tab", "b", "node", "", "leaving", false))
            .body();
    assertThat(pulse.path("others")).hasSize(1);
    assertThat(pulse.path("version").asLong()).isEqualTo(version());
  }
}
