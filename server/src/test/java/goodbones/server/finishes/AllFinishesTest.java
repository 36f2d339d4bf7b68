package goodbones.server.finishes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.server.documents.DocumentJson;
import goodbones.style.AllFinishes;
import goodbones.style.Finishes;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesEditor;
import goodbones.style.FinishesStep;
import goodbones.style.NamedStyle;
import goodbones.style.Token;
import goodbones.style.TokenProblem;
import goodbones.style.TokenType;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class AllFinishesTest {
  private static final int TOKENS = 6;

  private static AllFinishes begin() {
    List<Token> tokens = new ArrayList<>();
    for (int i = 0; i < TOKENS; i++) {
      tokens.add(
          Token.of("t" + i, "color.n" + i, TokenType.COLOR, StyleValue.literal("#00000" + i), ""));
    }
    return new AllFinishes(Finishes.of(tokens, List.of(), Map.of()), Map.of());
  }

  private static StyleValue value(Random random) {
    return random.nextBoolean()
        ? StyleValue.literal("#12345" + random.nextInt(6))
        : StyleValue.token("t" + random.nextInt(TOKENS));
  }

  private static FinishesStep step(Random random, Finishes house, int depth) {
    String token = "t" + random.nextInt(TOKENS);
    String site = "site" + random.nextInt(2);
    return switch (random.nextInt(depth > 0 ? 5 : 4)) {
      case 0 -> new FinishesStep.House(FinishesEditor.value(house, token, value(random)));
      case 1 ->
          FinishesStep.value(
              site, token, random.nextInt(3) == 0 ? Optional.empty() : Optional.of(value(random)));
      case 2 ->
          FinishesStep.style(
              site,
              "s" + random.nextInt(2),
              random.nextInt(3) == 0
                  ? Optional.empty()
                  : Optional.of(
                      new NamedStyle(
                          "s" + random.nextInt(2),
                          "Style",
                          Map.of(StyleKey.parse("color"), value(random)))));
      case 3 ->
          new FinishesStep.House(
              new FinishesEdit.PutNamedStyle(
                  "h", Optional.of(new NamedStyle("h", "House", Map.of())), -1));
      default ->
          new FinishesStep.Several(
              List.of(step(random, house, depth - 1), step(random, house, depth - 1)));
    };
  }

  /** Also after what is kept in the history was written and read again. */
  @Test
  void everyStepIsUndoneByItsInverseAndARefusedOneChangesNothing() {
    int done = 0;
    int refused = 0;
    for (long seed = 0; seed < 400; seed++) {
      Random random = new Random(seed);
      AllFinishes now = begin();
      for (int i = 0; i < 8; i++) {
        FinishesStep step = step(random, now.house(), 2);
        AllFinishes before = now;
        try {
          AllFinishes.Edited edited = now.after(step);
          FinishesStep inverse =
              DocumentJson.read(DocumentJson.write(edited.inverse()), FinishesStep.class);
          AllFinishes back = edited.finishes().after(inverse).finishes();
          assertThat(back.house()).as("seed %d", seed).isEqualTo(before.house());
          for (String site : List.of("site0", "site1")) {
            assertThat(back.own(site)).as("seed %d", seed).isEqualTo(before.own(site));
          }
          now = edited.finishes();
          done++;
        } catch (TokenProblem problem) {
          assertThat(now).isEqualTo(before);
          refused++;
        }
      }
    }
    assertThat(done).isGreaterThan(1000);
    assertThat(refused).as("circles come up and are refused").isGreaterThan(50);
  }

  @Test
  void whatWouldBreakAtAnotherSiteIsRefusedAndSaysWhere() {
    AllFinishes own =
        begin()
            .after(FinishesStep.value("quay", "t1", Optional.of(StyleValue.token("t0"))))
            .finishes();
    FinishesStep step =
        new FinishesStep.House(FinishesEditor.value(own.house(), "t0", StyleValue.token("t1")));
    assertThatThrownBy(() -> own.after(step))
        .isInstanceOf(TokenProblem.class)
        .hasMessageContaining("comes back to itself")
        .hasMessageContaining("with the own values of quay");
    assertThat(begin().after(step).finishes().of("").worth("t0").css()).isEqualTo("#000001");
  }
}
