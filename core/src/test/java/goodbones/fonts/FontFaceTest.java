package goodbones.fonts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Outside check: which file is taken for a weight, by CSS Fonts Level 4, section 5.2, step 4. */
class FontFaceTest {
  private static List<FontFace> files(String weights) {
    return Arrays.stream(weights.split(" "))
        .map(Integer::parseInt)
        .map(w -> new FontFace("Tide", "tide-" + w, "woff2", w, w))
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    "300 400 700, 400, 400",
    "300 500 700, 400, 500",
    "300 600 700, 400, 300",
    "600 700, 400, 600",
    "400 600, 500, 400",
    "300 600, 500, 300",
    "100 300 600, 200, 100",
    "300 600, 200, 300",
    "100 400 900, 600, 900",
    "100 400 500, 600, 500",
    "200 800, 350, 200"
  })
  void theNearestByTheRulesOfCss(String there, int wanted, int taken) {
    assertThat(FontFace.matching(files(there), "tide", wanted).orElseThrow().least())
        .isEqualTo(taken);
  }

  @Test
  void aFileOfSeveralWeightsHoldsAllBetweenAndTheFirstOfEqualsIsTaken() {
    FontFace variable = new FontFace("Tide", "own", "truetype", 200, 900);
    List<FontFace> both = List.of(variable, new FontFace("Tide", "ships", "woff2", 100, 900));
    assertThat(FontFace.matching(both, "Tide", 450)).contains(variable);
    assertThat(FontFace.matching(both, "Ebb", 450)).isEmpty();
    assertThat(variable.rule())
        .isEqualTo(
            "@font-face{font-family:\"Tide\";src:url(\"own\") format(\"truetype\");"
                + "font-weight:200 900;font-display:swap}\n");
  }
}
