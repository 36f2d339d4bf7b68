package goodbones.document;

import goodbones.colour.Colour;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * The forms a literal style value may take. Every value is checked against its form, so none can
 * leave its place in CSS.
 */
public enum ValueType {
  COLOUR(
      "a colour such as #1d3a4c, rgb(29 58 76 / 60%) or oklch(45% 0.08 235)", ValueType::isColour),
  LENGTH(
      "a length of at least 0 such as 24px, 1.5rem or clamp(16px, 1rem + 2vw, 32px)",
      Form.NUMBER + Form.UNIT + "|0|" + Form.FLUID),
  SIGNED_LENGTH(
      "a length such as 0.5px, or less than nothing such as -0.02em",
      "-?" + Form.NUMBER + Form.UNIT + "|0|" + Form.FLUID),
  DIMENSION(
      "a length or share such as 24px, 1.5rem, 50%, -8px or clamp(16px, 1rem + 2vw, 32px)",
      "-?" + Form.NUMBER + "(px|rem|em|vw|vh|%)|0|" + Form.FLUID),
  WIDTH(
      "a length or share such as 24px, 1.5rem, 50% or 75vw, or auto",
      Form.NUMBER + "(px|rem|vw|vh|%)|0|auto|" + Form.FLUID),
  MAX_WIDTH(
      "a length or share such as 600px, 40rem, 50% or 75vw, or none",
      Form.NUMBER + "(px|rem|vw|vh|%)|0|none|" + Form.FLUID),
  MIN_HEIGHT(
      "a length such as 240px, 20rem or 75vh, or auto; a share of a height that is not fixed is"
          + " nothing, so give vh instead of %",
      Form.NUMBER + "(px|rem|vw|vh)|0|auto|" + Form.FLUID),
  MARGIN(
      "a length such as 24px or -8px, or auto",
      "-?" + Form.NUMBER + "(px|rem|vw|vh|%)|0|auto|" + Form.FLUID),
  NUMBER("a number such as 1.4", "-?" + Form.NUMBER),
  LINE_HEIGHT("a ratio such as 1.4, or a length such as 28px", Form.NUMBER + "(px|rem)?|normal"),
  WEIGHT("a weight from 1 to 1000, such as 600", "[1-9]\\d{0,2}(\\.\\d+)?|1000(\\.0+)?"),
  FAMILY(
      "font families such as Literata, Georgia, serif", css -> FamilyNames.read(css).isPresent()),
  CASE("none, uppercase, lowercase or capitalize", "none|uppercase|lowercase|capitalize"),
  TEXT_ALIGN("start, center or end", "start|center|end"),
  ALIGN("start, center, end or stretch", "start|center|end|stretch"),
  FIT("cover or contain", "cover|contain"),
  RATIO(
      "a ratio of two numbers above 0 such as 3 / 2, or auto",
      Form.ABOVE_ZERO + " ?/ ?" + Form.ABOVE_ZERO + "|auto"),
  SPANS(
      "widths in twelfths such as 7 5, with an offset before a plus as in 8 1+3, and what stays free after it as in"
          + " 1+4+7; or per cent such as"
          + " 56% 33%, at most 100 together; or equal, or equal 2 for two in a line",
      css -> Columns.read(css).isPresent()),
  LIST_MARK(
      "disc, circle, square, dash, arrow, check or none",
      "disc|circle|square|dash|arrow|check|none"),
  SPREAD("start, center, end or space-between", "start|center|end|space-between"),
  STACK("start, center, end, stretch or space-between", "start|center|end|stretch|space-between"),
  FLOW("down or across", "down|across"),
  CORNER(
      "none, top-left, top-right, bottom-left or bottom-right", "none|(top|bottom)-(left|right)"),
  ORDER("a whole number from -99 to 99", "-?[1-9]?\\d"),
  DURATION("a time such as 200ms or 0.2s", Form.NUMBER + "(ms|s)|0s"),
  CURVE(
      "a curve such as ease or cubic-bezier(0.2, 0, 0, 1)",
      "linear|ease|ease-in|ease-out|ease-in-out"
          + "|cubic-bezier\\((0|1|0?\\.\\d+|1\\.0+), ?-?"
          + Form.NUMBER
          + ", ?(0|1|0?\\.\\d+|1\\.0+), ?-?"
          + Form.NUMBER
          + "\\)"),
  STROKE(
      "solid, dashed, dotted, double, groove, ridge, inset or outset",
      "solid|dashed|dotted|double|groove|ridge|inset|outset"),
  SHADOW(
      "a shadow such as 0 4px 12px 0 rgb(0 0 0 / 20%): across, down, blur, spread and colour; or"
          + " none"),
  BORDER("a border such as 1px solid #cfc8ba, or none"),
  TRANSITION("a duration, delay and curve such as 200ms 0ms ease"),
  GRADIENT("a gradient such as linear-gradient(180deg, #0000 0%, #0b2638 100%), or none"),
  TYPOGRAPHY(
      "weight, size/line height, letter spacing and families, such as 600 32px/1.2 0px Literata,"
          + " serif");

  private static final int LENGTH_LIMIT = 400;
  private final String form;
  private final Predicate<String> accepts;

  /** A form of several parts. */
  ValueType(String form) {
    this.form = form;
    this.accepts = css -> Composite.parts(this, css).isPresent();
  }

  ValueType(String form, String pattern) {
    this(form, Pattern.compile(pattern).asMatchPredicate());
  }

  ValueType(String form, Predicate<String> accepts) {
    this.form = form;
    this.accepts = accepts;
  }

  /** What a right value looks like, in words for a message. */
  public String form() {
    return form;
  }

  public boolean accepts(String literal) {
    return literal.length() <= LENGTH_LIMIT && accepts.test(literal);
  }

  private static boolean isColour(String css) {
    try {
      Colour.parse(css);
      return css.equals(css.strip());
    } catch (IllegalArgumentException notAColour) {
      return false;
    }
  }

  /** Patterns that several forms share. */
  private static final class Form {
    static final String NUMBER = "(\\d+(\\.\\d+)?|\\.\\d+)";
    static final String ABOVE_ZERO = "(?=[\\d.]*[1-9])\\d+(\\.\\d+)?";
    static final String UNIT = "(px|rem|em|vw|vh)";
    static final String FLUID =
        "clamp\\("
            + NUMBER
            + UNIT
            + ", ?-?"
            + NUMBER
            + UNIT
            + "( [+-] "
            + NUMBER
            + UNIT
            + ")*, ?"
            + NUMBER
            + UNIT
            + "\\)";
  }
}
