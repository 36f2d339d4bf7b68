package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.io.InputStream;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Named styles on elements, contrast, typefaces and new brands over the API. */
@ServerTest
class LooksApiTest {
  private final MockMvc mvc;
  private Api api;

  LooksApiTest(@Autowired MockMvc mvc) {
    this.mvc = mvc;
  }

  @BeforeEach
  void begin() {
    api = new Api(mvc);
  }

  private JsonNode ladder(String page, String node, String state) {
    return api.read(
            "/api/pages/" + page + "/ladder?node=" + node + "&device=desktop&state=" + state)
        .body();
  }

  private static JsonNode style(JsonNode ladder, String property) {
    return ladder
        .path("styles")
        .valueStream()
        .filter(s -> s.path("property").asString().equals(property))
        .findFirst()
        .orElseThrow();
  }

  private Api.Answer styleOf(String page, String node, String property, String value) {
    return api.editPage(
        page,
        "type",
        "STYLE",
        "nodes",
        List.of(node),
        "property",
        property,
        "device",
        "desktop",
        "value",
        value);
  }

  @Test
  void aNamedStyleIsPutOnAndItsStatesFollow() {
    String button = "tv-opening/so-button";
    api.editPage("tv-home", "type", "NAMED_STYLES", "node", button, "ids", List.of("s-quiet"));
    JsonNode normal = style(ladder("tv-home", button, "normal"), "background-color");
    assertThat(normal.path("css").asString()).isEqualTo("transparent");
    assertThat(normal.path("source").asString()).isEqualTo("Named style Quiet button");
    JsonNode hover = style(ladder("tv-home", button, "hover"), "background-color");
    assertThat(hover.path("value").asString()).isEqualTo("{color.surface}");
    assertThat(hover.path("trail").get(0).path("style").asString()).isEqualTo("s-quiet");
    Api.Answer unknown =
        api.editPage("tv-home", "type", "NAMED_STYLES", "node", button, "ids", List.of("nope"));
    assertThat(unknown.detail()).contains("not to be had here");
    Api.Answer gone = api.finish("type", "REMOVE_STYLE", "site", "", "style", "s-quiet");
    assertThat(gone.detail()).contains("the page “Home” of Tern Valley Allotments");
  }

  @Test
  void aStyleMadeOfAnElementsSettingsLooksTheSameAndIsTheSitesOwn() {
    styleOf("om-walk", "om-wa-h", "color", "{color.accent}");
    styleOf("om-walk", "om-wa-h", "letter-spacing", "1px");
    Api.Answer made =
        api.editPage("om-walk", "type", "MAKE_STYLE", "node", "om-wa-h", "name", "Rust heading");
    assertThat(made.status()).isEqualTo(200);
    JsonNode after = ladder("om-walk", "om-wa-h", "normal");
    assertThat(style(after, "color").path("css").asString()).isEqualTo("#8a3a22");
    assertThat(style(after, "color").path("here").asString()).isEmpty();
    assertThat(after.path("named").get(0).path("name").asString()).isEqualTo("Rust heading");
    JsonNode row =
        api.read("/api/finishes")
            .body()
            .path("styles")
            .valueStream()
            .filter(s -> s.path("name").asString().equals("Rust heading"))
            .findFirst()
            .orElseThrow();
    assertThat(row.path("site").asString()).isEqualTo("oakum-rope-museum");
    assertThat(row.path("places").asInt()).isEqualTo(1);
    Api.Answer elsewhere =
        api.editPiece(
            "hours-band",
            "type",
            "NAMED_STYLES",
            "node",
            "hb-heading",
            "ids",
            List.of(row.path("id").asString()));
    assertThat(elsewhere.status()).as("a piece is the house’s").isEqualTo(422);
  }

  @Test
  void aLookIsTakenFromOneElementAndLaidOnAnother() {
    styleOf("sf-fares", "sf-fa-h1", "color", "{color.label}");
    styleOf("sf-fares", "sf-fa-h1", "font-size", "48px");
    styleOf("sf-fares", "sf-fa-h2", "text-transform", "uppercase");
    JsonNode look = ladder("sf-fares", "sf-fa-h1", "normal").path("look");
    Map<String, Object> styles = new LinkedHashMap<>();
    look.path("styles").properties().forEach(e -> styles.put(e.getKey(), e.getValue().asString()));
    Api.Answer laid =
        api.editPage(
            "sf-fares",
            "type",
            "LAY_LOOK",
            "nodes",
            List.of("sf-fa-h2"),
            "look",
            styles,
            "ids",
            List.of());
    assertThat(laid.status()).isEqualTo(200);
    JsonNode other = ladder("sf-fares", "sf-fa-h2", "normal");
    assertThat(other.path("look")).isEqualTo(look);
    assertThat(Api.html(laid.body())).contains("£7.00");
    assertThat(laid.body().path("undo").asString()).startsWith("lay a look on");
  }

