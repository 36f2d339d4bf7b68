package goodbones.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.FamilyNames;
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

  /** A system in several files, in any order: what refers to a later file is taken up with it. */
  @Test
  void whatRefersToALaterFileIsTakenUpWhenThatComes() {
    String semantic =
        "{\"brand\":{\"$type\":\"color\",\"main\":{\"$value\":\"{base.blue}\"},"
            + "\"text\":{\"$value\":\"{base.ink}\"}}}";
    String base = "{\"base\":{\"$type\":\"color\",\"blue\":{\"$value\":\"#0000ff\"}}}";
    String ink = "{\"base\":{\"ink\":{\"$type\":\"color\",\"$value\":\"#111111\"}}}";
    AtomicInteger next = new AtomicInteger();
    TokensImport.ForHouse both =
        TokensImport.intoHouse(
            HOUSE, List.of(semantic, base, ink), () -> "n" + next.incrementAndGet());
    assertThat(both.tokens()).isEqualTo(4);
    assertThat(both.notes()).isEmpty();

    Finishes now = HOUSE;
    int taken = 0;
    for (String file : List.of(semantic, base, ink)) {
      TokensImport.ForHouse one =
          TokensImport.intoHouse(now, List.of(file), () -> "n" + next.incrementAndGet());
      taken += one.tokens();
      now = applied(now, one.edit());
    }
    assertThat(taken).isEqualTo(4);
    assertThat(now.unread()).as("nothing is left aside").isEqualTo(HOUSE.unread());
    SiteFinishes looked = new SiteFinishes(now, Map.of());
    assertThat(looked.worth(now.tokenNamed("brand.text").orElseThrow().id()).css())
        .isEqualTo("#111111");
  }

  private static Finishes applied(Finishes house, FinishesEdit edit) {
    return FinishesEditor.apply(house, edit).finishes();
  }

  /** Both are written so in systems of everyday use. */
  @Test
  void aWholeFontStackInOneTextIsReadAsAStackAndNoted() {
    for (String stack :
        List.of(
            "ui-monospace, SFMono-Regular, Menlo, monospace",
            "'Some Face', -apple-system, sans-serif")) {
      TokensFile.Read read =
          TokensFile.read("{\"f\":{\"$type\":\"fontFamily\",\"$value\":\"" + stack + "\"}}");
      assertThat(read.tokens()).as(stack + read.notes()).hasSize(1);
      assertThat(FamilyNames.of(read.tokens().get(0).value().toString()))
          .hasSize(stack.split(",").length)
          .doesNotContain("'Some Face'");
      assertThat(read.notes()).hasSize(1);
    }
  }

  /** A key with a dot in it stands where it stood. */
  @Test
  void whatIsNotReadGoesOutAsItCameIn() {
    String odd = "{\"a.b\":null,\"c\":{\"d.e\":{\"f/g\":1,\"h~i\":[2]}},\"/x\":true}";
    TokensImport.ForHouse taken = TokensImport.intoHouse(HOUSE, List.of(odd), () -> "n");
    tools.jackson.databind.JsonNode out =
        new tools.jackson.databind.json.JsonMapper()
            .readTree(TokensFile.write(applied(HOUSE, taken.edit())));
    assertThat(out.has("a.b")).isTrue();
    assertThat(out.path("c").path("d.e").path("f/g").asInt()).isEqualTo(1);
    assertThat(out.path("c").path("d.e").path("h~i").get(0).asInt()).isEqualTo(2);
    assertThat(out.path("/x").asBoolean()).isTrue();
    assertThat(out.has("a")).isFalse();
  }

  /** A file of a few kilobytes whose groups extend each other ends, and says why. */
  @Test
  void whatWouldGrowWithoutEndIsLeftAsideWithAReason() {
    StringBuilder file = new StringBuilder("{\"g0\":{\"t\":{\"$type\":\"number\",\"$value\":1}}");
    for (int level = 1; level <= 20; level++) {
      file.append(",\"g").append(level).append("\":{");
      for (int i = 0; i < 9; i++) {
        file.append(i == 0 ? "" : ",").append("\"m").append(i).append("\":{\"$extends\":\"{g");
        file.append(level - 1).append("}\"}");
      }
      file.append('}');
    }
    TokensFile.Read read = TokensFile.read(file.append('}').toString());
    assertThat(read.tokens()).hasSizeLessThan(25_000);
    assertThat(read.notes()).anyMatch(note -> note.contains("extend each other"));

    String stops =
        "{\"color\":\"#000000\",\"position\":0},".repeat(100_000)
            + "{\"color\":\"#000000\",\"position\":1}";
    TokensFile.Read long1 =
        TokensFile.read("{\"g\":{\"$type\":\"gradient\",\"$value\":[" + stops + "]}}");
    assertThat(long1.tokens()).isEmpty();
    assertThat(long1.notes().get(0)).contains("at most 64 stops");
  }
}
