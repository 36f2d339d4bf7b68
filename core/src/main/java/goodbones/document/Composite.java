package goodbones.document;

import goodbones.colour.Colour;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Takes values of several parts, written as CSS, apart. The parts are named as in the W3C Design
 * Tokens Format: {@code color}, {@code width}, {@code offsetX} and so on; those of several shadows
 * and of a gradient's stops begin with their place, such as {@code 0/color}.
 */
public final class Composite {
  private static final Pattern TYPOGRAPHY =
      Pattern.compile("(\\S+) ([^/]+)/(\\S+)(?: (-?[\\d.]+(?:px|rem|em)|0))? (.+)");
  private static final Pattern ANGLE =
      Pattern.compile("-?\\d+(\\.\\d+)?deg|to (top|bottom|left|right)( left| right)?");
  private static final Pattern PERCENT = Pattern.compile("-?\\d+(\\.\\d+)?%");

  private Composite() {}

  /**
   * The parts of a value, in the order of the format.
   *
   * @return empty if the value is not of that type, or the type has no parts
   */
  public static Optional<Map<String, String>> parts(ValueType type, String css) {
    return switch (type) {
      case SHADOW -> shadows(css);
      case BORDER -> border(css);
      case TRANSITION -> transition(css);
      case GRADIENT -> gradient(css);
      case TYPOGRAPHY -> typography(css);
      default -> Optional.empty();
    };
  }

  /** The pieces of a CSS value at top level; what stands in brackets stays together. */
  public static List<String> split(String css, char at) {
    List<String> pieces = new ArrayList<>();
    int depth = 0;
    int start = 0;
    for (int i = 0; i < css.length(); i++) {
      char c = css.charAt(i);
      if (c == '(') {
        depth++;
      } else if (c == ')') {
        depth--;
      } else if (c == at && depth == 0) {
        pieces.add(css.substring(start, i).strip());
        start = i + 1;
      }
    }
    pieces.add(css.substring(start).strip());
    pieces.removeIf(String::isEmpty);
    return pieces;
  }

  private static Optional<Map<String, String>> shadows(String css) {
    if (css.equals("none")) {
      return Optional.of(Map.of());
    }
    List<String> layers = split(css, ',');
    Map<String, String> parts = new LinkedHashMap<>();
    for (int i = 0; i < layers.size(); i++) {
      String before = layers.size() == 1 ? "" : i + "/";
      Map<String, String> layer = shadow(layers.get(i));
      if (layer.isEmpty()) {
        return Optional.empty();
      }
      layer.forEach((part, value) -> parts.put(before + part, value));
    }
    return parts.isEmpty() ? Optional.empty() : Optional.of(parts);
  }

  private static Map<String, String> shadow(String css) {
    List<String> words = split(css, ' ');
    boolean inset = words.remove("inset");
    List<String> lengths = words.stream().filter(ValueType.SIGNED_LENGTH::accepts).toList();
    List<String> rest =
        words.stream().filter(word -> !ValueType.SIGNED_LENGTH.accepts(word)).toList();
    if (lengths.size() < 2
        || lengths.size() > 2 && !ValueType.LENGTH.accepts(lengths.get(2))
        || lengths.size() > 4
        || rest.size() != 1
        || !ValueType.COLOUR.accepts(rest.get(0))) {
      return Map.of();
    }
    Map<String, String> parts = new LinkedHashMap<>();
    parts.put("color", rest.get(0));
    parts.put("offsetX", lengths.get(0));
    parts.put("offsetY", lengths.get(1));
    parts.put("blur", lengths.size() > 2 ? lengths.get(2) : "0px");
    parts.put("spread", lengths.size() > 3 ? lengths.get(3) : "0px");
    if (inset) {
      parts.put("inset", "true");
    }
    return parts;
  }

