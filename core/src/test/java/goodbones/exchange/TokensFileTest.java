package goodbones.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.style.Finishes;
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
}
