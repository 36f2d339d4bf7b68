package goodbones.style;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Looking up only what a change reaches finds the same faults as looking everything up. */
class SoundnessTest {
  private static final int CASES = 20_000;
  private static final int TOKENS = 7;

  private static StyleValue value(Random random, int own) {
    return switch (random.nextInt(5)) {
      case 0 ->
          StyleValue.literal(random.nextInt(12) == 0 ? "no length" : random.nextInt(90) + "px");
      case 1 -> StyleValue.parse("calc({t" + random.nextInt(TOKENS) + "} + 2px)");
      // Mostly to later tokens, so that most finishes have no circle.
      case 2, 3 -> {
        int later = own + 1 + random.nextInt(3);
        yield later < TOKENS ? StyleValue.token("t" + later) : StyleValue.literal("2px");
      }
      default ->
          random.nextInt(6) == 0
              ? StyleValue.token("t" + random.nextInt(TOKENS + 1))
              : StyleValue.literal("1px");
    };
  }

  private static Map<String, StyleValue> values(Random random) {
    Map<String, StyleValue> values = new HashMap<>();
    for (int i = 0; i < TOKENS; i++) {
      if (random.nextInt(4) == 0) {
        values.put("t" + i, value(random, i));
      }
    }
    return values;
  }

  private static SiteFinishes some(Random random) {
    List<Token> tokens = new ArrayList<>();
    for (int i = 0; i < TOKENS; i++) {
      if (random.nextInt(12) > 0) {
        tokens.add(Token.of("t" + i, "t" + i, TokenType.DIMENSION, value(random, i), ""));
      }
    }
    Scheme dark = new Scheme("dark", "Dark", values(random));
    Finishes house = Finishes.of(tokens, List.of(), Map.of()).withSchemes(List.of(dark));
    return new SiteFinishes(house, values(random));
  }

  /** The same with a few things changed. */
  private static SiteFinishes changed(SiteFinishes before, Random random) {
    List<Token> tokens = new ArrayList<>(before.tokens());
    Map<String, StyleValue> own = new HashMap<>(before.ownValues());
    Map<String, StyleValue> dark =
        new HashMap<>(before.house().scheme("dark").orElseThrow().values());
    for (int i = 0; i <= random.nextInt(2); i++) {
      int at = random.nextInt(TOKENS);
      switch (random.nextInt(5)) {
        case 0 -> own.put("t" + at, value(random, at));
        case 1 -> dark.put("t" + at, value(random, at));
        case 2 -> {
          own.remove("t" + at);
          dark.remove("t" + at);
        }
        case 3 -> tokens.removeIf(token -> token.id().equals("t" + at));
        default ->
            tokens.replaceAll(t -> t.id().equals("t" + at) ? t.withValue(value(random, at)) : t);
      }
    }
    List<Scheme> schemes =
        random.nextInt(9) == 0 ? List.of() : List.of(new Scheme("dark", "Dark", dark));
    return new SiteFinishes(before.house().withTokens(tokens).withSchemes(schemes), own);
  }

  private static boolean isSound(Runnable check) {
    try {
      check.run();
      return true;
    } catch (TokenProblem problem) {
      return false;
    }
  }

  private static boolean isSound(SiteFinishes finishes) {
    return isSound(
        () -> {
          finishes.ownValues().keySet().forEach(finishes::worth);
          finishes.requireSound();
        });
  }

  @Test
  void whatAChangeReachesIsAllThatCanBreak() {
    int sound = 0;
    int broken = 0;
    for (int seed = 0; seed < CASES; seed++) {
      Random random = new Random(seed);
      SiteFinishes before = some(random);
      if (!isSound(before)) {
        continue;
      }
      SiteFinishes after = changed(before, random);
      boolean all = isSound(after);
      assertThat(isSound(() -> Soundness.require(before, after)))
          .as("seed %s", seed)
          .isEqualTo(all);
      sound += all ? 1 : 0;
      broken += all ? 0 : 1;
    }
    assertThat(sound).isGreaterThan(1_000);
    assertThat(broken).isGreaterThan(500);
  }
}