  @Test
  void backGoesOneStepOnTheTrailAtATime() {
    String heading = "sf-opening/ob-heading";
    styleOf("sf-home", heading, "font-size", "80px");
    JsonNode local = style(ladder("sf-home", heading, "normal"), "font-size");
    assertThat(local.path("back").asString()).startsWith("60px, Opening band, revision 2");
    assertThat(local.path("nearest").get(0).asString())
        .as("the nearest of the house’s sizes to 80px")
        .isEqualTo("space.section");
    Object[] back = {"type", "BACK", "node", heading, "property", "font-size", "device", "desktop"};
    api.editPage("sf-home", back);
    JsonNode piece = style(ladder("sf-home", heading, "normal"), "font-size");
    assertThat(piece.path("css").asString()).isEqualTo("60px");
    assertThat(piece.path("bound").asString()).isEqualTo("size.display");
    api.editPage("sf-home", back);
    JsonNode kind = style(ladder("sf-home", heading, "normal"), "font-size");
    assertThat(kind.path("css").asString()).isEqualTo("32px");
    assertThat(kind.path("source").asString()).isEqualTo("House finishes for every heading");
    assertThat(api.editPage("sf-home", back).detail()).contains("does not set this itself");
  }

  @Test
  void aSchemeReachesEverythingInTheSection() {
    api.editPage("sf-home", "type", "SCHEME", "node", "sf-words", "scheme", "dark");
    JsonNode text = style(ladder("sf-home", "sf-words-t", "normal"), "color");
    assertThat(text.path("css").asString()).isEqualTo("#ffffff");
    JsonNode ground = style(ladder("sf-home", "sf-words", "normal"), "background-color");
    assertThat(ground.path("source").asString()).isEqualTo("Scheme Dark");
    assertThat(ground.path("css").asString()).isEqualTo("#16303f");
    assertThat(
            api.editPage("sf-home", "type", "SCHEME", "node", "sf-words", "scheme", "x").detail())
        .contains("There is no colour scheme");
  }

  private JsonNode contrast(String site) {
    return api.read("/api/sites/" + site + "/contrast").body();
  }

  @Test
  void aFailingPairIsMendedToWhatPasses() {
    int before = contrast("tern-valley").path("failing").asInt();
    JsonNode failing = contrast("tern-valley").path("rows").get(0);
    assertThat(failing.path("verdict").asString()).isEqualTo("fails");
    JsonNode mend =
        failing
            .path("mends")
            .valueStream()
            .filter(m -> m.path("token").asString().equals("t-accent"))
            .findFirst()
            .orElseThrow();
    assertThat(mend.path("ratio").asDouble()).isBetween(4.5, 4.7);
    api.finish(
        "type",
        "VALUE",
        "site",
        "tern-valley",
        "token",
        "t-accent",
        "value",
        mend.path("css").asString());
    JsonNode after = contrast("tern-valley");
    assertThat(after.path("failing").asInt()).isEqualTo(before - 1);
    api.write("/api/finishes/undo", Map.of());
  }

  @Test
  void aTextOnAPictureIsToldOnceItsBoxIsMeasured() {
    assertThat(contrast("saltmarsh-ferries").path("unknown").asInt()).isPositive();
    JsonNode wanted = api.read("/api/sites/saltmarsh-ferries/to-measure").body();
    assertThat(wanted).hasSize(1);
    Map<String, Object> boxes =
        Map.of(
            "sf-opening/ob-section", Map.of("x", 0, "y", 0, "width", 1280, "height", 480),
            "sf-opening/ob-heading", Map.of("x", 80, "y", 120, "width", 700, "height", 130),
            "sf-opening/ob-label", Map.of("x", 80, "y", 90, "width", 700, "height", 20),
            "sf-opening/ob-text", Map.of("x", 80, "y", 260, "width", 520, "height", 60));
    for (String device : List.of("desktop", "tablet", "phone")) {
      Api.Answer taken =
          api.write(
              "/api/pages/sf-home/boxes",
              Map.of(
                  "stamp", wanted.get(0).path("stamp").asString(),
                  "device", device,
                  "boxes", boxes));
      assertThat(taken.status()).isEqualTo(200);
    }
    assertThat(api.read("/api/sites/saltmarsh-ferries/to-measure").body()).isEmpty();
    JsonNode sheet = contrast("saltmarsh-ferries");
    assertThat(sheet.path("unknown").asInt()).isZero();
    JsonNode over =
        sheet
            .path("rows")
            .valueStream()
            .filter(r -> r.path("grounds").asString().contains("a picture"))
            .findFirst()
            .orElseThrow();
    assertThat(over.path("ratio").asDouble()).isBetween(4.5, 21.0);
  }

