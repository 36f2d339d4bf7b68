package goodbones.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * An sRGB colour with alpha. What text and grounds are computed with lies inside the gamut; on the
 * way from wider spaces a channel may lie outside 0 to 255.
 *
 * @param red 0 to 255
 * @param green 0 to 255
 * @param blue 0 to 255
 * @param alpha 0 (clear) to 1 (opaque)
 */
public record Colour(double red, double green, double blue, double alpha) {
  public static final Colour WHITE = new Colour(255, 255, 255, 1);
  public static final Colour BLACK = new Colour(0, 0, 0, 1);
  private static final double GAMUT_SLACK = 255 * 0.000075;

  /**
   * Reads any colour of W3C CSS Color Module Level 4 that does not depend on where it stands: hex,
   * named, {@code rgb()}, {@code hsl()}, {@code hwb()}, {@code lab()}, {@code lch()}, {@code
   * oklab()}, {@code oklch()} and {@code color()}. One outside the sRGB gamut is mapped into it.
   *
   * @throws IllegalArgumentException if the text is none of them; the message says what would do
   */
  public static Colour parse(String css) {
    return ColourText.parse(css);
  }

  static Colour ofXyz(double[] xyz, double alpha) {
    double[] linear = Space.Matrices.SRGB.inverse().times(xyz);
    return new Colour(
        255 * Space.linearToSrgb(linear[0]),
        255 * Space.linearToSrgb(linear[1]),
        255 * Space.linearToSrgb(linear[2]),
        alpha);
  }

  /** CIE XYZ under D65, white being 1 in Y; alpha is left out. */
  double[] xyz() {
    return Space.SRGB.toXyz(new double[] {red / 255, green / 255, blue / 255});
  }

  /** CIE L*a*b* under D65; alpha is left out. */
  public Lab lab() {
    return Lab.of(xyz(), Lab.D65);
  }

  boolean inGamut() {
    return inRange(red) && inRange(green) && inRange(blue);
  }

  private static boolean inRange(double channel) {
    return channel >= -GAMUT_SLACK && channel <= 255 + GAMUT_SLACK;
  }

  /** Each channel cut off at the gamut's edge. */
  Colour clipped() {
    return new Colour(clip(red), clip(green), clip(blue), alpha);
  }

  private static double clip(double channel) {
    return Math.max(0, Math.min(255, channel));
  }

  public Colour withAlpha(double newAlpha) {
    return new Colour(red, green, blue, newAlpha);
  }

  /** The same colour, alpha kept, at another OKLCH lightness from 0 to 1, inside the gamut. */
  public Colour atLightness(double lightness) {
    return Oklch.of(this).withLightness(lightness).toSrgb().withAlpha(alpha);
  }

  /**
   * This colour at even OKLCH lightness steps from light to dark, hue and, as far as the gamut
   * allows, chroma kept.
   *
   * @param count at least 2
   */
  public List<Colour> lightnessSteps(int count) {
    List<Colour> steps = new ArrayList<>(count);
    for (int i = 0; i < count; i++) {
      steps.add(atLightness(0.97 - i * (0.97 - 0.16) / (count - 1)));
    }
    return steps;
  }

  /**
   * This colour laid over an opaque one: simple alpha compositing, source over (W3C Compositing and
   * Blending Level 1, section 9.1.4).
   */
  public Colour over(Colour backdrop) {
    return new Colour(
        red * alpha + backdrop.red * (1 - alpha),
        green * alpha + backdrop.green * (1 - alpha),
        blue * alpha + backdrop.blue * (1 - alpha),
        1);
  }

  /** Relative luminance, 0 (black) to 1 (white), as WCAG 2.2 defines it. */
  public double luminance() {
    return 0.2126 * Space.srgbToLinear(red / 255)
        + 0.7152 * Space.srgbToLinear(green / 255)
        + 0.0722 * Space.srgbToLinear(blue / 255);
  }

  /**
   * The contrast ratio of WCAG 2.2, 1 to 21, of this text colour on an opaque background; this
   * colour's alpha is composited first.
   */
  public double contrastOn(Colour background) {
    double text = over(background).luminance();
    double ground = background.luminance();
    return (Math.max(text, ground) + 0.05) / (Math.min(text, ground) + 0.05);
  }

  /**
   * The same colour with the least change of OKLCH lightness that reaches a contrast ratio on every
   * one of some opaque grounds, rounded to whole channels.
   *
   * @return empty if no lightness reaches it
   */
  public java.util.Optional<Colour> nearestPassing(List<Colour> grounds, double ratio) {
    double from = Oklch.of(this).l();
    for (double step = 0; step <= 1; step += 0.004) {
      for (double to : new double[] {from - step, from + step}) {
        if (to < 0 || to > 1) {
          continue;
        }
        Colour tried = (step == 0 ? this : atLightness(to)).rounded();
        if (grounds.stream().allMatch(ground -> tried.contrastOn(ground) >= ratio)) {
          return java.util.Optional.of(tried);
        }
      }
    }
    return java.util.Optional.empty();
  }

  private Colour rounded() {
    return new Colour(Math.round(red), Math.round(green), Math.round(blue), alpha);
  }

  /** Hex notation, {@code #rrggbb}, or {@code rgb(r g b / a%)} where it is not opaque. */
  public String css() {
    int r = (int) Math.round(red);
    int g = (int) Math.round(green);
    int b = (int) Math.round(blue);
    if (alpha >= 1) {
      return String.format(Locale.ROOT, "#%02x%02x%02x", r, g, b);
    }
    String percent = String.format(Locale.ROOT, "%.1f", alpha * 100).replaceAll("\\.0$", "");
    return "rgb(" + r + " " + g + " " + b + " / " + percent + "%)";
  }
}
