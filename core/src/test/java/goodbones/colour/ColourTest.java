package goodbones.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * WCAG 2.2: contrast is (L1 + 0.05) / (L2 + 0.05), 21 for black on white by that definition. The
 * greys are the values commonly quoted with success criterion 1.4.3 (#767676 is the lightest grey
 * that passes on white at 4.5, #949494 at 3), given from memory to two decimals.
 */
class ColourTest {
  @ParameterizedTest
  @CsvSource({
    "#000000, #ffffff, 21.00",
    "#ffffff, #000000, 21.00",
    "#ffffff, #ffffff, 1.00",
    "#767676, #ffffff, 4.54",
    "#777777, #ffffff, 4.48",
    "#949494, #ffffff, 3.03",
    "#0000ff, #ffffff, 8.59",
    "#ff0000, #ffffff, 4.00"
  })
  void contrast(String text, String ground, double ratio) {
    assertThat(Colour.parse(text).contrastOn(Colour.parse(ground))).isCloseTo(ratio, within(0.005));
  }

  @Test
  void alphaIsCompositedBeforeContrastIsMeasured() {
    Colour half = Colour.parse("rgb(0 0 0 / 50%)");
    Colour white = Colour.parse("#fff");
    assertThat(half.over(white)).isEqualTo(new Colour(127.5, 127.5, 127.5, 1));
    assertThat(half.contrastOn(white)).isCloseTo(3.98, within(0.01));
  }

  @ParameterizedTest
  @CsvSource({
    "#1d3a4c, 29, 58, 76, 1",
    "#abc, 170, 187, 204, 1",
    "#0008, 0, 0, 0, 0.5333",
    "#11223344, 17, 34, 51, 0.2667",
    "rgb(16 30 40 / 55%), 16, 30, 40, 0.55",
    "transparent, 0, 0, 0, 0"
  })
  void forms(String css, double red, double green, double blue, double alpha) {
    Colour colour = Colour.parse(css);
    assertThat(colour.red()).isEqualTo(red);
    assertThat(colour.green()).isEqualTo(green);
    assertThat(colour.blue()).isEqualTo(blue);
    assertThat(colour.alpha()).isCloseTo(alpha, within(0.0001));
  }

  @Test
  void whatIsNoColourIsRefusedWithAnExample() {
    assertThatThrownBy(() -> Colour.parse("blueish")).hasMessageContaining("#1d3a4c");
  }
}
