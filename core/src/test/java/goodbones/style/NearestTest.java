package goodbones.style;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.StyleProperty;
import goodbones.testing.HouseFinishes;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class NearestTest {
  private static final SiteFinishes SITE = new SiteFinishes(HouseFinishes.house(), Map.of());

  private static List<String> nearest(StyleProperty property, String css) {
    return Nearest.tokens(SITE, property, css).stream().map(Token::name).toList();
  }

  @Test
  void coloursComeByTheirDifferenceAndOnlyColours() {
    assertThat(nearest(StyleProperty.COLOR, "#20282c")).startsWith("color.text");
    assertThat(nearest(StyleProperty.COLOR, "#fffffe")).startsWith("color.background");
    assertThat(nearest(StyleProperty.COLOR, "rgb(16 30 40 / 50%)")).startsWith("color.overlay");
    assertThat(nearest(StyleProperty.COLOR, "#1f6f63"))
        .startsWith("color.accent", "color.label")
        .allMatch(name -> name.startsWith("color."));
  }

  @Test
  void lengthsComeByTheirPixelsAlsoFluidOnes() {
    assertThat(nearest(StyleProperty.FONT_SIZE, "19px"))
        .containsExactly("size.text", "size.display");
    assertThat(nearest(StyleProperty.FONT_SIZE, "58px")).startsWith("size.display");
  }

  @Test
  void whatIsRetiredOrLeadsNowhereIsNotOffered() {
    Finishes house = HouseFinishes.house();
    Finishes retired =
        house.withTokens(
            house.tokens().stream()
                .map(t -> t.name().equals("size.text") ? t.withRetired(true) : t)
                .toList());
    SiteFinishes broken =
        new SiteFinishes(
            retired, Map.of("size.display", goodbones.document.StyleValue.token("nowhere")));
    assertThat(Nearest.tokens(broken, StyleProperty.FONT_SIZE, "19px")).isEmpty();
  }
}
