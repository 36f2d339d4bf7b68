package goodbones.document;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A style setting that a node can carry.
 *
 * <p>Whether one is inherited, and its initial value, follow the property definition tables of the
 * CSS specifications (CSS Color 4, Fonts 4, Text 3, Box 3, Backgrounds 3, Sizing 3, Box Alignment
 * 3, Display 3).
 */
public enum StyleProperty {
  COLOR("color", "Text colour", ValueType.COLOUR, true, "#000000"),
  FONT_FAMILY("font-family", "Typeface", ValueType.FAMILY, true, "serif"),
  FONT_SIZE("font-size", "Text size", ValueType.LENGTH, true, "16px"),
  FONT_WEIGHT("font-weight", "Weight", ValueType.WEIGHT, true, "400"),
  LINE_HEIGHT("line-height", "Line height", ValueType.LINE_HEIGHT, true, "normal"),
  LETTER_SPACING("letter-spacing", "Letter spacing", ValueType.SIGNED_LENGTH, true, "0"),
  TEXT_TRANSFORM("text-transform", "Case", ValueType.CASE, true, "none"),
  TEXT_ALIGN("text-align", "Text alignment", ValueType.TEXT_ALIGN, true, "start"),
  LIST_MARK("list-style-type", "List marks", ValueType.LIST_MARK, true, "disc"),
  BACKGROUND_COLOR("background-color", "Background", ValueType.COLOUR, false, "transparent"),
  OVERLAY_COLOR("overlay-color", "Overlay", ValueType.COLOUR, false, "transparent"),
  PADDING_TOP("padding-top", "Padding top", ValueType.LENGTH, false, "0"),
  PADDING_RIGHT("padding-right", "Padding right", ValueType.LENGTH, false, "0"),
  PADDING_BOTTOM("padding-bottom", "Padding bottom", ValueType.LENGTH, false, "0"),
  PADDING_LEFT("padding-left", "Padding left", ValueType.LENGTH, false, "0"),
  MARGIN_TOP("margin-top", "Margin top", ValueType.MARGIN, false, "0"),
  MARGIN_RIGHT("margin-right", "Margin right", ValueType.MARGIN, false, "0"),
  MARGIN_BOTTOM("margin-bottom", "Margin bottom", ValueType.MARGIN, false, "0"),
  MARGIN_LEFT("margin-left", "Margin left", ValueType.MARGIN, false, "0"),
  WIDTH("width", "Width", ValueType.WIDTH, false, "auto"),
  MIN_HEIGHT("min-height", "Minimum height", ValueType.MIN_HEIGHT, false, "auto"),
  MAX_WIDTH("max-width", "Maximum width", ValueType.MAX_WIDTH, false, "none"),
  CONTENT_WIDTH("content-width", "Content width", ValueType.MAX_WIDTH, false, "none"),
  FLOW("flow", "Direction", ValueType.FLOW, false, "down"),
  CONTENT_ALIGN("content-align", "Vertical alignment", ValueType.STACK, false, "start"),
  SPREAD("justify-content", "Distribution", ValueType.SPREAD, false, "start"),
  PLACE("place", "Horizontal alignment", ValueType.ALIGN, false, "stretch"),
  HEIGHT_PLACE("align-self", "Own vertical alignment", ValueType.ALIGN, false, "stretch"),
  ORDER("order", "Order", ValueType.ORDER, false, "0"),
  PIN("pin", "Position", ValueType.CORNER, false, "none"),
  ROW_GAP("row-gap", "Row gap", ValueType.LENGTH, false, "0"),
  COLUMN_GAP("column-gap", "Column gap", ValueType.LENGTH, false, "0"),
  COLUMNS("columns", "Column widths", ValueType.SPANS, false, "equal"),
  RADIUS("border-radius", "Corner radius", ValueType.LENGTH, false, "0"),
  RULE_WIDTH("border-top-width", "Rule above", ValueType.LENGTH, false, "0"),
  RULE_COLOR("border-top-color", "Rule colour", ValueType.COLOUR, false, "#000000"),
  GRADIENT("background-gradient", "Gradient", ValueType.GRADIENT, false, "none"),
  BORDER("border", "Border", ValueType.BORDER, false, "none"),
  SHADOW("box-shadow", "Shadow", ValueType.SHADOW, false, "none"),
  TRANSITION("transition", "Transition", ValueType.TRANSITION, false, "0s"),
  PICTURE_FIT("object-fit", "Picture fit", ValueType.FIT, false, "cover"),
  PICTURE_RATIO("aspect-ratio", "Picture ratio", ValueType.RATIO, false, "auto");

  private static final Map<String, StyleProperty> BY_KEY =
      Arrays.stream(values()).collect(Collectors.toMap(StyleProperty::key, Function.identity()));

  private final String key;
  private final String label;
  private final ValueType type;
  private final boolean inherited;
  private final String initial;

  StyleProperty(String key, String label, ValueType type, boolean inherited, String initial) {
    this.key = key;
    this.label = label;
    this.type = type;
    this.inherited = inherited;
    this.initial = initial;
  }

  /** The name in documents and in the API; the CSS name where CSS has the property. */
  public String key() {
    return key;
  }

  /** The name in the interface. */
  public String label() {
    return label;
  }

  public ValueType type() {
    return type;
  }

  public boolean inherited() {
    return inherited;
  }

  /** The value where nothing sets the property and nothing is inherited. */
  public String initial() {
    return initial;
  }

  /** All properties that children take from their parents. */
  public static List<StyleProperty> allInherited() {
    return Arrays.stream(values()).filter(StyleProperty::inherited).toList();
  }

  /**
   * @throws IllegalArgumentException if no property goes by that name
   */
  public static StyleProperty ofKey(String key) {
    StyleProperty property = BY_KEY.get(key);
    if (property == null) {
      throw new IllegalArgumentException(
          "“"
              + key
              + "” is not a style property; known are "
              + BY_KEY.keySet().stream().sorted().toList());
    }
    return property;
  }
}
