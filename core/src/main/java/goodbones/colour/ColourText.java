package goodbones.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the colour syntax of W3C CSS Color Module Level 4, sections 5 to 10. */
final class ColourText {
  private static final Pattern FUNCTION = Pattern.compile("([a-z-]+)\\(([^()]*)\\)");
  private static final Pattern NUMBER =
      Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:e[+-]?\\d+)?)(%|deg|grad|rad|turn)?");
  private static final int LENGTH_LIMIT = 120;

  private final String text;

  private ColourText(String text) {
    this.text = text;
  }

  static Colour parse(String css) {
    return new ColourText(css).read();
  }

  private IllegalArgumentException wrong(String why) {
    String shown = text.length() > LENGTH_LIMIT ? text.substring(0, LENGTH_LIMIT) + "…" : text;
    return new IllegalArgumentException(
        "“"
            + shown
            + "” is not a colour"
            + (why.isEmpty() ? "" : " (" + why + ")")
            + ": give one such as #1d3a4c, rgb(29 58 76 / 60%) or oklch(45% 0.08 235)");
  }

  private Colour read() {
    String css = text.strip().toLowerCase(Locale.ROOT);
    if (css.length() > LENGTH_LIMIT) {
      throw wrong("it is too long");
    }
    if (css.startsWith("#")) {
      return hex(css.substring(1));
    }
    if (css.equals("transparent")) {
      return new Colour(0, 0, 0, 0);
    }
    String named = NamedColours.hex(css);
    if (!named.isEmpty()) {
      return hex(named);
    }
    Matcher function = FUNCTION.matcher(css);
    if (!function.matches()) {
      throw wrong("");
    }
    return function(function.group(1), function.group(2).strip());
  }

  private Colour hex(String digits) {
    if (!digits.matches("[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8}")) {
      throw wrong("after # stand 3, 4, 6 or 8 digits from 0 to f");
    }
    String full =
        digits.length() < 6
            ? digits
                .chars()
                .collect(
                    StringBuilder::new,
                    (b, c) -> b.append((char) c).append((char) c),
                    StringBuilder::append)
                .toString()
            : digits;
    double alpha = full.length() == 8 ? Integer.parseInt(full, 6, 8, 16) / 255.0 : 1;
    return new Colour(
        Integer.parseInt(full, 0, 2, 16),
        Integer.parseInt(full, 2, 4, 16),
        Integer.parseInt(full, 4, 6, 16),
        alpha);
  }

  private Colour function(String name, String inside) {
    boolean legacy = inside.contains(",");
    if (legacy && !name.matches("rgba?|hsla?")) {
      throw wrong(name + "() takes its parts with spaces between, not commas");
    }
    String[] halves = legacy ? new String[] {inside} : inside.split("/", -1);
    if (halves.length > 2) {
      throw wrong("there is more than one /");
    }
    List<String> parts =
        new ArrayList<>(List.of(halves[0].strip().split(legacy ? "\\s*,\\s*" : "\\s+", -1)));
    if (legacy && parts.contains("none")) {
      throw wrong("none does not go with commas");
    }
    double alpha = 1;
    if (halves.length == 2) {
      alpha = alpha(halves[1].strip());
    } else if (legacy && parts.size() == 4) {
      alpha = alpha(parts.remove(3));
    }
    if (name.equals("color")) {
      return color(parts, alpha);
    }
    if (parts.size() != 3) {
      throw wrong(name + "() takes three parts, and after a / the alpha");
    }
    return switch (name) {
      case "rgb", "rgba" -> rgb(parts, alpha);
      case "hsl", "hsla" ->
          hsl(hue(parts.get(0)), percent(parts.get(1)), percent(parts.get(2)), alpha);
      case "hwb" -> hwb(hue(parts.get(0)), percent(parts.get(1)), percent(parts.get(2)), alpha);
      case "lab" ->
          wide(
              new Lab(
                      lightness(parts.get(0), 100),
                      scaled(parts.get(1), 125),
                      scaled(parts.get(2), 125))
                  .xyz(Lab.D50),
              true,
              alpha);
      case "lch" -> {
        double chroma = Math.max(0, scaled(parts.get(1), 150));
        double angle = Math.toRadians(hue(parts.get(2)));
        yield wide(
            new Lab(
                    lightness(parts.get(0), 100),
                    chroma * Math.cos(angle),
                    chroma * Math.sin(angle))
                .xyz(Lab.D50),
            true,
            alpha);
      }
      case "oklab" ->
          wide(
              Oklch.xyz(
                  new double[] {
                    lightness(parts.get(0), 1), scaled(parts.get(1), 0.4), scaled(parts.get(2), 0.4)
                  }),
              false,
              alpha);
      case "oklch" ->
          new Oklch(
                  lightness(parts.get(0), 1),
                  Math.max(0, scaled(parts.get(1), 0.4)),
                  hue(parts.get(2)))
              .toSrgb()
              .withAlpha(alpha);
      default -> throw wrong("there is no colour function " + name + "()");
    };
  }

  private Colour rgb(List<String> parts, double alpha) {
    double[] c = new double[3];
    for (int i = 0; i < 3; i++) {
      Part part = part(parts.get(i));
      c[i] = part.unit.equals("%") ? part.number * 2.55 : plain(part);
    }
    return new Colour(c[0], c[1], c[2], alpha).clipped();
  }

  /** CSS Color 4, section 7.1, sample code hslToRgb. */
  private static Colour hsl(double hue, double saturation, double lightness, double alpha) {
    double s = Math.max(0, saturation) / 100;
    double l = lightness / 100;
    double a = s * Math.min(l, 1 - l);
    double[] c = new double[3];
    int[] offsets = {0, 8, 4};
    for (int i = 0; i < 3; i++) {
      double k = (offsets[i] + hue / 30) % 12;
      c[i] = 255 * (l - a * Math.max(-1, Math.min(Math.min(k - 3, 9 - k), 1)));
    }
    return new Colour(c[0], c[1], c[2], alpha).clipped();
  }

  /** CSS Color 4, section 8, sample code hwbToRgb. */
  private static Colour hwb(double hue, double whiteness, double blackness, double alpha) {
    double white = whiteness / 100;
    double black = blackness / 100;
    if (white + black >= 1) {
      double grey = 255 * white / (white + black);
      return new Colour(grey, grey, grey, alpha);
    }
    Colour pure = hsl(hue, 100, 50, 1);
    double share = 1 - white - black;
    return new Colour(
        pure.red() * share + 255 * white,
        pure.green() * share + 255 * white,
        pure.blue() * share + 255 * white,
        alpha);
  }

  private Colour color(List<String> parts, double alpha) {
    if (parts.size() != 4) {
      throw wrong("color() takes a space and three parts");
    }
    Space space =
        Space.named(parts.get(0))
            .orElseThrow(() -> wrong("there is no colour space " + parts.get(0)));
    double[] c = new double[3];
    for (int i = 0; i < 3; i++) {
      c[i] = scaled(parts.get(i + 1), 1);
    }
    if (space == Space.SRGB) {
      Colour here = new Colour(255 * c[0], 255 * c[1], 255 * c[2], alpha);
      return here.inGamut() ? here.clipped() : Oklch.of(here).toSrgb().withAlpha(alpha);
    }
    return wide(space.toXyz(c), false, alpha);
  }

  private static Colour wide(double[] xyz, boolean underD50, double alpha) {
    double[] d65 = underD50 ? Space.Matrices.D50_TO_D65.times(xyz) : xyz;
    Colour here = Colour.ofXyz(d65, alpha);
    return here.inGamut() ? here.clipped() : Oklch.of(here).toSrgb().withAlpha(alpha);
  }

  private record Part(double number, String unit) {}

  private Part part(String written) {
    if (written.equals("none")) {
      return new Part(0, "");
    }
    Matcher number = NUMBER.matcher(written);
    if (!number.matches()) {
      throw wrong("“" + written + "” is not a number");
    }
    return new Part(
        Double.parseDouble(number.group(1)), number.group(2) == null ? "" : number.group(2));
  }

  private double plain(Part part) {
    if (!part.unit.isEmpty()) {
      throw wrong("an angle stands where a number belongs");
    }
    return part.number;
  }

  private double scaled(String written, double whole) {
    Part part = part(written);
    return part.unit.equals("%") ? part.number / 100 * whole : plain(part);
  }

  private double lightness(String written, double whole) {
    return Math.max(0, Math.min(whole, scaled(written, whole)));
  }

  private double percent(String written) {
    Part part = part(written);
    return part.unit.equals("%") ? part.number : plain(part);
  }

  private double alpha(String written) {
    Part part = part(written);
    double alpha = part.unit.equals("%") ? part.number / 100 : plain(part);
    return Math.max(0, Math.min(1, alpha));
  }

  private static final Map<String, Double> ANGLES =
      Map.of("", 1.0, "deg", 1.0, "grad", 0.9, "rad", 180 / Math.PI, "turn", 360.0);

  private double hue(String written) {
    Part part = part(written);
    Double factor = ANGLES.get(part.unit);
    if (factor == null) {
      throw wrong("a hue is an angle");
    }
    double degrees = part.number * factor % 360;
    return degrees < 0 ? degrees + 360 : degrees;
  }
}
