package goodbones.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PaletteTest {
  private static int[] areas(Random noise, int spread, int... colourAndCount) {
    int[] pixels = new int[0];
    for (int i = 0; i < colourAndCount.length; i += 2) {
      int colour = colourAndCount[i];
      int[] area = new int[colourAndCount[i + 1]];
      Arrays.setAll(area, k -> disturbed(colour, noise, spread));
      int[] joined = Arrays.copyOf(pixels, pixels.length + area.length);
      System.arraycopy(area, 0, joined, pixels.length, area.length);
      pixels = joined;
    }
    return pixels;
  }

  private static int disturbed(int argb, Random noise, int spread) {
    int out = argb & 0xff000000;
    for (int shift = 0; shift <= 16; shift += 8) {
      int channel =
          (argb >> shift & 255) + (spread == 0 ? 0 : noise.nextInt(2 * spread + 1) - spread);
      out |= Math.max(0, Math.min(255, channel)) << shift;
    }
    return out;
  }

  @Test
  void findsTheColoursOfALogoWithTheirSharesAndLeavesItsGroundOut() {
    int[] logo =
        areas(
            new Random(1),
            0,
            0xffffffff,
            5000,
            0x00ff0000,
            900,
            0xff1d3a4c,
            600,
            0xffe2a13a,
            300,
            0xff8a3a22,
            100);
    List<Palette.Swatch> palette = Palette.of(logo);
    assertThat(palette)
        .extracting(s -> s.colour().css())
        .containsExactly("#1d3a4c", "#e2a13a", "#8a3a22");
    assertThat(palette).extracting(Palette.Swatch::share).containsExactly(0.6, 0.3, 0.1);
  }

  @Test
  void noiseDoesNotMakeMoreColours() {
    for (int seed = 0; seed < 20; seed++) {
      List<Palette.Swatch> palette =
          Palette.of(
              areas(new Random(seed), 4, 0xff1d3a4c, 4000, 0xffe2a13a, 2000, 0xff4f8f5a, 1500));
      assertThat(palette).as("seed " + seed).hasSize(3);
      assertThat(palette.get(0).colour().lab().ciede2000(Colour.parse("#1d3a4c").lab()))
          .isLessThan(2);
      assertThat(palette.stream().mapToDouble(Palette.Swatch::share).sum())
          .isCloseTo(1, within(0.01));
    }
  }

  @Test
  void neverMoreThanEightAndNoneTooAlike() {
    Random random = new Random(7);
    int[] photo = random.ints(20_000, 0, 0x1000000).map(rgb -> rgb | 0xff000000).toArray();
    List<Palette.Swatch> palette = Palette.of(photo);
    assertThat(palette).hasSizeBetween(3, 8);
    for (Palette.Swatch a : palette) {
      for (Palette.Swatch b : palette) {
        assertThat(a == b || a.colour().lab().ciede2000(b.colour().lab()) >= 6).isTrue();
      }
    }
  }

  @Test
  void aWhitePictureHasItsWhiteAndAClearOneNothing() {
    assertThat(Palette.of(areas(new Random(1), 0, 0xffffffff, 10))).hasSize(1);
    assertThat(Palette.of(new int[100])).isEmpty();
  }

  @Test
  void oneColourAtAPoint() {
    int[] pixels = new int[16];
    Arrays.fill(pixels, 0xff102030);
    assertThat(Palette.at(pixels, 4, 4, 0, 3).css()).isEqualTo("#102030");
    assertThatThrownBy(() -> Palette.at(pixels, 4, 4, 4, 0)).hasMessageContaining("outside");
  }

  @Test
  void lightnessStepsKeepTheHueAndStayInTheGamut() {
    for (String css : List.of("#e2a13a", "#1f6f63", "#8a3a22", "#0000ff", "#777777")) {
      Oklch from = Oklch.of(Colour.parse(css));
      double last = 1;
      for (Colour step : Colour.parse(css).lightnessSteps(9)) {
        Oklch here = Oklch.of(step);
        assertThat(step.inGamut()).isTrue();
        assertThat(here.l()).isLessThan(last);
        last = here.l();
        double turned = Math.toRadians(here.h() - from.h());
        assertThat(here.c() * Math.abs(Math.sin(turned)))
            .as(css + " " + step.css())
            .isLessThan(0.02);
      }
    }
  }

  @Test
  void theNearestPassingLightnessPassesOnEveryGround() {
    Colour white = Colour.WHITE;
    Colour tint = Colour.parse("#e8f0f1");
    Colour mended = Colour.parse("#e2a13a").nearestPassing(List.of(white, tint), 4.5).orElseThrow();
    assertThat(mended.contrastOn(white)).isGreaterThanOrEqualTo(4.5);
    assertThat(mended.contrastOn(tint)).isBetween(4.5, 4.75);
    assertThat(Colour.BLACK.nearestPassing(List.of(Colour.BLACK, white), 7)).isEmpty();
  }
}
