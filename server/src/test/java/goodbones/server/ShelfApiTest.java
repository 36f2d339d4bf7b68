package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.server.library.Reaches;
import goodbones.server.library.UsageIndex;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** The library as it is listed: what is said of pieces, whose they are, which are out of use. */
@ServerTest
class ShelfApiTest {
  @Autowired private JdbcTemplate database;
  @Autowired private UsageIndex usage;
  private Api api;

  @BeforeEach
  void begin(@Autowired MockMvc mvc) {
    api = new Api(mvc);
  }

  private JsonNode card(String id) {
    return api.read("/api/pieces")
        .body()
        .valueStream()
        .filter(card -> card.path("id").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private Api.Answer describe(String id, String kind, String siteId) {
    return api.put(
        "/api/pieces/" + id + "/description",
        Map.of(
            "name",
            "Named anew",
            "kind",
            kind,
            "purpose",
            "opening",
            "tags",
            List.of(" Tall ", "tall", "", "with  photo"),
            "notes",
            "For home pages",
            "siteId",
            siteId));
  }

  private Api.Answer keep(String page, String node, Map<String, Object> more) {
    List<Object> parts =
        new java.util.ArrayList<>(List.of("type", "KEEP", "node", node, "name", "Kept"));
    more.forEach(
        (key, value) -> {
          parts.add(key);
          parts.add(value);
        });
    return api.editPage(page, parts.toArray());
  }

  private Api.Answer place(String page, String piece) {
    return api.editPage(page, "type", "PLACE", "node", page, "before", "", "piece", piece);
  }

  private String kept(JsonNode before, JsonNode after) {
    List<String> had = before.valueStream().map(card -> card.path("id").asString()).toList();
    return after
        .valueStream()
        .map(card -> card.path("id").asString())
        .filter(id -> !had.contains(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aCardSaysHowFarItsPieceGoesWithoutReadingADocument() {
    Reaches reaches = usage.reaches();
    api.read("/api/pieces")
        .body()
        .valueStream()
        .map(card -> card.path("id").asString())
        .forEach(id -> assertThat(reaches.of(id)).as(id).isEqualTo(usage.reach(id)));
    assertThat(card("price-list").path("variants").asInt()).isEqualTo(1);
    assertThat(card("price-list").path("words").asString()).contains("What it costs");
    assertThat(card("opening-band").path("purpose").asString()).isEqualTo("opening");
  }

  @Test
  void whatIsSaidOfAPieceIsKeptAndADraftThatIsOpenGoesOn() {
    JsonNode open = api.piece("opening-band");
    assertThat(describe("opening-band", "header", "").status()).isEqualTo(200);
    JsonNode card = card("opening-band");
    assertThat(card.path("name").asString()).isEqualTo("Named anew");
    assertThat(card.path("kind").asString()).isEqualTo("header");
    assertThat(card.path("tags").valueStream().map(JsonNode::asString))
        .containsExactly("tall", "with photo");
    assertThat(api.piece("opening-band").path("version").asLong())
        .isEqualTo(open.path("version").asLong());
    assertThat(describe("opening-band", "frieze", "").detail()).contains("no kind of piece");
    assertThat(describe("st-card", "footer", "").detail()).contains("call it a saved block");
    assertThat(describe("nowhere", "footer", "").status()).isEqualTo(404);
    Api.Answer tagged =
        api.write(
            "/api/pieces/tags",
            Map.of(
                "pieces",
                List.of("opening-band", "st-card"),
                "add",
                List.of("Spring"),
                "remove",
                List.of("tall")));
    assertThat(tagged.status()).isEqualTo(200);
    assertThat(card("opening-band").path("tags").valueStream().map(JsonNode::asString))
        .containsExactly("spring", "with photo");
    assertThat(card("st-card").path("tags").valueStream().map(JsonNode::asString))
        .containsExactly("box", "spring");
  }

  private String begun(String kind) {
    Api.Answer begun =
        api.write(
            "/api/pieces",
            Map.of(
                "name",
                "Drawn from nothing",
                "kind",
                kind,
                "purpose",
                "other",
                "tags",
                List.of(),
                "notes",
                "",
                "siteId",
                ""));
    assertThat(begun.status()).as(begun.detail()).isEqualTo(200);
    return begun.body().path("id").asString();
  }

  @Test
  void aPieceThatIsADraftOnlyIsWorkedOnAndStandsNowhereBeforeItIsReleased() {
    String id = begun("section-template");
    assertThat(card(id).path("current").asInt()).isZero();
    JsonNode empty = api.piece(id);
    assertThat(empty.path("piece").path("draft").asBoolean()).isFalse();
    assertThat(place("sf-home", id).detail()).contains("has not been released yet");
    Api.Answer drawn =
        api.editPiece(
            id,
            "type",
            "ADD",
            "node",
            empty.path("blocks").get(0).path("id").asString(),
            "kind",
            "heading",
            "value",
            "");
    assertThat(drawn.status()).as(drawn.detail()).isEqualTo(200);
    assertThat(card(id).path("draft").asBoolean()).isTrue();
    assertThat(api.text("/api/pieces/" + id + "/frame?site=saltmarsh-ferries")).contains("<h2");
    assertThat(place("sf-home", id).detail()).contains("has not been released yet");
    assertThat(
            api.editPiece(
                    "st-text",
                    "type",
                    "PLACE",
                    "node",
                    "st-text-column1",
                    "before",
                    "",
                    "piece",
                    id)
                .status())
        .isEqualTo(422);
    assertThat(api.read("/api/pieces/" + id + "/revisions").body()).isEmpty();
    assertThat(api.read("/api/rollouts/replacement?piece=quote-band&by=" + id).detail())
        .contains("has not been released yet");
    String section = api.piece(id).path("blocks").get(0).path("id").asString();
    Api.Answer within =
        api.editPiece(id, "type", "PLACE", "node", section, "before", "", "piece", "st-card");
    assertThat(within.status()).as(within.detail()).isEqualTo(200);
    api.editPiece("st-card", "type", "RENAME", "node", "st-card", "value", "Two");
    Api.Answer newer =
        api.write(
            "/api/pieces/st-card/release?site=saltmarsh-ferries",
            Map.of("version", api.piece("st-card").path("version").asLong(), "note", "Named"));
    assertThat(newer.status()).as(newer.detail()).isEqualTo(200);
    assertThat(api.read("/api/rollouts").status()).isEqualTo(200);
    assertThat(card(id).path("current").asInt()).as("a draft only has no follow-ups").isZero();
    Api.Answer released =
        api.write(
            "/api/pieces/" + id + "/release?site=saltmarsh-ferries",
            Map.of("version", api.piece(id).path("version").asLong(), "note", "The first drawing"));
    assertThat(released.status()).as(released.detail()).isEqualTo(200);
    assertThat(card(id).path("current").asInt()).isEqualTo(1);
    assertThat(place("sf-home", id).status()).isEqualTo(200);
    assertThat(begun("saved-block")).isNotEqualTo(id);
  }

  @Test
  @DirtiesContext(methodMode = DirtiesContext.MethodMode.BEFORE_METHOD)
  void aPieceOfOneClientStandsAtNoOtherAndInNoPieceForAll() {
    JsonNode before = api.read("/api/pieces").body();
    assertThat(keep("om-home", "om-yard-t", Map.of("onlyHere", true)).status()).isEqualTo(200);
    String own = kept(before, api.read("/api/pieces").body());
    assertThat(card(own).path("siteId").asString()).isEqualTo("oakum-rope-museum");
    Api.Answer elsewhere = place("sf-home", own);
    assertThat(elsewhere.status()).isEqualTo(422);
    assertThat(elsewhere.detail()).contains("one client only");
    Api.Answer inPiece =
        api.editPiece(
            "st-text", "type", "PLACE", "node", "st-text-column1", "before", "", "piece", own);
    assertThat(inPiece.status()).isEqualTo(422);
    assertThat(inPiece.detail()).contains("a piece for all clients");
    assertThat(describe("opening-band", "section-template", "oakum-rope-museum").detail())
        .contains("1 other client");
    assertThat(describe("st-buttons", "saved-block", "oakum-rope-museum").detail())
        .contains("which is for other clients too");
    assertThat(describe(own, "saved-block", "").status()).isEqualTo(200);
    assertThat(place("sf-home", own).status()).isEqualTo(200);
  }

  @Test
  void aPieceThatIsUsedIsNotRetiredAndARetiredOneIsNotPlaced() {
    Map<String, Object> used = Map.of("pieces", List.of("opening-band"));
    Api.Answer refused = api.write("/api/pieces/retired", used);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.detail()).contains("is still used", "on “");
    assertThat(
            api.write("/api/pieces/retired", Map.of("pieces", List.of("st-text", "st-buttons")))
                .detail())
        .contains("in “");
    assertThat(card("st-text").path("retired").asBoolean()).as("all or none").isFalse();

    place("sf-home", "st-text");
    assertThat(api.turn("sf-home", "undo").status()).isEqualTo(200);
    Map<String, Object> text = Map.of("pieces", List.of("st-text"));
    assertThat(api.write("/api/pieces/retired", text).status()).isEqualTo(200);
    assertThat(place("sf-home", "st-text").detail()).contains("is retired");
    Api.Answer redo = api.turn("sf-home", "redo");
    assertThat(redo.status()).as("brought back by redo").isEqualTo(422);
    assertThat(redo.detail()).contains("is retired");
    assertThat(api.write("/api/pieces/brought-back", text).status()).isEqualTo(200);
    assertThat(api.turn("sf-home", "redo").status()).isEqualTo(200);
  }

  @Test
  @DirtiesContext(methodMode = DirtiesContext.MethodMode.BEFORE_METHOD)
  void severalDraftsAreReleasedWithOneNoteTheInnerFirst() {
    api.editPiece("st-action", "type", "RENAME", "node", "st-action-heading1", "value", "Asked");
    api.editPiece("st-buttons", "type", "RENAME", "node", "st-buttons-first", "value", "The first");
    assertThat(card("st-action").path("draft").asBoolean()).isTrue();
    Api.Answer released =
        api.write(
            "/api/pieces/released",
            Map.of("pieces", List.of("st-action", "st-buttons"), "note", "Names"));
    assertThat(released.status()).as(released.detail()).isEqualTo(200);
    assertThat(card("st-buttons").path("current").asInt()).isEqualTo(2);
    assertThat(card("st-action").path("draft").asBoolean()).isFalse();
    Api.Answer nothing =
        api.write("/api/pieces/released", Map.of("pieces", List.of("st-text"), "note", "Nothing"));
    assertThat(nothing.detail()).contains("no draft to release");
  }

  @Test
  void whatIsKeptForAllHasNeutralWordsAndThePageItsOwn() {
    String seen = Api.html(api.page("om-home"));
    JsonNode before = api.read("/api/pieces").body();
    JsonNode guess = api.read("/api/pages/om-home/guess?node=om-yard").body();
    assertThat(guess.path("name").asString()).isNotBlank();
    JsonNode answer = keep("om-home", "om-yard", Map.of()).body();
    assertThat(answer.path("note").asString())
        .contains("Kept as the section template “Kept”", "This page’s own in it:");
    String id = kept(before, api.read("/api/pieces").body());
    String yard =
        database.queryForObject(
            "select cast(document as varchar) from revision where piece_id = ?", String.class, id);
    assertThat(yard).contains("\"standIn\":true").doesNotContain("rope", "yard was");
    assertThat(words(Api.html(api.page("om-home")))).isEqualTo(words(seen));
    assertThat(api.read("/api/sites/oakum-rope-museum/stand-ins").body().path("om-home").asInt())
        .isZero();
    JsonNode stays = keep("om-home", "om-opening/ob-section", Map.of("stays", true)).body();
    assertThat(stays.path("detail").asString()).contains("It is a piece already");
  }

  @Test
  void twoRevisionsAreComparedInWordsAndSideBySide() {
    api.releaseOpeningBand();
    String at = "/api/pieces/opening-band/compared?site=saltmarsh-ferries";
    JsonNode compared = api.read(at + "&from=2&to=3").body();
    List<String> said =
        compared
            .path("changes")
            .valueStream()
            .map(
                change ->
                    change.path("type").asString()
                        + " "
                        + change.path("what").valueStream().map(JsonNode::asString).toList()
                        + " "
                        + change.path("devices").size())
            .toList();
    // The heading has a size of its own on phones, which the desktop’s does not reach; and what the
    // button's corners are bound to is worth what they were.
    assertThat(said).containsExactlyInAnyOrder("changed [Text size] 2", "added [] 3");
    assertThat(compared.path("after").asString()).contains("A new line of text.");
    assertThat(compared.path("before").asString()).doesNotContain("A new line of text.");
    assertThat(api.read(at + "&from=3&to=3").body().path("changes")).isEmpty();
    assertThat(api.read(at + "&from=2&to=9").status()).isEqualTo(404);
  }

  @Test
  @DirtiesContext(methodMode = DirtiesContext.MethodMode.BEFORE_METHOD)
  void theShellOfAPieceIsAnEmptySectionTiedToNothing() {
    int placed = api.page("sf-home").path("placements").size();
    Api.Answer taken =
        api.editPage(
            "sf-home",
            "type",
            "PLACE",
            "node",
            "sf-home",
            "before",
            "",
            "piece",
            "st-quote",
            "shell",
            true);
    assertThat(taken.status()).as(taken.detail()).isEqualTo(200);
    assertThat(taken.body().path("placements").size()).isEqualTo(placed);
    assertThat(taken.body().path("standIns")).isEmpty();
    String made = taken.body().path("made").get(0).asString();
    assertThat(Api.html(api.page("sf-home"))).contains("data-node=\"" + made + "\"></section>");
  }

  @Test
  void whereAPieceIsUsedIsAnsweredThroughEveryLevel() {
    place("sf-home", "st-action");
    api.editPiece(
        "st-text", "type", "PLACE", "node", "st-text-column1", "before", "", "piece", "st-card");
    JsonNode buttons = api.read("/api/pieces/st-buttons/uses").body();
    assertThat(buttons.path("pages")).isEmpty();
    JsonNode action =
        buttons
            .path("pieces")
            .valueStream()
            .filter(p -> p.path("pieceId").asString().equals("st-action"))
            .findFirst()
            .orElseThrow();
    assertThat(action.path("drafted").asBoolean()).isFalse();
    JsonNode there = action.path("pages").get(0);
    assertThat(there.path("title").asString()).isEqualTo("Home");
    assertThat(there.path("siteName").asString()).isEqualTo("Saltmarsh Ferries");
    assertThat(there.path("revision").asInt()).isEqualTo(1);
    assertThat(there.path("behind").asBoolean()).isFalse();
    JsonNode card = api.read("/api/pieces/st-card/uses").body();
    assertThat(card.path("pieces").get(0).path("pieceId").asString()).isEqualTo("st-text");
    assertThat(card.path("pieces").get(0).path("drafted").asBoolean()).isTrue();
    api.releaseOpeningBand();
    JsonNode band = api.read("/api/pieces/opening-band/uses").body();
    assertThat(band.path("pages").valueStream().map(p -> p.path("behind").asBoolean()))
        .containsOnly(true);
    assertThat(api.read("/api/pieces/nowhere/uses").status()).isEqualTo(404);
  }

  private static String words(String html) {
    return html.replaceAll("<[^>]*>", " ").replaceAll("\\s+", " ").strip();
  }

  @Test
  void whereAPictureOrATokenIsUsedIsAnsweredThroughEveryLevel() {
    JsonNode accent = api.read("/api/uses/token/" + mostUsedToken()).body();
    assertThat(accent.path("pieces").size()).isGreaterThan(0);
    JsonNode picture = api.read("/api/uses/picture/stand-in").body();
    assertThat(picture.path("pieces").valueStream().map(p -> p.path("pieceId").asString()))
        .contains("st-picture-text");
    api.editPage("sf-home", "type", "ADD", "node", "sf-home", "kind", "picture", "before", "");
    assertThat(
            api.read("/api/uses/picture/stand-in")
                .body()
                .path("pages")
                .valueStream()
                .map(p -> p.path("pageId").asString()))
        .contains("sf-home");
    assertThat(api.read("/api/uses/style/nothing").body().path("pieces")).isEmpty();
    assertThat(api.read("/api/uses/wish/nothing").status()).isEqualTo(422);
  }

  /** What the index says of a page is found on that page, and drawn with its section alone. */
  @Test
  @DirtiesContext(methodMode = DirtiesContext.MethodMode.BEFORE_METHOD)
  void wherePagesUseSomethingIsFoundOnThem() {
    List<Map<String, Object>> all =
        database.queryForList(
            "select owner_id, kind, ref_id from referred where owner_kind = 'page'"
                + " order by kind, owner_id, ref_id");
    assertThat(all.stream().map(row -> row.get("KIND")))
        .contains("token", "style", "scheme", "picture");
    for (int i = 0; i < all.size(); i += 2) {
      String page = String.valueOf(all.get(i).get("OWNER_ID"));
      String kind = String.valueOf(all.get(i).get("KIND"));
      String id = String.valueOf(all.get(i).get("REF_ID"));
      Api.Answer answer = api.read("/api/pages/" + page + "/uses/" + kind + "/" + id);
      assertThat(answer.status()).as(page + " " + kind + " " + id).isEqualTo(200);
      String html = answer.body().path("html").asString();
      assertThat(answer.body().path("node").asString()).isNotEmpty();
      assertThat(html.split("<(section|header|footer|div)[ >]").length).isGreaterThan(1);
      assertThat(html.length())
          .isLessThanOrEqualTo(api.text("/api/pages/" + page + "/frame").length());
      if (kind.equals("picture")) {
        assertThat(html).contains(id);
      }
    }
    assertThat(api.read("/api/pages/sf-home/uses/picture/nothing").status()).isEqualTo(404);
    assertThat(api.read("/api/pages/sf-home/uses/wish/nothing").status()).isEqualTo(422);
    assertThat(api.read("/api/pages/nowhere/uses/picture/stand-in").status()).isEqualTo(404);
  }

  private String mostUsedToken() {
    return database
        .queryForList(
            "select ref_id from referred where kind = 'token' group by ref_id"
                + " order by count(*) desc",
            String.class)
        .get(0);
  }
}
