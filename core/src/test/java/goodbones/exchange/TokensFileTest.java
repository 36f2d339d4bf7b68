package goodbones.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.StyleValue;
import goodbones.style.Finishes;
import goodbones.style.FinishesEditor;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import goodbones.testing.HouseFinishes;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

class TokensFileTest {
  private static final JsonMapper MAPPER = new JsonMapper();

  private static String resource(String name) {
    try (InputStream in = TokensFileTest.class.getResourceAsStream(name)) {
      return new String(Objects.requireNonNull(in, name).readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static Finishes finishes(TokensFile.Read read) {
    return Finishes.of(read.tokens(), List.of(), Map.of()).withFile(read.groups(), read.unread());
  }

  @Test
  void exportThenImportIsTheIdentity() {
    Finishes house = HouseFinishes.house();
    TokensFile.Read read = TokensFile.read(TokensFile.write(house));
    assertThat(read.notes()).isEmpty();
    assertThat(read.tokens())
        .extracting(Token::name, Token::type, Token::value, Token::description)
        .containsExactlyInAnyOrderElementsOf(
            house.tokens().stream()
                .map(
                    t ->
                        org.assertj.core.groups.Tuple.tuple(
                            t.name(), t.type(), t.value(), t.description()))
                .toList());
    String once = TokensFile.write(finishes(read));
    assertThat(MAPPER.readTree(TokensFile.write(finishes(TokensFile.read(once)))))
        .isEqualTo(MAPPER.readTree(once));
  }

  /**
   * The examples follow those of the Design Tokens Format Module 2025.10 (Community Group Report):
   * groups, $type inheritance, $root, every type, aliases in both forms, extensions; written down
   * from memory of the report.
   */
  @ParameterizedTest
  @ValueSource(strings = {"/reference/format-examples.json", "/reference/tokens.json"})
  void aFileComesOutAsItWentIn(String file) {
    String json = resource(file);
    TokensFile.Read read = TokensFile.read(json);
    assertThat(MAPPER.readTree(TokensFile.write(finishes(read)))).isEqualTo(MAPPER.readTree(json));
  }

  @Test
  void theExamplesAreUnderstood() {
    TokensFile.Read read = TokensFile.read(resource("/reference/format-examples.json"));
    SiteFinishes site = new SiteFinishes(finishes(read), Map.of());
    Map<String, String> worth = new HashMap<>();
    site.tokens().forEach(t -> worth.put(t.name(), site.worth(t.id()).css()));
    assertThat(worth)
        .containsEntry("color.acid green", "#00ff66")
        .containsEntry("color.translucent", "rgb(255 0 255 / 40%)")
        .containsEntry("color.brand", "oklch(0.7 0.1 240)")
        .containsEntry("alias name", "#00ff66")
        .containsEntry("pointer", "#00ff66")
        .containsEntry("component", "rgb(0 255 102 / 50%)")
        .containsEntry("heading size", "16px")
        .containsEntry("spacing", "1rem")
        .containsEntry("spacing.double", "2rem")
        .containsEntry("weight", "350")
        .containsEntry("bold", "700")
        .containsEntry(
            "shadow.layered",
            "0px 24px 22px 0px #00000000, 0px 43px 44px 0px #ff0000"
                .replace("#00000000", "rgb(0 0 0 / 20%)"))
        .containsEntry("border.heavy", "3px solid #363636")
        .containsEntry("border.focus", "0.25rem dashed #00ff66")
        .containsEntry("transition.emphasis", "200ms 0ms cubic-bezier(0.5, 0, 1, 1)")
        .containsEntry("gradient.blue-to-red", "linear-gradient(180deg, #0000ff 0%, #ff0000 100%)")
        .containsEntry("type.heading", "700 16px/1.2 0.1px Roboto, Arial, sans-serif");
    assertThat(read.notes()).hasSize(2).anySatisfy(n -> assertThat(n).contains("other.asset"));
  }

  @Test
  void aChangedValueIsWrittenAnewAndAllElseStays() {
    String json = resource("/reference/format-examples.json");
    Finishes read = finishes(TokensFile.read(json));
    Finishes changed =
        read.withTokens(
            read.tokens().stream()
                .map(
                    t ->
                        t.name().equals("color.acid green")
                            ? t.withValue(goodbones.document.StyleValue.literal("#102030"))
                            : t)
                .toList());
    var before = MAPPER.readTree(json);
    var after = MAPPER.readTree(TokensFile.write(changed));
    assertThat(after.at("/color/acid green/$value/hex").asString()).isEqualTo("#102030");
    assertThat(after.at("/color/acid green/$extensions"))
        .isEqualTo(before.at("/color/acid green/$extensions"));
    assertThat(after.at("/type")).isEqualTo(before.at("/type"));
  }

  @Test
  void ourCustomPropertiesAgreeWithThoseOfATokenProcessor() {
    SiteFinishes site =
        new SiteFinishes(finishes(TokensFile.read(resource("/reference/tokens.json"))), Map.of());
    Map<String, String> ours = CssVariables.properties(site);
    List<String> theirs =
        resource("/reference/custom-properties.css")
            .lines()
            .filter(l -> l.startsWith("--"))
            .toList();
    assertThat(theirs).hasSize(13);
    for (String line : theirs) {
      String name = line.substring(0, line.indexOf(':'));
      String value = line.substring(line.indexOf(':') + 2, line.length() - 1);
      assertThat(ours).containsKey(name);
      if (value.startsWith("rgba")) {
        assertThat(goodbones.colour.Colour.parse(Objects.requireNonNull(ours.get(name))))
            .isEqualTo(goodbones.colour.Colour.parse(value));
      } else {
        assertThat(ours.get(name)).as(name).isEqualTo(value);
      }
    }
  }

  @Test
  void aSitesFileHasItsOwnValues() {
    SiteFinishes site =
        new SiteFinishes(
            HouseFinishes.house(),
            Map.of("color.accent", goodbones.document.StyleValue.literal("#aa0000")));
    var written = MAPPER.readTree(TokensFile.write(site));
    assertThat(written.at("/color/accent/$root/$value/hex").asString()).isEqualTo("#aa0000");
    assertThat(written.at("/color/label/$value").asString()).isEqualTo("{color.accent.$root}");
  }

  @Test
  void whatIsNoFileIsRefusedWithThePlace() {
    assertThatThrownBy(() -> TokensFile.read("{\"a\": {")).hasMessageContaining("line 1");
    assertThatThrownBy(() -> TokensFile.read("[]")).hasMessageContaining("JSON object");
    TokensFile.Read odd =
        TokensFile.read("{\"a\":{\"$type\":\"color\",\"$value\":\"blueish\"},\"b\":3}");
    assertThat(odd.tokens()).isEmpty();
    assertThat(odd.notes()).hasSize(2).allSatisfy(n -> assertThat(n).contains("kept as it is"));
    assertThat(MAPPER.readTree(TokensFile.write(finishes(odd))))
        .isEqualTo(MAPPER.readTree("{\"a\":{\"$type\":\"color\",\"$value\":\"blueish\"},\"b\":3}"));
  }

  @Test
  void schemesAreWrittenAsWhatTheyChange() {
    String css = CssVariables.of(new SiteFinishes(HouseFinishes.house(), Map.of()));
    assertThat(css)
        .contains("--color-label: #1f6f63;")
        .contains(".scheme-dark {")
        .contains("  --color-label: #e2a13a;")
        .contains("--type-heading-font-size: 32px;");
    assertThat(css.substring(css.indexOf(".scheme-tinted"))).doesNotContain("--color-label");
    assertThat(TokenType.values()).hasSize(13);
  }

  /** Comes in, and goes out as the same JSON. */
  private static Finishes throughHouse(String json) {
    int[] next = {0};
    TokensImport.ForHouse taken =
        TokensImport.intoHouse(
            Finishes.of(List.of(), List.of(), Map.of()),
            TokensFile.read(json),
            () -> "t" + next[0]++);
    Finishes house =
        FinishesEditor.apply(Finishes.of(List.of(), List.of(), Map.of()), taken.edit()).finishes();
    assertThat(MAPPER.readTree(TokensFile.write(house))).isEqualTo(MAPPER.readTree(json));
    return house;
  }

  private static String css(Finishes house, String name) {
    SiteFinishes site = new SiteFinishes(house, Map.of());
    return site.worth(site.byName(name).orElseThrow().id()).css();
  }

  @Test
  void aTokenAtItsGroupsOwnPlaceStaysThereAlsoAlone() {
    Finishes house =
        throughHouse(
            """
            {"accent": {"$root": {"$type": "color", "$value": {"colorSpace": "srgb",
              "components": [1, 0, 0]}}}, "link": {"$type": "color", "$value": "{accent.$root}"},
             "other": {"$root": {"$type": "unknown", "$value": 3}}}
            """);
    assertThat(css(house, "link")).isEqualTo("#ff0000");
  }

  /** Group inheritance of the format: deep, own tokens first, and going on to follow. */
  @Test
  void aGroupHasWhatTheGroupItExtendsHas() {
    Finishes house =
        throughHouse(
            """
            {"button": {"$type": "dimension", "padding": {"$value": {"value": 8, "unit": "px"}},
               "icon": {"size": {"$value": {"value": 16, "unit": "px"}},
                        "gap": {"$value": {"value": 4, "unit": "px"}}}},
             "large": {"$extends": "{button}", "padding": {"$value": {"value": 12, "unit": "px"}},
               "icon": {"size": {"$value": {"value": 24, "unit": "px"}}}},
             "huge": {"$ref": "#/large"}}
            """);
    assertThat(css(house, "large.padding")).isEqualTo("12px");
    assertThat(css(house, "large.icon.size")).isEqualTo("24px");
    assertThat(css(house, "large.icon.gap")).isEqualTo("4px");
    assertThat(css(house, "huge.padding")).isEqualTo("12px");
    assertThat(css(house, "huge.icon.gap")).isEqualTo("4px");
    String gap = house.tokenNamed("button.icon.gap").orElseThrow().id();
    Finishes wider =
        FinishesEditor.apply(house, FinishesEditor.value(house, gap, StyleValue.literal("6px")))
            .finishes();
    assertThat(css(wider, "huge.icon.gap")).isEqualTo("6px");
  }

  @Test
  void groupsThatExtendEachOtherAreToldAndTakenAsTheyAre() {
    TokensFile.Read read =
        TokensFile.read(
            """
            {"a": {"$extends": "{b}", "x": {"$type": "number", "$value": 1}},
             "b": {"$extends": "{a}", "y": {"$type": "number", "$value": 2}}}
            """);
    assertThat(read.tokens()).extracting(Token::name).contains("a.x", "b.y");
    assertThat(read.notes()).anyMatch(note -> note.contains("leads back to itself"));
  }

  @Test
  void partsThatAreReferencesAreFollowed() {
    Finishes house =
        throughHouse(
            """
            {"half": {"$type": "number", "$value": 0.5},
             "veil": {"$type": "color", "$value": {"colorSpace": "srgb", "components": [0, 0, 0],
               "alpha": "{half}"}},
             "sky": {"$type": "gradient", "$value": [
               {"color": {"colorSpace": "srgb", "components": [1, 1, 1]}, "position": 0},
               {"color": {"colorSpace": "srgb", "components": [0, 0, 0]}, "position": "{half}"}]}}
            """);
    assertThat(css(house, "veil")).isEqualTo("rgb(0 0 0 / 50%)");
    assertThat(css(house, "sky")).contains("#000000 50%");
  }

  /** One value that cannot be read is set aside and told; all else comes in. */
  @Test
  void whatCannotBeReadIsSetAsideAlone() {
    String json =
        """
        {"good": {"$type": "color", "$value": {"colorSpace": "srgb", "components": [0, 1, 0]}},
         "glass": {"$type": "color", "$value": {"colorSpace": "srgb", "components": [0, 1, 0],
           "alpha": 1.5}},
         "round": {"$type": "color", "$value": "{round2}"},
         "round2": {"$type": "color", "$value": "{round}"},
         "nowhere": {"$type": "color", "$value": "{missing.colour}"},
         "odd": {"$type": "fontWeight", "$value": 350.5},
         "system": {"$type": "fontFamily", "$value": ["-apple-system", "Segoe UI", "sans-serif"]},
         "quoted": {"$type": "fontFamily", "$value": ["Foo, Bar", "serif"]},
         "kanji": {"$type": "fontFamily", "$value": "游ゴシック"},
         "mad": {"$type": "fontFamily", "$value": "x;}</style>"}}
        """;
    Finishes house = throughHouse(json);
    assertThat(house.tokens())
        .extracting(Token::name)
        .containsExactlyInAnyOrder("good", "odd", "system", "quoted", "kanji");
    assertThat(css(house, "odd")).isEqualTo("350.5");
  }

  @Test
  void namesThatACustomPropertyCannotTellApartHaveTwo() {
    Finishes house =
        throughHouse(
            """
            {"a b": {"$type": "number", "$value": 1}, "a-b": {"$type": "number", "$value": 2},
             "a": {"b": {"$type": "number", "$value": 3}}}
            """);
    assertThat(CssVariables.properties(new SiteFinishes(house, Map.of())))
        .containsExactly(
            Map.entry("--a-b", "1"), Map.entry("--a-b-2", "2"), Map.entry("--a-b-3", "3"));
  }

  /** Long ways are followed without calling as deep as they are long. */
  @Test
  void tenThousandAliasesInARowComeIn() {
    StringBuilder json = new StringBuilder("{\"a0\": {\"$type\": \"number\", \"$value\": 7}");
    for (int i = 1; i <= 10_000; i++) {
      json.append(", \"a").append(i).append("\": {\"$type\": \"number\", \"$value\": \"{a");
      json.append(i - 1).append("}\"}");
    }
    Finishes house = throughHouse(json.append("}").toString());
    assertThat(css(house, "a10000")).isEqualTo("7");
  }
}
