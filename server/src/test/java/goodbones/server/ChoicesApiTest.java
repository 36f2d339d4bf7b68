package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** What placements choose, and what is filled once for a whole site, through the API. */
@ServerTest
class ChoicesApiTest {
  private static final String PIECE = "/api/pieces/price-list/edits?site=saltmarsh-ferries";
  private final Api api;

  ChoicesApiTest(@Autowired MockMvc mvc) {
    this.api = new Api(mvc);
  }

  private static JsonNode ok(Api.Answer answer) {
    assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
    return answer.body();
  }

  @BeforeEach
  void place() {
    for (String page : List.of("sf-home", "sf-fares")) {
      for (String piece : List.of("testimonial", "price-list")) {
        ok(api.editPage(page, "type", "PLACE", "node", page, "before", "", "piece", piece));
      }
    }
  }

  private String node(String page, String own) {
    return api.page(page)
        .path("blocks")
        .valueStream()
        .flatMap(block -> block.path("nodes").valueStream())
        .map(node -> node.path("id").asString())
        .filter(id -> id.endsWith("/" + own))
        .findFirst()
        .orElseThrow();
  }

  private Api.Answer write(String page, String words) {
    return api.editPage(
        page, "type", "FIELD", "node", node(page, "tm-words"), "field", "words", "value", words);
  }

  @Test
  void whatIsFilledForTheSiteIsSeenOnEveryPageAndNoPageIsWritten() {
    JsonNode before = api.page("sf-fares");
    long version = api.page("sf-home").path("version").asLong();
    ok(write("sf-home", "“They waited.”"));
    assertThat(api.page("sf-home").path("version").asLong()).isEqualTo(version);
    JsonNode after = api.page("sf-fares");
    assertThat(Api.html(after)).contains("“They waited.”");
    assertThat(after.path("version")).isEqualTo(before.path("version"));
    assertThat(after.path("stamp").asLong())
        .as("other tabs fetch it")
        .isGreaterThan(before.path("stamp").asLong());
    assertThat(Api.html(api.page("om-home"))).doesNotContain("“They waited.”");
    ok(api.write("/api/pages/sf-home/undo", Map.of("version", version)));
    assertThat(Api.html(api.page("sf-fares"))).contains("“One sentence that a customer said.”");
    ok(api.write("/api/pages/sf-home/redo", Map.of("version", version)));
    assertThat(Api.html(api.page("sf-fares"))).contains("“They waited.”");
  }

  @Test
  void wordsOfTheSiteAreNotOverwrittenFromAnotherPage() {
    long stamp = api.page("sf-fares").path("stamp").asLong();
    ok(write("sf-home", "“They waited.”"));
    Api.Answer late =
        api.write(
            "/api/pages/sf-fares/edits",
            Map.of(
                "version",
                api.page("sf-fares").path("version").asLong(),
                "stamp",
                stamp,
                "edit",
                Map.of(
                    "type", "FIELD",
                    "node", node("sf-fares", "tm-words"),
                    "field", "words",
                    "value", "Mine")));
    assertThat(late.status()).isEqualTo(409);
    assertThat(Api.html(api.page("sf-home"))).contains("“They waited.”");
    ok(write("sf-fares", "“And they sang.”"));
    Api.Answer undo =
        api.write(
            "/api/pages/sf-home/undo",
            Map.of("version", api.page("sf-home").path("version").asLong()));
    assertThat(undo.status()).isEqualTo(422);
    assertThat(undo.detail()).contains("changed from another page");
    Api.Answer longWords = write("sf-home", "x".repeat(300));
    assertThat(longWords.status()).isEqualTo(422);
    assertThat(longWords.detail()).contains("take out 100");
  }

  @Test
  void goingBackToThePiecesEmptiesTheSitesSlot() {
    ok(write("sf-home", "“They waited.”"));
    ok(
        api.editPage(
            "sf-fares",
            "type",
            "RESET",
            "node",
            node("sf-fares", "tm-words"),
            "aspect",
            "content words"));
    assertThat(Api.html(api.page("sf-home"))).contains("“One sentence that a customer said.”");
  }

  private Api.Answer variant(String variant, Object... edit) {
    long version = api.piece("price-list").path("version").asLong();
    return api.write(
        PIECE + "&variant=" + variant, Map.of("version", version, "edit", Api.parts(edit)));
  }

  private void release(String piece) {
    ok(
        api.write(
            "/api/pieces/" + piece + "/release?site=saltmarsh-ferries",
            Map.of("version", api.piece(piece).path("version").asLong(), "note", "Better")));
  }

