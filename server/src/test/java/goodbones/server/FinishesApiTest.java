package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Tokens, schemes and releases of the finishes over the API, on the real database. */
@ServerTest
class FinishesApiTest {
  private static final String VALLEY = "tern-valley";
  private Api api;

  @BeforeEach
  void begin(@Autowired MockMvc mvc) {
    api = new Api(mvc);
  }

  private JsonNode table() {
    return api.read("/api/finishes").body();
  }

  private static JsonNode token(JsonNode table, String name) {
    return table
        .path("tokens")
        .valueStream()
        .filter(t -> t.path("name").asString().equals(name) || t.path("id").asString().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private Api.Answer value(String site, String token, String value) {
    return api.finish("type", "VALUE", "site", site, "token", token, "value", value);
  }

  private static Map<String, Object> valueEdit(String site, String token, String value) {
    return Api.parts("type", "VALUE", "site", site, "token", token, "value", value);
  }

  private JsonNode asking(String address, JsonNode had, Map<String, Object> body) {
    return api.write("/api/finishes/" + address + "?had=" + had.path("telling").asString(), body)
        .body();
  }

  private static List<String> names(JsonNode table) {
    return table.path("tokens").valueStream().map(row -> row.path("name").asString()).toList();
  }

  @Test
  void anAnswerBringsOnlyTheRowsThatAreNew() {
    JsonNode whole = table();
    assertThat(whole.path("order")).hasSameSizeAs(whole.path("tokens"));
    JsonNode edited = asking("edits", whole, valueEdit(VALLEY, "t-radius", "13px"));
    assertThat(edited.path("order").isNull()).isTrue();
    assertThat(names(edited)).containsExactly("radius.button");
    JsonNode undone = asking("undo", edited, Map.of());
    assertThat(names(undone)).containsExactly("radius.button");
    JsonNode added =
        asking(
            "edits",
            undone,
            Api.parts(
                "type", "ADD_TOKEN", "name", "radius.seal", "kind", "dimension", "value", "3px"));
    assertThat(added.path("order")).hasSize(whole.path("order").size() + 1);
    assertThat(names(added)).containsExactly("radius.seal");
    JsonNode lost = api.read("/api/finishes?had=unknown").body();
    assertThat(lost.path("tokens")).hasSize(added.path("order").size());
    String id = token(lost, "radius.seal").path("id").asString();
    JsonNode gone = asking("edits", added, Api.parts("type", "REMOVE_TOKEN", "token", id));
    assertThat(gone.path("tokens")).isEmpty();
    assertThat(gone.path("order")).isEqualTo(whole.path("order"));
  }

  @Test
  void anAliasCircleInASitesValuesIsRefusedWithItsChain() {
    Api.Answer circle = value("oakum-rope-museum", "t-accent", "{color.label}");
    assertThat(circle.status()).isEqualTo(422);
    assertThat(circle.detail())
        .containsAnyOf(
            "color.accent → color.label → color.accent", "color.label → color.accent → color.label")
        .doesNotContain("own values of");
    Api.Answer wrong = value("oakum-rope-museum", "t-accent", "brown-ish");
    assertThat(wrong.detail()).contains("cannot be “brown-ish”");
    Api.Answer unknown = value("oakum-rope-museum", "t-accent", "{color.nope}");
    assertThat(unknown.detail()).contains("There is no token “color.nope”", "color.accent");
  }

  @Test
  void aValueOfASitesOwnIsSetUndoneAndRedone() {
    assertThat(value(VALLEY, "t-radius", "20px").status()).isEqualTo(200);
    JsonNode cell = token(table(), "t-radius").path("sites").path(VALLEY);
    assertThat(cell.path("own").asBoolean()).isTrue();
    assertThat(cell.path("css").asString()).isEqualTo("20px");
    assertThat(Api.html(api.page("tv-home"))).contains("--radius-button:20px");
    JsonNode undone = api.write("/api/finishes/undo", Map.of()).body();
    assertThat(token(undone, "t-radius").path("sites").path(VALLEY).path("css").asString())
        .isEqualTo("12px");
    assertThat(undone.path("redo").asString())
        .isEqualTo("set radius.button of Tern Valley Allotments");
    JsonNode redone = api.write("/api/finishes/redo", Map.of()).body();
    assertThat(token(redone, "t-radius").path("sites").path(VALLEY).path("css").asString())
        .isEqualTo("20px");
    api.write("/api/finishes/undo", Map.of());
  }

  @Test
  void nobodysValueIsOverwrittenUnseen() {
    Map<String, Object> edit = valueEdit(VALLEY, "t-title", "40px");
    edit.put("expected", "99px");
    Api.Answer stale = api.write("/api/finishes/edits", edit);
    assertThat(stale.status()).isEqualTo(409);
    edit.put("expected", "");
    assertThat(api.write("/api/finishes/edits", edit).status()).isEqualTo(200);
  }

  @Test
  void whatAnEditWouldReachIsWhatItThenChanges() {
    Map<String, Object> edit = valueEdit(VALLEY, "t-accent", "#2f5d34");
    JsonNode reach = api.write("/api/finishes/reach", edit).body();
    assertThat(reach.path("reach").path("nodes").asInt()).isEqualTo(13);
    assertThat(reach.path("reach").path("gained")).isNotEmpty();
    assertThat(reach.path("reach").path("lost")).isEmpty();
    JsonNode tried =
        api.write("/api/finishes/try", Map.of("edit", edit, "look", VALLEY, "page", "tv-home"))
            .body();
    assertThat(tried.path("html").asString()).contains("--color-accent:#2f5d34");
    assertThat(Api.html(api.page("tv-home")))
        .as("nothing is kept by trying")
        .contains("--color-accent:#6f9c3d");
    api.write("/api/finishes/edits", edit);
    assertThat(Api.html(api.page("tv-home"))).contains("--color-accent:#2f5d34");
    api.write("/api/finishes/undo", Map.of());
  }

  @Test
  void whatCannotBeIsSaidWhileTrying() {
    JsonNode tried =
        api.write(
                "/api/finishes/try",
                Map.of("edit", valueEdit("", "t-accent", "greenish"), "look", "", "page", ""))
            .body();
    assertThat(tried.path("problem").asString()).contains("cannot be “greenish”");
    assertThat(tried.path("html").asString()).contains("<h1");
  }

  @Test
  void theDraftReachesNoSiteBeforeItIsReleasedAndThenOnlyTheChosen() {
    value("", "t-gap", "20px");
    assertThat(table().path("draft").asBoolean()).isTrue();
    assertThat(Api.html(api.page("sf-home"))).contains("--space-gap:16px");
    assertThat(Api.html(api.piece("hours-band")))
        .as("pieces are worked on with the finishes that are worked on")
        .contains("--space-gap:20px");
    JsonNode plan = api.read("/api/finishes/plan").body();
    assertThat(plan.valueStream().map(p -> p.path("reach").path("pages").asInt())).contains(5);
    assertThat(api.write("/api/finishes/release", Map.of("note", " ", "sites", List.of())).detail())
        .contains("what is new");
    JsonNode released =
        api.write(
                "/api/finishes/release",
                Map.of("note", "Roomier", "sites", List.of("saltmarsh-ferries")))
            .body();
    assertThat(released.path("draft").asBoolean()).isFalse();
    assertThat(Api.html(api.page("sf-home"))).contains("--space-gap:20px");
    assertThat(Api.html(api.page("om-home"))).contains("--space-gap:16px");
    JsonNode museum =
        released
            .path("sites")
            .valueStream()
            .filter(s -> s.path("id").asString().equals("oakum-rope-museum"))
            .findFirst()
            .orElseThrow();
    assertThat(museum.path("behind").asBoolean()).isTrue();
    int newest = released.path("revision").asInt();
    Api.Answer back =
        api.write(
            "/api/finishes/adopt", Map.of("site", "saltmarsh-ferries", "revision", newest - 1));
    assertThat(back.status()).isEqualTo(200);
    assertThat(Api.html(api.page("sf-home"))).contains("--space-gap:16px");
  }

  @Test
  void aPieceCannotBeReleasedWithWhatOnlyTheDraftHas() {
    api.finish("type", "ADD_TOKEN", "name", "color.brass", "kind", "color", "value", "#b88a3e");
    api.editPiece(
        "hours-band",
        "type",
        "STYLE",
        "nodes",
        List.of("hb-heading"),
        "property",
        "color",
        "device",
        "desktop",
        "value",
        "{color.brass}");
    Map<String, Object> release =
        Map.of("version", api.piece("hours-band").path("version").asLong(), "note", "Brass");
    Api.Answer refused =
        api.write("/api/pieces/hours-band/release?site=saltmarsh-ferries", release);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.detail()).contains("color.brass", "release the finishes first");
    api.write("/api/finishes/release", Map.of("note", "Brass", "sites", List.of()));
    assertThat(api.write("/api/pieces/hours-band/release?site=saltmarsh-ferries", release).status())
        .isEqualTo(200);
    Api.Answer early =
        api.write(
            "/api/rollouts",
            Map.of(
                "pieceId",
                "hours-band",
                "revision",
                2,
                "sites",
                List.of("tern-valley"),
                "decisions",
                List.of(),
                "accepted",
                List.of(),
                "pages",
                List.of(),
                "stamps",
                List.of(
                    Map.of(
                        "siteId",
                        "tern-valley",
                        "stamp",
                        api.page("tv-home").path("stamp").asLong()))));
    assertThat(early.status()).isEqualTo(422);
    assertThat(early.detail()).contains("bring the site to it in Finishes first");
    assertThat(api.read("/api/rollouts/plan?piece=hours-band").status()).isEqualTo(200);
  }

  @Test
  void aTokenInUseIsNotDeletedButCanBeReplaced() {
    api.finish("type", "ADD_TOKEN", "name", "space.cosy", "kind", "dimension", "value", "12px");
    String cosy = token(table(), "space.cosy").path("id").asString();
    Api.Answer refused = api.finish("type", "REMOVE_TOKEN", "token", "t-hair");
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.detail()).contains("the piece “Three cards”", "own values of Quillon");
    assertThat(api.finish("type", "REMOVE_TOKEN", "token", cosy).status()).isEqualTo(200);
    api.write("/api/finishes/undo", Map.of());
    Api.Answer replaced =
        api.finish("type", "REPLACE_TOKEN", "token", "t-section-phone", "by", cosy);
    assertThat(replaced.status()).isEqualTo(200);
    JsonNode old = token(replaced.body(), "t-section-phone");
    assertThat(old.path("retired").asBoolean()).isTrue();
    assertThat(old.path("house").path("css").asString()).isEqualTo("12px");
  }

