package goodbones.style;

import goodbones.document.ValueType;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The types of tokens, named as in the W3C Design Tokens Format. */
public enum TokenType {
  COLOR("color", ValueType.COLOUR, Set.of(ValueType.COLOUR)),
  DIMENSION(
      "dimension",
      ValueType.DIMENSION,
      Set.of(
          ValueType.LENGTH,
          ValueType.SIGNED_LENGTH,
          ValueType.WIDTH,
          ValueType.MAX_WIDTH,
          ValueType.MIN_HEIGHT,
          ValueType.MARGIN,
          ValueType.LINE_HEIGHT)),
  FONT_FAMILY("fontFamily", ValueType.FAMILY, Set.of(ValueType.FAMILY)),
  FONT_WEIGHT("fontWeight", ValueType.WEIGHT, Set.of(ValueType.WEIGHT)),
  NUMBER("number", ValueType.NUMBER, Set.of(ValueType.NUMBER, ValueType.LINE_HEIGHT)),
  DURATION("duration", ValueType.DURATION, Set.of(ValueType.DURATION)),
  CUBIC_BEZIER("cubicBezier", ValueType.CURVE, Set.of(ValueType.CURVE)),
  STROKE_STYLE("strokeStyle", ValueType.STROKE, Set.of(ValueType.STROKE)),
  BORDER("border", ValueType.BORDER, Set.of(ValueType.BORDER)),
  TRANSITION("transition", ValueType.TRANSITION, Set.of(ValueType.TRANSITION)),
  SHADOW("shadow", ValueType.SHADOW, Set.of(ValueType.SHADOW)),
  GRADIENT("gradient", ValueType.GRADIENT, Set.of(ValueType.GRADIENT)),
  TYPOGRAPHY("typography", ValueType.TYPOGRAPHY, Set.of(ValueType.TYPOGRAPHY));

  private static final Map<String, TokenType> PARTS =
      Map.ofEntries(
          Map.entry("color", COLOR),
          Map.entry("width", DIMENSION),
          Map.entry("style", STROKE_STYLE),
          Map.entry("duration", DURATION),
          Map.entry("delay", DURATION),
          Map.entry("timingFunction", CUBIC_BEZIER),
          Map.entry("offsetX", DIMENSION),
          Map.entry("offsetY", DIMENSION),
          Map.entry("blur", DIMENSION),
          Map.entry("spread", DIMENSION),
          Map.entry("position", NUMBER),
          Map.entry("fontFamily", FONT_FAMILY),
          Map.entry("fontSize", DIMENSION),
          Map.entry("fontWeight", FONT_WEIGHT),
          Map.entry("letterSpacing", DIMENSION),
          Map.entry("lineHeight", NUMBER));

  private final String word;
  private final ValueType literal;
  private final Set<ValueType> fits;

  TokenType(String word, ValueType literal, Set<ValueType> fits) {
    this.word = word;
    this.literal = literal;
    this.fits = fits;
  }

  public String word() {
    return word;
  }

  /** The type that the format calls by that word. */
  public static Optional<TokenType> ofWord(String word) {
    return Arrays.stream(values()).filter(type -> type.word.equals(word)).findFirst();
  }

  /** The form of a literal value of this type. */
  public ValueType literal() {
    return literal;
  }

  /** Says whether a literal is of this type. A line height may stand where a number does. */
  public boolean accepts(String css) {
    return literal.accepts(css) || this == NUMBER && ValueType.LINE_HEIGHT.accepts(css);
  }

  /** Says whether a token of this type can stand for a value of that type. */
  public boolean fits(ValueType type) {
    return fits.contains(type);
  }

  /** The type of a part of a composite value; empty if this type has no parts of that name. */
  public Optional<TokenType> part(String part) {
    String last = part.substring(part.indexOf('/') + 1);
    boolean composite = Set.of(BORDER, TRANSITION, SHADOW, GRADIENT, TYPOGRAPHY).contains(this);
    return composite ? Optional.ofNullable(PARTS.get(last)) : Optional.empty();
  }
}