  @Test
  void aVariantIsDrawnUndoneAndNamed() {
    JsonNode drawn =
        ok(
            variant(
                "pl-tinted",
                "type",
                "FIELD",
                "node",
                "pl-tinted/pl-heading",
                "field",
                "words",
                "value",
                "Prices on a tint"));
    assertThat(drawn.path("piece").path("variant").asString()).isEqualTo("pl-tinted");
    assertThat(Api.html(drawn)).contains("Prices on a tint");
    assertThat(Api.html(api.piece("price-list"))).doesNotContain("Prices on a tint");
    ok(
        api.write(
            "/api/pieces/price-list/undo?site=saltmarsh-ferries",
            Map.of("version", api.piece("price-list").path("version").asLong())));
    assertThat(
            Api.html(
                api.read(
                        "/api/pieces/price-list/workbench?site=saltmarsh-ferries&variant=pl-tinted")
                    .body()))
        .doesNotContain("Prices on a tint");
    assertThat(variant("", "type", "VARIANT_ADD", "name", "on a TINT").detail())
        .contains("already");
    assertThat(variant("", "type", "VARIANT_ADD", "name", " ").status()).isEqualTo(422);
    assertThat(variant("", "type", "VARIANT_REMOVE", "variant", "none").status()).isEqualTo(422);
    ok(variant("", "type", "VARIANT_RENAME", "variant", "pl-tinted", "name", "Tinted"));
    assertThat(
            api.piece("price-list").path("piece").path("variants").get(0).path("name").asString())
        .isEqualTo("Tinted");
    assertThat(api.editPage("sf-home", "type", "VARIANT_ADD", "name", "x").detail())
        .contains("A page has no variants");
  }

