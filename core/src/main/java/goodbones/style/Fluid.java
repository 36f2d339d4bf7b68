package goodbones.style;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Sizes that grow evenly with the viewport between two widths, written with the CSS function {@code
 * clamp()} (CSS Values and Units 4, section 10.3).
 */
public final class Fluid {
  private static final double REM = 16;
  private static final Pattern TERM =
      Pattern.compile("([+-]?) ?(\\d+(?:\\.\\d+)?|\\.\\d+)(px|rem|em|vw|vh|%)?");

  private Fluid() {}

  /**
   * The size that is {@code least} px up to a viewport of {@code from} px, {@code greatest} px from
   * {@code to} px on, and in between grows in a straight line. The line's constant part is in rem,
   * so that it follows the reader's own text size.
   *
   * @throws IllegalArgumentException if the widths are not in order, or the sizes are not
   */
  public static String css(double least, double greatest, double from, double to) {
    if (!(from > 0 && from < to) || !(least > 0 && least < greatest)) {
      throw new IllegalArgumentException(
          "A fluid size goes from a smaller size and width to a greater one, not from "
              + least
              + "px at "
              + from
              + "px to "
              + greatest
              + "px at "
              + to
              + "px");
    }
    double slope = (greatest - least) / (to - from);
    double start = least - slope * from;
    return "clamp("
        + number(least)
        + "px, "
        + number(start / REM)
        + "rem "
        + "+ "
        + number(slope * 100)
        + "vw, "
        + number(greatest)
        + "px)";
  }

  private static String number(double n) {
    return String.format(Locale.ROOT, "%.4f", n).replaceAll("\\.?0+$", "");
  }

  /**
   * What a length is in px at a viewport of a width and height, root text being 16 px.
   *
   * @return NaN if it depends on something else
   */
  public static double px(String length, double width, double height) {
    String css = length.strip();
    if (css.startsWith("clamp(") && css.endsWith(")")) {
      List<String> parts =
          goodbones.document.Composite.split(css.substring(6, css.length() - 1), ',');
      double least = px(parts.get(0), width, height);
      double wanted = px(parts.get(1), width, height);
      double greatest = px(parts.get(2), width, height);
      return Math.max(least, Math.min(wanted, greatest));
    }
    double sum = 0;
    int at = 0;
    Matcher term = TERM.matcher(css);
    while (term.find()) {
      if (!css.substring(at, term.start()).isBlank()) {
        return Double.NaN;
      }
      at = term.end();
      String unit = term.group(3) == null ? "" : term.group(3);
      double factor =
          switch (unit) {
            case "px", "" -> 1;
            case "rem" -> REM;
            case "vw" -> width / 100;
            case "vh" -> height / 100;
            default -> Double.NaN;
          };
      sum += (term.group(1).equals("-") ? -1 : 1) * Double.parseDouble(term.group(2)) * factor;
    }
    return at == css.length() && at > 0 ? sum : Double.NaN;
  }
}
