package goodbones.exchange;

import goodbones.colour.Colour;
import goodbones.document.FamilyNames;
import goodbones.style.TokenType;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/**
 * Reads a {@code $value} of the W3C Design Tokens Format (Community Group Report 2025.10) into CSS
 * text in which {@code {name}} and {@code {name#part}} stand for tokens. Colours and dimensions
 * written as plain text, as earlier drafts had them, are read too.
 */
final class ValueReader {
  private static final int MOST_PARTS = 64;

  private static final Map<String, String> WEIGHTS =
      Map.ofEntries(
          Map.entry("thin", "100"),
          Map.entry("hairline", "100"),
          Map.entry("extra-light", "200"),
          Map.entry("ultra-light", "200"),
          Map.entry("light", "300"),
          Map.entry("normal", "400"),
          Map.entry("regular", "400"),
          Map.entry("book", "400"),
          Map.entry("medium", "500"),
          Map.entry("semi-bold", "600"),
          Map.entry("demi-bold", "600"),
          Map.entry("bold", "700"),
          Map.entry("extra-bold", "800"),
          Map.entry("ultra-bold", "800"),
          Map.entry("black", "900"),
          Map.entry("heavy", "900"),
          Map.entry("extra-black", "950"),
          Map.entry("ultra-black", "950"));

  private final String where;

  /**
   * @param where the token's name, for messages
   */
  ValueReader(String where) {
    this.where = where;
  }

  private Unreadable wrong(TokenType type, JsonNode value) {
    String shown = value.toString();
    return new Unreadable(
        where
            + ": "
            + (shown.length() > 80 ? shown.substring(0, 80) + "…" : shown)
            + " is not a "
            + type.word());
  }

  /**
   * @throws Unreadable if the value is not of that type
   */
  String read(TokenType type, JsonNode value) {
    String reference = reference(value);
    if (!reference.isEmpty()) {
      return reference;
    }
    return switch (type) {
      case COLOR -> colour(value);
      case DIMENSION -> measure(type, value, List.of("px", "rem"));
      case DURATION -> measure(type, value, List.of("ms", "s"));
      case NUMBER -> number(type, value);
      case FONT_FAMILY -> family(value);
      case FONT_WEIGHT -> weight(value);
      case CUBIC_BEZIER -> curve(value);
      case STROKE_STYLE -> stroke(value);
      case BORDER ->
          part(value, type, "width", TokenType.DIMENSION, "")
              + " "
              + part(value, type, "style", TokenType.STROKE_STYLE, "")
              + " "
              + part(value, type, "color", TokenType.COLOR, "");
      case TRANSITION ->
          part(value, type, "duration", TokenType.DURATION, "")
              + " "
              + part(value, type, "delay", TokenType.DURATION, "0ms")
              + " "
              + part(value, type, "timingFunction", TokenType.CUBIC_BEZIER, "ease");
      case SHADOW -> shadow(value);
      case GRADIENT -> gradient(value);
      case TYPOGRAPHY -> typography(value);
    };
  }

  /** The text form of an alias or of a JSON pointer; empty if the value is neither. */
  static String reference(JsonNode value) {
    if (value.isString() && value.asString().matches("\\{[^{}]+}")) {
      return "{" + plain(value.asString().substring(1, value.asString().length() - 1)) + "}";
    }
    if (value.isObject() && value.path("$ref").isString()) {
      return pointer(value.path("$ref").asString());
    }
    return "";
  }

  /** A token at its group's own place goes by the group's name. */
  static String plain(String name) {
    return name.endsWith(".$root") ? name.substring(0, name.length() - 6) : name;
  }

  private static String pointer(String ref) {
    if (!ref.startsWith("#/")) {
      return "";
    }
    List<String> path = new ArrayList<>();
    List<String> part = new ArrayList<>();
    boolean inside = false;
    for (String step : ref.substring(2).split("/")) {
      String word = step.replace("~1", "/").replace("~0", "~");
      if (!inside && word.equals("$value")) {
        inside = true;
      } else {
        (inside ? part : path).add(word);
      }
    }
    String name = plain(String.join(".", path));
    return "{" + name + (part.isEmpty() ? "" : "#" + String.join("/", part)) + "}";
  }

