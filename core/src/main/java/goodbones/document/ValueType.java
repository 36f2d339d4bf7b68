package goodbones.document;

import java.util.regex.Pattern;

/**
 * The forms a literal style value may take. Checked by pattern, so no value can leave its place in
 * CSS.
 */
public enum ValueType {
  COLOUR(
      "a colour such as #1d3a4c, #0008 or rgb(29 58 76 / 60%)",
      "#([0-9a-fA-F]{3}|[0-9a-fA-F]{4}|[0-9a-fA-F]{6}|[0-9a-fA-F]{8})"
          + "|rgb\\( ?\\d{1,3} \\d{1,3} \\d{1,3}( / (\\d{1,3}(\\.\\d+)?%|0|1|0?\\.\\d+))? ?\\)"
          + "|transparent"),
  LENGTH("a length such as 24px, 1.5rem or 4vw", "-?(\\d+(\\.\\d+)?|\\.\\d+)(px|rem|vw|vh)|0"),
  SIZE(
      "a length or share such as 24px, 1.5rem, 50% or 75vh",
      "(\\d+(\\.\\d+)?|\\.\\d+)(px|rem|vw|vh|%)|0|none|auto"),
  MARGIN(
      "a length such as 24px or -8px, or auto",
      "-?(\\d+(\\.\\d+)?|\\.\\d+)(px|rem|vw|vh|%)|0|auto"),
  NUMBER("a number such as 1.4", "\\d+(\\.\\d+)?|\\.\\d+"),
  LINE_HEIGHT("a ratio such as 1.4, or a length such as 28px", "\\d+(\\.\\d+)?(px|rem)?|\\.\\d+"),
  WEIGHT("a weight from 100 to 900", "[1-9]00"),
  FAMILY(
      "font families such as Literata, Georgia, serif",
      "[A-Za-z][A-Za-z0-9 -]*(, ?[A-Za-z][A-Za-z0-9 -]*)*"),
  CASE("none, uppercase, lowercase or capitalize", "none|uppercase|lowercase|capitalize"),
  TEXT_ALIGN("start, center or end", "start|center|end"),
  ALIGN("start, center, end or stretch", "start|center|end|stretch"),
  FIT("cover or contain", "cover|contain"),
  RATIO("a ratio such as 3 / 2, or auto", "\\d+(\\.\\d+)? ?/ ?\\d+(\\.\\d+)?|auto"),
  SPANS(
      "widths in twelfths, one for each column, such as 7 5",
      "([1-9]|1[0-2])( ([1-9]|1[0-2])){0,11}");

  private final String form;
  private final Pattern pattern;

  ValueType(String form, String pattern) {
    this.form = form;
    this.pattern = Pattern.compile(pattern);
  }

  /** What a right value looks like, in words for a message. */
  public String form() {
    return form;
  }

  public boolean accepts(String literal) {
    return literal.length() <= 200 && pattern.matcher(literal).matches();
  }
}
