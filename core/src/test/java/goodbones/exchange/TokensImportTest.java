package goodbones.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.StyleValue;
import goodbones.style.Finishes;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesEditor;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import goodbones.testing.HouseFinishes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class TokensImportTest {
  private static final Finishes HOUSE = HouseFinishes.house();

  private static Finishes after(Finishes house, String json) {
    AtomicInteger next = new AtomicInteger();
    FinishesEdit edit =
        TokensImport.intoHouse(house, TokensFile.read(json), () -> "new" + next.incrementAndGet())
            .edit();
    return FinishesEditor.apply(house, edit).finishes();
  }

  @Test
  void whatWasTakenOutComesInAsItWas() {
    Finishes again = after(HOUSE, TokensFile.write(HOUSE));
    assertThat(again.tokens()).hasSameSizeAs(HOUSE.tokens());
    for (Token token : HOUSE.tokens()) {
      Token came = again.token(token.id()).orElseThrow();
      assertThat(came.value()).isEqualTo(token.value());
      assertThat(came.description()).isEqualTo(token.description());
    }
    assertThat(TokensFile.write(again)).isEqualTo(TokensFile.write(HOUSE));
  }

  @Test
  void tokensMeetByNameAndKeepTheirIdsNewOnesAreAddedTheOthersStay() {
    Finishes renamed =
        FinishesEditor.apply(HOUSE, FinishesEditor.rename(HOUSE, "color.accent", "brand.main"))
            .finishes();
    Finishes came =
        after(
            renamed,
            """
            {"brand": {"$type": "color", "main": {"$value": "#112233"},
              "other": {"$value": "{brand.main}"}}}
            """
                .replace(
                    "\"#112233\"",
                    "{\"colorSpace\":\"srgb\",\"components\":[0,0,0],\"hex\":\"#000000\"}"));
    assertThat(came.token("color.accent").orElseThrow().value())
        .isEqualTo(StyleValue.literal("#000000"));
    Token other = came.tokenNamed("brand.other").orElseThrow();
    assertThat(other.id()).isEqualTo("new1");
    assertThat(other.value()).isEqualTo(StyleValue.token("color.accent"));
    assertThat(came.tokenNamed("size.text")).isPresent();
    assertThat(new SiteFinishes(came, Map.of()).worth("color.label").css()).isEqualTo("#000000");
  }

  @Test
  void whatIsNoTokenToUsIsKeptBesideWhatWasKeptBefore() {
    Finishes once = after(HOUSE, "{\"ease\": {\"$type\": \"spring\", \"$value\": 3}}");
    Finishes twice = after(once, "{\"wave\": {\"$type\": \"spring\", \"$value\": 4}}");
    assertThat(TokensFile.write(twice)).contains("\"ease\"", "\"wave\"");
  }

  @Test
  void aSiteTakesOnlyWhatDiffersFromTheHouse() {
    SiteFinishes site =
        new SiteFinishes(
            HOUSE,
            Map.of(
                "color.accent", StyleValue.literal("#8a3a22"),
                "size.text", StyleValue.literal("20px")));
    TokensImport.ForSite same =
        TokensImport.intoSite(site, TokensFile.read(TokensFile.write(site)));
    assertThat(same.values())
        .isEqualTo(
            Map.of(
                "color.accent", Optional.of(StyleValue.literal("#8a3a22")),
                "size.text", Optional.of(StyleValue.literal("20px"))));
    TokensImport.ForSite house =
        TokensImport.intoSite(site, TokensFile.read(TokensFile.write(HOUSE)));
    assertThat(house.values())
        .as("the house's values take the site's own away")
        .isEqualTo(Map.of("color.accent", Optional.empty(), "size.text", Optional.empty()));
  }

  @Test
  void whatASiteCannotTakeIsSaid() {
    SiteFinishes site = new SiteFinishes(HOUSE, Map.of());
    Token wrong = Token.of("x", "color.text", TokenType.DIMENSION, StyleValue.literal("3px"), "");
    Token unknown = Token.of("y", "brand.none", TokenType.DIMENSION, StyleValue.literal("3px"), "");
    TokensImport.ForSite read =
        TokensImport.intoSite(
            site,
            TokensFile.read(
                TokensFile.write(Finishes.of(List.of(wrong, unknown), List.of(), Map.of()))));
    assertThat(read.values()).isEmpty();
    assertThat(read.notes())
        .containsExactlyInAnyOrder(
            "brand.none is no token of the house; bring the file in at the house first",
            "color.text is a dimension in the file and a color in the house; left as it is");
  }
}