  private String part(
      JsonNode value, TokenType whole, String name, TokenType type, String otherwise) {
    if (!value.isObject() || !value.has(name) && otherwise.isEmpty()) {
      throw new Unreadable(
          where
              + ": a "
              + whole.word()
              + " needs its "
              + name
              + ", and "
              + (value.isObject() ? "there is none" : value + " is not an object"));
    }
    return value.has(name) ? read(type, value.get(name)) : otherwise;
  }

  private String colour(JsonNode value) {
    try {
      if (value.isString()) {
        Colour.parse(value.asString());
        return value.asString();
      }
      String space = value.path("colorSpace").asString("");
      JsonNode parts = value.path("components");
      double alpha = alpha(value);
      if (!parts.isArray() || parts.size() != 3 || space.isEmpty()) {
        throw wrong(TokenType.COLOR, value);
      }
      List<String> c = new ArrayList<>();
      for (JsonNode part : parts) {
        if (!part.isNumber() && !part.asString("").equals("none")) {
          throw wrong(TokenType.COLOR, value);
        }
        c.add(part.isNumber() ? text(part) : "none");
      }
      String css = function(space, c, alpha);
      Colour.parse(css);
      return css;
    } catch (IllegalArgumentException notAColour) {
      throw new Unreadable(where + ": " + notAColour.getMessage());
    }
  }

  private double alpha(JsonNode value) {
    if (!value.has("alpha")) {
      return 1;
    }
    JsonNode alpha = value.get("alpha");
    if (!alpha.isNumber() || alpha.doubleValue() < 0 || alpha.doubleValue() > 1) {
      throw new Unreadable(where + ": an alpha is a number from 0 to 1, not " + alpha);
    }
    return alpha.doubleValue();
  }

  private static String function(String space, List<String> c, double alpha) {
    String tail = alpha >= 1 ? "" : " / " + percent(alpha);
    if (space.equals("srgb") && !c.contains("none")) {
      double[] v = c.stream().mapToDouble(Double::parseDouble).map(x -> x * 255).toArray();
      boolean whole = true;
      for (double x : v) {
        whole &= x >= -0.001 && x <= 255.001 && Math.abs(x - Math.round(x)) < 0.02;
      }
      if (whole) {
        return new Colour(Math.round(v[0]), Math.round(v[1]), Math.round(v[2]), alpha).css();
      }
    }
    return switch (space) {
      case "hsl", "hwb" ->
          space + "(" + c.get(0) + " " + c.get(1) + "% " + c.get(2) + "%" + tail + ")";
      case "lab", "lch", "oklab", "oklch" -> space + "(" + String.join(" ", c) + tail + ")";
      default -> "color(" + space + " " + String.join(" ", c) + tail + ")";
    };
  }

  static String percent(double share) {
    return BigDecimal.valueOf(share * 100)
            .setScale(2, RoundingMode.HALF_UP)
            .stripTrailingZeros()
            .toPlainString()
        + "%";
  }

  static String text(JsonNode number) {
    return number.decimalValue().stripTrailingZeros().toPlainString();
  }

  private String measure(TokenType type, JsonNode value, List<String> units) {
    if (value.isString() && type.accepts(value.asString())) {
      return value.asString();
    }
    String unit = value.path("unit").asString("");
    if (!value.path("value").isNumber() || !units.contains(unit)) {
      throw new Unreadable(
          where
              + ": "
              + value
              + " is not a "
              + type.word()
              + "; give a value and a unit, "
              + String.join(" or ", units));
    }
    return text(value.get("value")) + unit;
  }

  private String number(TokenType type, JsonNode value) {
    if (!value.isNumber()) {
      throw wrong(type, value);
    }
    return text(value);
  }