  private static Optional<Map<String, String>> border(String css) {
    if (css.equals("none")) {
      return Optional.of(Map.of());
    }
    List<String> words = split(css, ' ');
    if (words.size() < 3 || !ValueType.LENGTH.accepts(words.get(0))) {
      return Optional.empty();
    }
    String colour = words.get(words.size() - 1);
    String style = String.join(" ", words.subList(1, words.size() - 1));
    if (!ValueType.STROKE.accepts(style) || !ValueType.COLOUR.accepts(colour)) {
      return Optional.empty();
    }
    Map<String, String> parts = new LinkedHashMap<>();
    parts.put("color", colour);
    parts.put("width", words.get(0));
    parts.put("style", style);
    return Optional.of(parts);
  }

  private static Optional<Map<String, String>> transition(String css) {
    List<String> words = split(css, ' ');
    List<String> times = words.stream().filter(ValueType.DURATION::accepts).toList();
    List<String> rest = words.stream().filter(word -> !ValueType.DURATION.accepts(word)).toList();
    if (times.isEmpty()
        || times.size() > 2
        || rest.size() > 1
        || !rest.stream().allMatch(ValueType.CURVE::accepts)) {
      return Optional.empty();
    }
    Map<String, String> parts = new LinkedHashMap<>();
    parts.put("duration", times.get(0));
    parts.put("delay", times.size() > 1 ? times.get(1) : "0ms");
    parts.put("timingFunction", rest.isEmpty() ? "ease" : rest.get(0));
    return Optional.of(parts);
  }

  private static Optional<Map<String, String>> gradient(String css) {
    if (css.equals("none")) {
      return Optional.of(Map.of());
    }
    boolean linear = css.startsWith("linear-gradient(") && css.endsWith(")");
    boolean radial = css.startsWith("radial-gradient(") && css.endsWith(")");
    if (!linear && !radial) {
      return Optional.empty();
    }
    List<String> stops =
        new ArrayList<>(split(css.substring(css.indexOf('(') + 1, css.length() - 1), ','));
    Map<String, String> parts = new LinkedHashMap<>();
    if (!stops.isEmpty()
        && (linear ? ANGLE.matcher(stops.get(0)).matches() : stops.get(0).equals("circle"))) {
      parts.put("direction", stops.remove(0));
    }
    if (stops.size() < 2) {
      return Optional.empty();
    }
    for (int i = 0; i < stops.size(); i++) {
      List<String> words = split(stops.get(i), ' ');
      String place = words.size() == 2 ? words.get(1) : percent(i, stops.size());
      if (words.isEmpty()
          || words.size() > 2
          || !ValueType.COLOUR.accepts(words.get(0))
          || !PERCENT.matcher(place).matches()) {
        return Optional.empty();
      }
      parts.put(i + "/color", words.get(0));
      parts.put(i + "/position", place);
    }
    return Optional.of(parts);
  }

  private static String percent(int i, int count) {
    return Math.round(100.0 * i / (count - 1)) + "%";
  }

  private static Optional<Map<String, String>> typography(String css) {
    Matcher found = TYPOGRAPHY.matcher(css);
    if (!found.matches()) {
      return Optional.empty();
    }
    String spacing = found.group(4) == null ? "0px" : found.group(4);
    boolean sound =
        ValueType.WEIGHT.accepts(found.group(1))
            && ValueType.LENGTH.accepts(found.group(2))
            && ValueType.LINE_HEIGHT.accepts(found.group(3))
            && ValueType.SIGNED_LENGTH.accepts(spacing)
            && ValueType.FAMILY.accepts(found.group(5));
    if (!sound) {
      return Optional.empty();
    }
    Map<String, String> parts = new LinkedHashMap<>();
    parts.put("fontFamily", found.group(5));
    parts.put("fontSize", found.group(2));
    parts.put("fontWeight", found.group(1));
    parts.put("letterSpacing", spacing);
    parts.put("lineHeight", found.group(3));
    return Optional.of(parts);
  }

  /** The colours of a gradient's stops, in order; none for {@code none}. */
  public static List<Colour> stops(String gradient) {
    return gradient(gradient).orElse(Map.of()).entrySet().stream()
        .filter(part -> part.getKey().endsWith("/color"))
        .map(part -> Colour.parse(part.getValue()))
        .toList();
  }
}
