package goodbones.layout;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Works out CSS lengths (CSS Values and Units 4: px, rem, em, vw, vh, per cent and clamp of sums of
 * them) in px.
 *
 * @param base what per cents refer to
 * @param font the font size that em refers to
 */
record Length(Screen screen, double base, double font) {
  /** The initial font size of every browser, on which rem rests. */
  static final double ROOT_FONT = 16;

  private static final double PARTS = 64;
  private static final Pattern TERM =
      Pattern.compile("([+-]?) ?(-?\\d*\\.?\\d+)(px|rem|em|vw|vh|%)?");
  private static final Pattern CLAMP = Pattern.compile("clamp\\((.+), ?(.+), ?(.+)\\)");

  /**
   * In whole 1/64 px, towards nothing, as browsers count.
   *
   * @throws IllegalArgumentException if it is no length
   */
  double px(String css) {
    double exact = exact(css);
    return (exact < 0 ? Math.ceil(exact * PARTS) : Math.floor(exact * PARTS)) / PARTS;
  }

  /**
   * As it is, for sizes of type and for borders.
   *
   * @throws IllegalArgumentException if it is no length
   */
  double exact(String css) {
    return css.startsWith("clamp(") ? clamped(css) : sum(css);
  }

  private double clamped(String css) {
    Matcher clamp = CLAMP.matcher(css);
    if (!clamp.matches()) {
      throw noLength(css);
    }
    double least = exact(clamp.group(1));
    return Math.max(least, Math.min(exact(clamp.group(2)), exact(clamp.group(3))));
  }

  private double sum(String css) {
    Matcher term = TERM.matcher(css);
    double sum = 0;
    int at = 0;
    while (term.find() && css.substring(at, term.start()).isBlank()) {
      double value = Double.parseDouble(term.group(2)) * unit(term.group(3));
      sum += term.group(1).equals("-") ? -value : value;
      at = term.end();
    }
    if (at == 0 || at < css.length()) {
      throw noLength(css);
    }
    return sum;
  }

  private static IllegalArgumentException noLength(String css) {
    return new IllegalArgumentException("“" + css + "” is not a length");
  }

  private double unit(String unit) {
    if (unit == null) {
      return 1;
    }
    return switch (unit) {
      case "rem" -> ROOT_FONT;
      case "em" -> font;
      case "vw" -> screen.width() / 100;
      case "vh" -> screen.height() / 100;
      case "%" -> base / 100;
      default -> 1;
    };
  }
}
