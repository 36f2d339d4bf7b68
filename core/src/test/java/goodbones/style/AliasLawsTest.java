package goodbones.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.StyleValue;
import goodbones.testing.HouseFinishes;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;

/** Looking tokens up, on generated graphs of aliases; the seed stands in the message. */
class AliasLawsTest {
  private static String value(Random random, int size) {
    return switch (random.nextInt(4)) {
      case 0 -> random.nextInt(64) + "px";
      case 1 -> "{t" + random.nextInt(size + 1) + "}";
      case 2 -> "clamp({t" + random.nextInt(size) + "}, 1rem, {t" + random.nextInt(size) + "})";
      default -> "{t" + random.nextInt(size) + "}";
    };
  }

  private static SiteFinishes graph(long seed) {
    Random random = new Random(seed);
    int size = 1 + random.nextInt(24);
    List<Token> tokens = new ArrayList<>();
    Map<String, StyleValue> own = new java.util.HashMap<>();
    for (int i = 0; i < size; i++) {
      tokens.add(HouseFinishes.token("t" + i, TokenType.DIMENSION, value(random, size)));
      if (random.nextInt(4) == 0) {
        own.put("t" + i, StyleValue.parse(value(random, size)));
      }
    }
    Map<String, StyleValue> inside = new java.util.HashMap<>();
    inside.put("t0", StyleValue.parse(value(random, size)));
    inside.put("t" + (size - 1), StyleValue.token("t0"));
    Scheme scheme = new Scheme("s", "S", inside);
    Finishes house = Finishes.of(tokens, List.of(), Map.of()).withSchemes(List.of(scheme));
    return new SiteFinishes(house, own);
  }

  @Test
  void lookingUpEndsForEveryGraphWithAValueOrTheWholeChain() {
    Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(20),
        () -> {
          int found = 0;
          int refused = 0;
          for (long seed = 0; seed < 4000; seed++) {
            SiteFinishes site = graph(seed);
            for (SiteFinishes scope : List.of(site, site.in("s"))) {
              for (Token token : site.tokens()) {
                try {
                  SiteFinishes.Worth worth = scope.worth(token.id());
                  assertThat(worth.css()).as("seed " + seed).doesNotContain("{");
                  assertThat(worth.chain().get(0).tokenId()).isEqualTo(token.id());
                  found++;
                } catch (TokenProblem problem) {
                  assertThat(problem.chain()).as("seed " + seed).isNotEmpty();
                  refused++;
                }
              }
            }
          }
          assertThat(found).isGreaterThan(1000);
          assertThat(refused).isGreaterThan(1000);
        });
  }

  @Test
  void whatIsRefusedDoesNotDependOnWhatWasLookedUpBefore() {
    for (long seed = 0; seed < 500; seed++) {
      Set<String> sound = new HashSet<>();
      for (Token token : graph(seed).tokens()) {
        if (holds(graph(seed), token)) {
          sound.add(token.id());
        }
      }
      SiteFinishes one = graph(seed);
      for (Token token : one.tokens()) {
        assertThat(holds(one, token))
            .as("seed " + seed + " " + token.name())
            .isEqualTo(sound.contains(token.id()));
      }
    }
  }

  private static boolean holds(SiteFinishes site, Token token) {
    try {
      site.worth(token.id());
      return true;
    } catch (TokenProblem problem) {
      return false;
    }
  }

  @Test
  void aDeepDoublingGraphIsLookedUpOnce() {
    List<Token> tokens = new ArrayList<>();
    tokens.add(HouseFinishes.token("t0", TokenType.DIMENSION, "1px"));
    for (int i = 1; i < 300; i++) {
      tokens.add(HouseFinishes.token("t" + i, TokenType.DIMENSION, "{t" + (i - 1) + "}"));
    }
    SiteFinishes site = new SiteFinishes(Finishes.of(tokens, List.of(), Map.of()), Map.of());
    assertThat(site.worth("t299").chain()).hasSize(300);
  }

  @Test
  void partsOfCompositesAreTokensToo() {
    SiteFinishes site = new SiteFinishes(HouseFinishes.house(), Map.of());
    site.requireSound();
    assertThat(site.worth(StyleValue.parse("{type.heading#fontWeight}")).css()).isEqualTo("600");
    assertThat(site.worth(StyleValue.parse("{shade.card#1/color}")).css()).isEqualTo("#1f6f63");
    assertThat(site.worth(StyleValue.parse("{shade.card#1/color}")).chain())
        .extracting(SiteFinishes.Step::name)
        .containsExactly("shade.card", "color.accent");
    assertThatThrownBy(() -> site.worth(StyleValue.parse("{type.heading#shade}")))
        .hasMessageContaining("fontFamily, fontSize");
  }

  @Test
  void aSchemePointsOutsideItselfSoTextAndBackgroundChangePlaces() {
    SiteFinishes dark = new SiteFinishes(HouseFinishes.house(), Map.of()).in("dark");
    assertThat(dark.worth("color.text").css()).isEqualTo("#ffffff");
    assertThat(dark.worth("color.background").css()).isEqualTo("#22282b");
    assertThat(dark.worth("color.label").css())
        .as("follows the scheme's accent")
        .isEqualTo("#e2a13a");
    assertThat(dark.worth("color.text").chain().get(0).from()).isEqualTo(SiteFinishes.From.SCHEME);
  }
}