  @Test
  void aPictureGivesItsPaletteAndTheColourAtAPoint() {
    JsonNode palette = api.read("/api/pictures/tern-valley-logo/palette").body();
    assertThat(palette.size()).isBetween(3, 8);
    assertThat(palette.get(0).path("css").asString()).isEqualTo("#2f5d34");
    assertThat(
            api.read("/api/pictures/plots-in-june/colour?x=0.5&y=0.02")
                .body()
                .path("css")
                .asString())
        .isEqualTo("#cfe3e6");
  }

  private MockHttpServletResponse bringFontIn(byte[] bytes, String licence) throws Exception {
    return mvc.perform(
            multipart("/api/sites/quillon-clocks/fonts")
                .file(new MockMultipartFile("file", "font.woff2", "font/woff2", bytes))
                .param("licence", licence)
                .with(csrf()))
        .andReturn()
        .getResponse();
  }

  @Test
  void aClientsFontFileIsCheckedAndOnlyFilesInUseArePublished() throws Exception {
    byte[] bytes;
    try (InputStream in = LooksApiTest.class.getResourceAsStream("/fonts/caveat.woff2")) {
      bytes = Objects.requireNonNull(in).readAllBytes();
    }
    assertThat(bringFontIn("not a font, just words".getBytes(), "mine").getStatus()).isEqualTo(422);
    assertThat(bringFontIn(bytes, " ").getContentAsString()).contains("Note the licence");
    MockHttpServletResponse taken = bringFontIn(bytes, "OFL 1.1, from its makers");
    assertThat(taken.getStatus()).isEqualTo(200);
    assertThat(taken.getContentAsString()).contains("Caveat", "OFL 1.1");
    JsonNode fonts = api.read("/api/fonts?site=quillon-clocks").body();
    assertThat(fonts.path("own")).hasSize(1);
    assertThat(fonts.path("families").get(0).path("own").asBoolean()).isTrue();
    api.write("/api/sites/quillon-clocks/publication", Map.of());
    assertThat(published()).noneMatch(LooksApiTest::isOwn);
    api.finish(
        "type",
        "VALUE",
        "site",
        "quillon-clocks",
        "token",
        "t-heading-font",
        "value",
        "Caveat, cursive");
    api.write("/api/sites/quillon-clocks/publication", Map.of());
    assertThat(published())
        .anyMatch(LooksApiTest::isOwn)
        .contains("fonts/public-sans.woff2")
        .doesNotContain("fonts/fraunces.woff2", "fonts/caveat.woff2");
  }

  private static boolean isOwn(String path) {
    return path.matches("fonts/f[0-9a-f]{32}\\.woff2");
  }

  private List<String> published() {
    return api.read("/api/sites/quillon-clocks/publication/files")
        .body()
        .valueStream()
        .map(JsonNode::asString)
        .filter(path -> path.startsWith("fonts/"))
        .toList();
  }

  @Test
  void aFamilyThatIsNotThereIsReportedWithTheNearest() {
    api.finish(
        "type",
        "VALUE",
        "site",
        "saltmarsh-ferries",
        "token",
        "t-heading-font",
        "value",
        "Clarendon, serif");
    JsonNode missing = api.read("/api/fonts?site=saltmarsh-ferries").body().path("missing").get(0);
    assertThat(missing.path("family").asString()).isEqualTo("Clarendon");
    assertThat(missing.path("substitute").asString()).isIn("Rokkitt", "Bitter");
    assertThat(missing.path("why").asString()).isEqualTo("the nearest slab in weight 600");
    api.write("/api/finishes/undo", Map.of());
  }

  private static Map<String, Object> brand(String name, List<String> colours) {
    return Map.of(
        "name",
        name,
        "logo",
        "",
        "colours",
        colours,
        "headingFont",
        "Lora, Georgia, serif",
        "bodyFont",
        "Work Sans, Arial, sans-serif",
        "width",
        1240,
        "set",
        "");
  }

  @Test
  void aNewClientStartsFromAFewStrokes() {
    Api.Answer tried = api.write("/api/brands/try", brand("", List.of("#204060")));
    assertThat(tried.body().path("html").asString()).contains("A new client", "--color-accent:");
    Api.Answer bad = api.write("/api/brands/try", brand("", List.of("sea-ish")));
    assertThat(bad.body().path("problem").asString()).contains("sea-ish");
    assertThat(api.write("/api/brands", brand(" ", List.of("#204060"))).status()).isEqualTo(422);
    JsonNode made =
        api.write("/api/brands", brand("Grebe & Sons", List.of("#204060", "#f2efe4"))).body();
    assertThat(made.path("siteId").asString()).isEqualTo("grebe-sons");
    String html = Api.html(api.page(made.path("pageId").asString()));
    assertThat(html).contains("Grebe &amp; Sons", "--width-content:1240px", "Lora");
    assertThat(contrast("grebe-sons").path("failing").asInt()).isZero();
    assertThat(api.write("/api/brands", brand("grebe & sons", List.of("#204060"))).detail())
        .contains("There is a client");
  }
}