  private JsonNode prices(String page) {
    return api.page(page)
        .path("placements")
        .valueStream()
        .filter(p -> p.path("pieceId").asString().equals("price-list"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aVariantThatIsTakenAwayIsOneDecisionForAPageThatHasIt() {
    String placement = prices("sf-fares").path("id").asString();
    ok(api.editPage("sf-fares", "type", "SHOW_VARIANT", "node", placement, "variant", "pl-tinted"));
    assertThat(prices("sf-fares").path("variant").asString()).isEqualTo("pl-tinted");
    ok(variant("", "type", "VARIANT_REMOVE", "variant", "pl-tinted"));
    release("price-list");
    JsonNode plan = ok(api.read("/api/rollouts/plan?piece=price-list"));
    List<Map<String, Object>> decisions = new ArrayList<>();
    for (JsonNode placed : plan.path("sites").get(0).path("placements")) {
      placed
          .path("questions")
          .forEach(
              question ->
                  decisions.add(Map.of("key", question.path("key").asString(), "settle", "stay")));
    }
    assertThat(decisions).hasSize(1);
    ok(api.write("/api/rollouts", Api.rollout(plan, decisions, List.of("saltmarsh-ferries"))));
    assertThat(prices("sf-fares").path("revision").asInt()).isEqualTo(2);
    assertThat(prices("sf-fares").path("variants")).isEmpty();
    assertThat(prices("sf-fares").path("changes").valueStream())
        .anyMatch(change -> change.path("aspect").asString().equals("scheme"));
  }

  @Test
  void aListShowsPagesOfItsOwnSiteOnly() {
    String list = api.page("sf-fares").path("lists").get(0).path("node").asString();
    ok(
        api.editPage(
            "sf-fares",
            "type",
            "SHOW_PAGES",
            "node",
            list,
            "pages",
            List.of("sf-islands", "sf-home")));
    JsonNode items = api.page("sf-fares").path("lists").get(0).path("items");
    assertThat(items.valueStream().map(item -> item.path("page").asString()))
        .containsExactly("sf-islands", "sf-home");
    Api.Answer other =
        api.editPage("sf-fares", "type", "SHOW_PAGES", "node", list, "pages", List.of("tv-home"));
    assertThat(other.status()).isEqualTo(422);
    assertThat(other.detail()).contains("has no page “tv-home”");
    assertThat(
            api.editPage("sf-fares", "type", "SHOW_PAGES", "node", list, "pages", List.of())
                .status())
        .isEqualTo(422);
    assertThat(
            api.editPage(
                    "sf-fares",
                    "type",
                    "SHOW_PAGES",
                    "node",
                    "sf-fares",
                    "pages",
                    List.of("sf-home"))
                .detail())
        .contains("no list");
    ok(api.turn("sf-fares", "undo"));
    assertThat(api.page("sf-fares").path("lists").get(0).path("items")).hasSize(3);
  }

  @Test
  void aListSaysWhatItIsToShowAllOf() {
    String list = api.page("sf-fares").path("lists").get(0).path("node").asString();
    Object[] asked = {
      "type", "SHOW_PAGES", "node", list, "pages", List.of("sf-home"), "lot", "page:sf-home"
    };
    ok(api.editPage("sf-fares", asked));
    assertThat(api.page("sf-fares").path("lists").get(0).path("lot").asString())
        .isEqualTo("page:sf-home");
    for (String nothing : List.of("page:tv-home", "role:king", "home")) {
      asked[7] = nothing;
      assertThat(api.editPage("sf-fares", asked).detail()).contains("nothing to show all of");
    }
    asked[7] = "";
    ok(api.editPage("sf-fares", asked));
    assertThat(api.page("sf-fares").path("lists").get(0).path("lot").asString()).isEmpty();
    ok(api.turn("sf-fares", "undo"));
    ok(api.turn("sf-fares", "undo"));
  }

  @Test
  void itemsAreThePlacementsOwnAndThePatternIsThePieces() {
    JsonNode list = api.page("sf-fares").path("lists").get(0);
    assertThat(list.path("own").asBoolean()).isFalse();
    assertThat(list.path("items")).hasSize(3);
    ok(api.editPage("sf-fares", "type", "ADD_ITEM", "node", list.path("node").asString()));
    assertThat(api.page("sf-fares").path("lists").get(0).path("items")).hasSize(4);
    assertThat(api.page("sf-home").path("lists").get(0).path("items")).hasSize(3);
    JsonNode every =
        ok(
            api.write(
                PIECE,
                Map.of(
                    "version",
                    api.piece("price-list").path("version").asLong(),
                    "every",
                    true,
                    "edit",
                    Api.parts(
                        "type",
                        "STYLE",
                        "nodes",
                        List.of("pl-second/pl-price"),
                        "property",
                        "letter-spacing",
                        "device",
                        "desktop",
                        "value",
                        "7px"))));
    assertThat(Api.html(every).split("letter-spacing:7px", -1)).as("one class for all").hasSize(2);
    assertThat(
            api.editPage("sf-fares", "type", "PLAIN_LIST", "node", list.path("node").asString())
                .detail())
        .contains("in the piece itself");
    assertThat(
            api.editPage(
                    "sf-fares",
                    "type",
                    "SWITCH",
                    "node",
                    node("sf-fares", "pl-heading"),
                    "on",
                    false)
                .detail())
        .contains("no optional part");
  }

  @Test
  void aPieceIsExchangedAndItsWordsComeBackWithIt() {
    String heading = node("sf-fares", "pl-heading");
    ok(
        api.editPage(
            "sf-fares", "type", "FIELD", "node", heading, "field", "words", "value", "Our fares"));
    ok(
        api.editPage(
            "sf-fares",
            "type",
            "FIELD",
            "node",
            node("sf-fares", "pl-first/pl-what"),
            "field",
            "words",
            "value",
            "A kite"));
    String placement = prices("sf-fares").path("id").asString();
    ok(api.editPage("sf-fares", "type", "EXCHANGE", "node", placement, "piece", "call-to-action"));
    assertThat(Api.html(api.page("sf-fares"))).contains("Our fares").doesNotContain("A kite");
    JsonNode now =
        api.page("sf-fares")
            .path("placements")
            .valueStream()
            .filter(p -> p.path("id").asString().equals(placement))
            .findFirst()
            .orElseThrow();
    assertThat(now.path("tray").get(0).path("pieceName").asString()).isEqualTo("Price list");
    assertThat(now.path("tray").get(0).path("kept").toString()).contains("A kite");
    ok(api.editPage("sf-fares", "type", "EXCHANGE", "node", placement, "piece", "price-list"));
    assertThat(Api.html(api.page("sf-fares"))).contains("Our fares").contains("A kite");
    Api.Answer same =
        api.editPage("sf-fares", "type", "EXCHANGE", "node", placement, "piece", "price-list");
    assertThat(same.detail()).contains("that piece already");
    Api.Answer none =
        api.editPage("sf-fares", "type", "EXCHANGE", "node", placement, "piece", "none");
    assertThat(none.status()).isEqualTo(422);
  }
}