  private String family(JsonNode value) {
    if (value.isString()) {
      return value.asString();
    }
    if (!value.isArray() || value.isEmpty()) {
      throw wrong(TokenType.FONT_FAMILY, value);
    }
    return FamilyNames.stack(value.valueStream().map(JsonNode::asString).toList());
  }

  private String weight(JsonNode value) {
    if (value.isNumber()) {
      return text(value);
    }
    String word = WEIGHTS.get(value.asString("").toLowerCase(Locale.ROOT));
    if (word == null) {
      throw wrong(TokenType.FONT_WEIGHT, value);
    }
    return word;
  }

  private String curve(JsonNode value) {
    if (!value.isArray() || value.size() != 4) {
      throw wrong(TokenType.CUBIC_BEZIER, value);
    }
    return value
        .valueStream()
        .map(v -> number(TokenType.CUBIC_BEZIER, v))
        .collect(Collectors.joining(", ", "cubic-bezier(", ")"));
  }

  private String stroke(JsonNode value) {
    if (value.isString()) {
      return value.asString();
    }
    if (value.path("dashArray").isArray()) {
      return "dashed";
    }
    throw wrong(TokenType.STROKE_STYLE, value);
  }

  private String shadow(JsonNode value) {
    requireFew(value, "a shadow", "layers");
    if (value.isArray()) {
      return value.valueStream().map(this::layer).collect(Collectors.joining(", "));
    }
    return layer(value);
  }

  private String layer(JsonNode value) {
    String whole = reference(value);
    if (!whole.isEmpty()) {
      return whole;
    }
    return (value.path("inset").asBoolean(false) ? "inset " : "")
        + part(value, TokenType.SHADOW, "offsetX", TokenType.DIMENSION, "")
        + " "
        + part(value, TokenType.SHADOW, "offsetY", TokenType.DIMENSION, "")
        + " "
        + part(value, TokenType.SHADOW, "blur", TokenType.DIMENSION, "0px")
        + " "
        + part(value, TokenType.SHADOW, "spread", TokenType.DIMENSION, "0px")
        + " "
        + part(value, TokenType.SHADOW, "color", TokenType.COLOR, "");
  }

  private void requireFew(JsonNode parts, String what, String of) {
    if (parts.isArray() && parts.size() > MOST_PARTS) {
      throw new Unreadable(
          where
              + ": "
              + what
              + " may have at most "
              + MOST_PARTS
              + " "
              + of
              + ", not "
              + parts.size());
    }
  }

  private String gradient(JsonNode value) {
    requireFew(value, "a gradient", "stops");
    if (!value.isArray() || value.size() < 2) {
      throw new Unreadable(where + ": a gradient needs at least two stops");
    }
    List<String> stops = new ArrayList<>();
    for (JsonNode stop : value) {
      JsonNode position = stop.path("position");
      if (!position.isNumber()) {
        throw new Unreadable(where + ": a gradient's stop needs a position from 0 to 1");
      }
      double share = Math.max(0, Math.min(1, position.asDouble()));
      stops.add(
          part(stop, TokenType.GRADIENT, "color", TokenType.COLOR, "") + " " + percent(share));
    }
    return "linear-gradient(180deg, " + String.join(", ", stops) + ")";
  }

  private String typography(JsonNode value) {
    return part(value, TokenType.TYPOGRAPHY, "fontWeight", TokenType.FONT_WEIGHT, "400")
        + " "
        + part(value, TokenType.TYPOGRAPHY, "fontSize", TokenType.DIMENSION, "")
        + "/"
        + part(value, TokenType.TYPOGRAPHY, "lineHeight", TokenType.NUMBER, "normal")
        + " "
        + part(value, TokenType.TYPOGRAPHY, "letterSpacing", TokenType.DIMENSION, "0px")
        + " "
        + part(value, TokenType.TYPOGRAPHY, "fontFamily", TokenType.FONT_FAMILY, "");
  }
}