  @Test
  void renamingATokenBreaksNothing() {
    api.finish("type", "RENAME_TOKEN", "token", "t-width", "name", "width.page");
    JsonNode table = table();
    assertThat(token(table, "t-width").path("name").asString()).isEqualTo("width.page");
    assertThat(Api.html(api.piece("title-band"))).contains("--width-page:1120px");
    Api.Answer taken = api.finish("type", "RENAME_TOKEN", "token", "t-gap", "name", "width.page");
    assertThat(taken.detail()).contains("There is a token width.page already");
    api.write("/api/finishes/undo", Map.of());
  }

  @Test
  void aSchemeIsAddedSetAndRefusedToGoWhileASectionTakesIt() {
    api.finish("type", "ADD_SCHEME", "name", "Brass");
    JsonNode schemes = table().path("schemes");
    String brass = schemes.get(schemes.size() - 1).path("id").asString();
    Api.Answer set =
        api.finish(
            "type", "SET_SCHEME", "scheme", brass, "token", "t-ground", "value", "{color.accent}");
    assertThat(set.status()).isEqualTo(200);
    assertThat(api.text("/api/finishes/specimen?site=tern-valley&page="))
        .contains("Scheme Brass", "--color-background:#6f9c3d");
    assertThat(api.finish("type", "REMOVE_SCHEME", "scheme", brass).status()).isEqualTo(200);
    Api.Answer refused = api.finish("type", "REMOVE_SCHEME", "scheme", "dark");
    assertThat(refused.detail()).contains("the piece “Quote band”");
  }

