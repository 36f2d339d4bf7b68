package goodbones.exchange;

import goodbones.colour.Colour;
import goodbones.document.Composite;
import goodbones.document.Device;
import goodbones.document.FamilyNames;
import goodbones.document.StyleValue;
import goodbones.style.Fluid;
import goodbones.style.TokenType;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes CSS text with tokens in it as a {@code $value} of the W3C Design Tokens Format. */
final class ValueWriter {
  private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
  private static final Pattern MEASURE = Pattern.compile("(-?[\\d.]+)([a-z]*)");
  private static final Pattern HELD = Pattern.compile("gbref(\\d+)x");
  private static final Map<String, String> CURVES =
      Map.of(
          "linear", "0, 0, 1, 1",
          "ease", "0.25, 0.1, 0.25, 1",
          "ease-in", "0.42, 0, 1, 1",
          "ease-out", "0, 0, 0.58, 1",
          "ease-in-out", "0.42, 0, 0.58, 1");

  private final UnaryOperator<String> address;

  /**
   * @param address from a token's name to how the file addresses it
   */
  ValueWriter(UnaryOperator<String> address) {
    this.address = address;
  }

  /**
   * @param value with tokens by name
   * @param worth what it is worth, for what the format has no form for
   */
  JsonNode write(TokenType type, StyleValue value, String worth) {
    if (value instanceof StyleValue.TokenRef ref) {
      return reference(ref);
    }
    if (value instanceof StyleValue.Composed composed) {
      return composed(type, composed, worth);
    }
    return literal(type, ((StyleValue.Literal) value).css());
  }

  private JsonNode reference(StyleValue.TokenRef ref) {
    String name = address.apply(ref.tokenId());
    if (ref.part().isEmpty()) {
      return JSON.stringNode("{" + name + "}");
    }
    StringBuilder pointer = new StringBuilder("#");
    for (String step : name.split("\\.")) {
      pointer.append('/').append(step.replace("~", "~0").replace("/", "~1"));
    }
    return JSON.objectNode().put("$ref", pointer + "/$value/" + ref.part());
  }

  /**
   * A composite is taken apart on its worth, place by place: a part that is a token in the text
   * becomes a reference again.
   */
  private JsonNode composed(TokenType type, StyleValue.Composed composed, String worth) {
    List<StyleValue.TokenRef> refs = composed.refs();
    Optional<Map<String, StyleValue>> parts = parts(type, composed, refs, worth);
    return parts.map(p -> assembled(type, p)).orElseGet(() -> literal(type, worth));
  }

  /**
   * The parts of a text with tokens in it. Words of the text and of its worth stand in the same
   * order, since a token in a composite text stands for exactly one word.
   */
  private static Optional<Map<String, StyleValue>> parts(
      TokenType type, StyleValue.Composed composed, List<StyleValue.TokenRef> refs, String worth) {
    Optional<Map<String, String>> known = Composite.parts(type.literal(), worth);
    if (known.isEmpty()) {
      return Optional.empty();
    }
    int[] next = {0};
    String held = composed.filled(ref -> "gbref" + next[0]++ + "x");
    Map<String, StyleValue> parts = new LinkedHashMap<>();
    known.get().forEach((part, css) -> parts.put(part, StyleValue.literal(css)));
    List<String> places = places(type, held);
    for (int i = 0; i < places.size(); i++) {
      Matcher found = HELD.matcher(places.get(i));
      String part = partAt(type, i, places, known.get());
      if (found.matches() && parts.containsKey(part)) {
        parts.put(part, refs.get(Integer.parseInt(found.group(1))));
      } else if (found.reset().find()) {
        return Optional.empty();
      }
    }
    return Optional.of(parts);
  }

  private static List<String> places(TokenType type, String held) {
    if (type == TokenType.TYPOGRAPHY) {
      return Composite.split(held.replaceFirst("/", " "), ' ');
    }
    List<String> places = new ArrayList<>();
    String inside =
        type == TokenType.GRADIENT
            ? held.substring(held.indexOf('(') + 1, held.lastIndexOf(')'))
            : held;
    List<String> layers = Composite.split(inside, ',');
    if (type == TokenType.GRADIENT && layers.get(0).matches(".*(deg|to .*|circle)")) {
      layers.remove(0);
    }
    layers.forEach(
        layer -> {
          places.addAll(Composite.split(layer, ' '));
          places.add(",");
        });
    return places;
  }

  private static String partAt(
      TokenType type, int index, List<String> places, Map<String, String> known) {
    int layer = 0;
    int within = 0;
    for (int i = 0; i < index; i++) {
      boolean next = places.get(i).equals(",");
      layer += next ? 1 : 0;
      within = next ? 0 : within + (places.get(i).equals("inset") ? 0 : 1);
    }
    String before = known.containsKey("0/color") ? layer + "/" : "";
    List<String> order =
        switch (type) {
          case SHADOW -> List.of("offsetX", "offsetY", "blur", "spread", "color");
          case BORDER -> List.of("width", "style", "color");
          case TRANSITION -> List.of("duration", "delay", "timingFunction");
          case GRADIENT -> List.of("color", "position");
          case TYPOGRAPHY ->
              List.of("fontWeight", "fontSize", "lineHeight", "letterSpacing", "fontFamily");
          default -> List.of();
        };
    return within < order.size() ? before + order.get(within) : "";
  }

