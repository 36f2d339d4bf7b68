package goodbones.style;

import goodbones.document.ValueType;
import java.util.Set;

/** The types of tokens, named as in the W3C Design Tokens Format. */
public enum TokenType {
  COLOR("color", ValueType.COLOUR, Set.of(ValueType.COLOUR)),
  DIMENSION(
      "dimension",
      ValueType.SIZE,
      Set.of(ValueType.LENGTH, ValueType.SIZE, ValueType.MARGIN, ValueType.LINE_HEIGHT)),
  FONT_FAMILY("fontFamily", ValueType.FAMILY, Set.of(ValueType.FAMILY)),
  FONT_WEIGHT("fontWeight", ValueType.WEIGHT, Set.of(ValueType.WEIGHT)),
  NUMBER("number", ValueType.NUMBER, Set.of(ValueType.NUMBER, ValueType.LINE_HEIGHT));

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

  /** The form of a literal value of this type. */
  public ValueType literal() {
    return literal;
  }

  /** Says whether a token of this type can stand for a value of that type. */
  public boolean fits(ValueType type) {
    return fits.contains(type);
  }
}