  @Test
  void aFileThatIsTakenOutAndBroughtInAgainChangesNothing() {
    String file = api.text("/api/finishes/tokens.json?site=");
    JsonNode before = table().path("tokens");
    Api.Answer in = api.writeText("/api/finishes/tokens?site=", file);
    assertThat(in.status()).isEqualTo(200);
    assertThat(table().path("tokens")).isEqualTo(before);
    assertThat(api.text("/api/finishes/tokens.json?site=")).isEqualTo(file);
    String valley = api.text("/api/finishes/tokens.json?site=tern-valley");
    assertThat(valley).contains("\"$value\"", "0.43529");
    Api.Answer site = api.writeText("/api/finishes/tokens?site=saltmarsh-ferries", valley);
    assertThat(site.body().path("tokens").asInt()).isPositive();
    assertThat(
            token(table(), "t-accent")
                .path("sites")
                .path("saltmarsh-ferries")
                .path("css")
                .asString())
        .isEqualTo("#6f9c3d");
    api.write("/api/finishes/undo", Map.of());
    assertThat(api.writeText("/api/finishes/tokens?site=", "no json").detail())
        .contains("The file is not JSON");
    assertThat(api.text("/api/finishes/variables.css?site=tern-valley"))
        .contains("--color-accent: #6f9c3d;");
  }

  @Test
  void everyUseOfATokenIsListed() {
    JsonNode drawn = api.read("/api/finishes/drawn?token=t-overlay&style=").body();
    assertThat(drawn.path("nodes").valueStream().map(u -> u.path("pageId").asString()))
        .containsExactlyInAnyOrder("om-home", "sf-home");
    JsonNode small = api.read("/api/finishes/uses?token=t-body-font&style=").body();
    assertThat(small.valueStream().map(JsonNode::asString))
        .contains("the token font.label", "the look of every page");
  }
}