  private JsonNode literal(TokenType type, String css) {
    return switch (type) {
      case COLOR -> colour(css);
      case DIMENSION -> dimension(css);
      case DURATION -> measure(css);
      case NUMBER -> number(css);
      case FONT_FAMILY -> family(css);
      case FONT_WEIGHT -> number(css);
      case CUBIC_BEZIER -> curve(css);
      case STROKE_STYLE -> JSON.stringNode(css);
      case BORDER, TRANSITION, SHADOW, GRADIENT, TYPOGRAPHY -> {
        Map<String, StyleValue> parts = new LinkedHashMap<>();
        Composite.parts(type.literal(), css)
            .orElse(Map.of())
            .forEach((part, text) -> parts.put(part, StyleValue.literal(text)));
        yield assembled(type, parts);
      }
    };
  }

  private JsonNode assembled(TokenType type, Map<String, StyleValue> parts) {
    if (type == TokenType.GRADIENT || parts.containsKey("0/color")) {
      ArrayNode list = JSON.arrayNode();
      for (int i = 0; parts.containsKey(i + "/color"); i++) {
        String before = i + "/";
        Map<String, StyleValue> one = new LinkedHashMap<>();
        parts.forEach(
            (part, value) -> {
              if (part.startsWith(before)) {
                one.put(part.substring(before.length()), value);
              }
            });
        list.add(object(type, one));
      }
      return list;
    }
    return type == TokenType.SHADOW && parts.isEmpty() ? JSON.arrayNode() : object(type, parts);
  }

  private ObjectNode object(TokenType type, Map<String, StyleValue> parts) {
    ObjectNode object = JSON.objectNode();
    parts.forEach(
        (part, value) -> {
          if (part.equals("inset")) {
            object.put("inset", true);
          } else if (part.equals("position") && value instanceof StyleValue.Literal share) {
            object.set("position", number(share.css().replace("%", ""), 100));
          } else {
            type.part(part).ifPresent(t -> object.set(part, write(t, value, value.toString())));
          }
        });
    return object;
  }

  private static JsonNode colour(String css) {
    Colour colour = Colour.parse(css);
    ObjectNode object = JSON.objectNode().put("colorSpace", "srgb");
    ArrayNode components = object.putArray("components");
    for (double channel : new double[] {colour.red(), colour.green(), colour.blue()}) {
      components.add(rounded(channel / 255, 5));
    }
    object.put("alpha", rounded(colour.alpha(), 4));
    object.put("hex", colour.withAlpha(1).css());
    return object;
  }

  private static BigDecimal rounded(double number, int digits) {
    BigDecimal plain =
        BigDecimal.valueOf(number).setScale(digits, RoundingMode.HALF_UP).stripTrailingZeros();
    return plain.scale() < 0 ? plain.setScale(0) : plain;
  }

  private static JsonNode dimension(String css) {
    Matcher measure = MEASURE.matcher(css);
    boolean plain = measure.matches() && Set.of("px", "rem", "").contains(measure.group(2));
    if (plain) {
      return measure(css.equals("0") ? "0px" : css);
    }
    double px = Fluid.px(css, Device.DESKTOP.width(), Device.DESKTOP.height());
    return measure(Double.isNaN(px) ? "0px" : rounded(px, 2).toPlainString() + "px");
  }

  private static JsonNode measure(String css) {
    Matcher measure = MEASURE.matcher(css);
    if (!measure.matches()) {
      throw new IllegalArgumentException(css);
    }
    ObjectNode object = JSON.objectNode();
    object.set("value", number(measure.group(1)));
    return object.put("unit", measure.group(2));
  }

  private static JsonNode number(String text) {
    return number(text.matches("-?[\\d.]+") ? text : text.equals("normal") ? "1.2" : "0", 1);
  }

  private static JsonNode number(String text, int divisor) {
    BigDecimal number =
        new BigDecimal(text)
            .divide(BigDecimal.valueOf(divisor), 6, RoundingMode.HALF_UP)
            .stripTrailingZeros();
    return JSON.numberNode(number.scale() < 0 ? number.setScale(0) : number);
  }

  private static JsonNode family(String css) {
    List<String> names = FamilyNames.of(css);
    if (names.size() == 1) {
      return JSON.stringNode(names.get(0));
    }
    ArrayNode list = JSON.arrayNode();
    names.forEach(list::add);
    return list;
  }

  private static JsonNode curve(String css) {
    String numbers = CURVES.getOrDefault(css, css.replace("cubic-bezier(", "").replace(")", ""));
    ArrayNode list = JSON.arrayNode();
    for (String number : numbers.split(",")) {
      list.add(number(number.strip()));
    }
    return list;
  }
}
