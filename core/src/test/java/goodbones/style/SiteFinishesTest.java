package goodbones.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SiteFinishesTest {
  private static Token token(String id, String name, TokenType type, String value) {
    return Token.of(id, name, type, StyleValue.parse(value), "");
  }

  private static SiteFinishes site(Map<String, StyleValue> own, Token... tokens) {
    return new SiteFinishes(Finishes.of(List.of(tokens), List.of(), Map.of()), own);
  }

  private static final Token BASE = token("a", "color.accent", TokenType.COLOR, "#111111");
  private static final Token ALIAS = token("b", "color.label", TokenType.COLOR, "{a}");
  private static final Token SIZE = token("s", "size.text", TokenType.DIMENSION, "17px");

  @Test
  void anAliasIsLookedUpAfterTheSitesValueReplacesTheHouses() {
    SiteFinishes site = site(Map.of("a", StyleValue.literal("#222222")), BASE, ALIAS);
    SiteFinishes.Worth worth = site.worth("b");
    assertThat(worth.css()).isEqualTo("#222222");
    assertThat(worth.chain())
        .extracting(SiteFinishes.Step::from)
        .containsExactly(SiteFinishes.From.HOUSE, SiteFinishes.From.SITE);
  }

  @Test
  void aCircleIsAnErrorThatNamesTheWholeChain() {
    SiteFinishes site = site(Map.of("a", StyleValue.token("b")), BASE, ALIAS);
    assertThatThrownBy(() -> site.worth("b"))
        .isInstanceOf(TokenProblem.class)
        .hasMessageContaining("color.label → color.accent → color.label");
  }

  @Test
  void anUnknownTokenIsAnErrorThatOffersThoseLikeIt() {
    assertThatThrownBy(() -> site(Map.of(), BASE, SIZE).read("{color.acent}"))
        .isInstanceOf(TokenProblem.class)
        .hasMessageContaining("no token “color.acent”")
        .hasMessageContaining("color.accent");
    Token dangling = token("d", "color.gone", TokenType.COLOR, "{nowhere}");
    assertThatThrownBy(() -> site(Map.of(), dangling).worth("d"))
        .hasMessageContaining("color.gone → nowhere");
  }

  @Test
  void aTokenOfAnotherTypeIsRefused() {
    SiteFinishes site = site(Map.of("a", StyleValue.token("s")), BASE, SIZE);
    assertThatThrownBy(() -> site.worth("a"))
        .hasMessageContaining("is a color but leads to a dimension")
        .hasMessageContaining("color.accent → size.text");
    assertThatThrownBy(() -> site.require(StyleProperty.COLOR, StyleValue.token("s")))
        .hasMessageContaining("size.text is a dimension");
  }

  @Test
  void aLiteralMustFitItsType() {
    SiteFinishes site = site(Map.of("a", StyleValue.literal("red-ish")), BASE);
    assertThatThrownBy(() -> site.worth("a")).hasMessageContaining("cannot be “red-ish”");
  }

  @Test
  void valuesAreReadAndWrittenByNameAndKeptById() {
    SiteFinishes site = site(Map.of(), BASE);
    StyleValue read = site.read(" {color.accent} ");
    assertThat(read).isEqualTo(StyleValue.token("a"));
    assertThat(site.written(read)).isEqualTo("{color.accent}");
    assertThat(site.read("12px")).isEqualTo(StyleValue.literal("12px"));
  }

  @Test
  void lookingUpEndsForEveryGraphOfAliases() {
    for (long seed = 0; seed < 2000; seed++) {
      Random random = new Random(seed);
      int size = 1 + random.nextInt(8);
      List<Token> tokens = new ArrayList<>();
      Map<String, StyleValue> own = new HashMap<>();
      for (int i = 0; i < size; i++) {
        tokens.add(token("t" + i, "c.n" + i, TokenType.COLOR, value(random, size)));
        if (random.nextBoolean()) {
          own.put("t" + i, StyleValue.parse(value(random, size)));
        }
      }
      SiteFinishes site = site(own, tokens.toArray(Token[]::new));
      for (Token token : tokens) {
        try {
          SiteFinishes.Worth worth = site.worth(token.id());
          assertThat(worth.chain()).hasSizeLessThanOrEqualTo(size);
          assertThat(worth.css()).startsWith("#");
        } catch (TokenProblem circle) {
          assertThat(circle.chain()).as("seed %d", seed).hasSizeGreaterThan(1);
        }
      }
      assertThat(site.with("t0", Optional.of(StyleValue.literal("#123456"))).worth("t0").css())
          .isEqualTo("#123456");
    }
  }

  private static String value(Random random, int size) {
    return random.nextInt(3) == 0 ? "#00ff00" : "{t" + random.nextInt(size) + "}";
  }

  @Test
  void whatFollowsATokenIsWorthJustWhatItIsAndNothingElseIs() {
    Finishes house = goodbones.testing.HouseFinishes.house();
    SiteFinishes site = new SiteFinishes(house, Map.of());
    assertThat(names(site.followers("color.accent")))
        .as("a shadow with the colour in it takes more than the colour")
        .containsExactly("color.accent", "color.label");
    assertThat(names(site.in("dark").followers("color.accent")))
        .as("the scheme means another colour by it")
        .isEmpty();
    assertThat(names(site.in("dark").followers("color.text")))
        .as("inside, the background is what the text is outside")
        .containsExactly("color.background");
    SiteFinishes own =
        new SiteFinishes(house, Map.of("color.label", StyleValue.literal("#111111")));
    assertThat(names(own.followers("color.accent"))).containsExactly("color.accent");
    StyleValue other = StyleValue.literal("#abcdef");
    for (SiteFinishes look : List.of(site, site.in("dark"), site.in("tinted"))) {
      for (Token token : house.tokens()) {
        SiteFinishes changed = site.with("color.text", Optional.of(other));
        SiteFinishes there = look.scheme().map(scheme -> changed.in(scheme.id())).orElse(changed);
        boolean follows = look.followers("color.text").contains(token);
        assertThat(there.worth(token.id()).css().equals("#abcdef"))
            .as(token.name())
            .isEqualTo(follows);
      }
    }
  }

  private static List<String> names(List<Token> tokens) {
    return tokens.stream().map(Token::name).toList();
  }
}
