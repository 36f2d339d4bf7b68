package goodbones.style;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An sRGB colour with alpha.
 *
 * @param red 0 to 255
 * @param green 0 to 255
 * @param blue 0 to 255
 * @param alpha 0 (clear) to 1 (opaque)
 */
public record Colour(double red, double green, double blue, double alpha) {
  private static final Pattern RGB =
      Pattern.compile("rgb\\( ?(\\d+) (\\d+) (\\d+)(?: / ([\\d.]+)(%?))? ?\\)");

  /**
   * Reads CSS Color 4 hex and {@code rgb()} forms, and {@code transparent}.
   *
   * @throws IllegalArgumentException if the text is none of them
   */
  public static Colour parse(String css) {
    if (css.equals("transparent")) {
      return new Colour(0, 0, 0, 0);
    }
    if (css.matches("#[0-9a-fA-F]{3,4}")) {
      StringBuilder doubled = new StringBuilder("#");
      css.substring(1).chars().forEach(c -> doubled.append((char) c).append((char) c));
      return parse(doubled.toString());
    }
    if (css.matches("#[0-9a-fA-F]{6}([0-9a-fA-F]{2})?")) {
      double alpha = css.length() == 9 ? hex(css, 7) / 255.0 : 1;
      return new Colour(hex(css, 1), hex(css, 3), hex(css, 5), alpha);
    }
    Matcher rgb = RGB.matcher(css);
    if (!rgb.matches()) {
      throw new IllegalArgumentException(
          "“" + css + "” is not a colour: give one such as #1d3a4c, #0008 or rgb(29 58 76 / 60%)");
    }
    double alpha = 1;
    if (rgb.group(4) != null) {
      alpha = Double.parseDouble(rgb.group(4)) / (rgb.group(5).isEmpty() ? 1 : 100);
    }
    return new Colour(
        Math.min(255, Integer.parseInt(rgb.group(1))),
        Math.min(255, Integer.parseInt(rgb.group(2))),
        Math.min(255, Integer.parseInt(rgb.group(3))),
        Math.min(1, alpha));
  }

  private static int hex(String css, int at) {
    return Integer.parseInt(css.substring(at, at + 2), 16);
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
    return 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
  }

  private static double linear(double channel) {
    double c = channel / 255;
    return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
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
}
