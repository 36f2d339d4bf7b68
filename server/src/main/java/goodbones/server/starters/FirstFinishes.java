package goodbones.server.starters;

import goodbones.document.Kind;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.style.Finishes;
import goodbones.style.NamedStyle;
import goodbones.style.Scheme;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The finishes that a house starts with: a role for everything that the pieces to start with are
 * drawn from, and a plain look for every kind. They are worked on like any others from then on.
 */
final class FirstFinishes {
  private FirstFinishes() {}

  private static Token token(
      String id, String name, TokenType type, String value, String description) {
    return Token.of(id, name, type, StyleValue.parse(value), description);
  }

  static Finishes house() {
    return Finishes.of(tokens(), named(), defaults()).withSchemes(schemes());
  }

  private static List<Token> tokens() {
    return List.of(
        token("t-text", "color.text", TokenType.COLOR, "#22282b", "Running text"),
        token("t-ground", "color.background", TokenType.COLOR, "#ffffff", "Behind everything"),
        token("t-surface", "color.surface", TokenType.COLOR, "#eef2f1", "Bands set off by a tint"),
        token("t-accent", "color.accent", TokenType.COLOR, "#1f6f63", "Buttons and rules"),
        token(
            "t-accent-deep",
            "color.accent.deep",
            TokenType.COLOR,
            "#16534a",
            "A button under the pointer"),
        token("t-on-accent", "color.on.accent", TokenType.COLOR, "#ffffff", "Words on the accent"),
        token(
            "t-overlay",
            "color.overlay",
            TokenType.COLOR,
            "rgb(16 30 40 / 55%)",
            "Over pictures, so that words read"),
        token(
            "t-on-picture", "color.on.picture", TokenType.COLOR, "#ffffff", "Words over pictures"),
        token("t-small", "color.label", TokenType.COLOR, "{t-accent}", "Small labels"),
        token(
            "t-heading-font",
            "font.heading",
            TokenType.FONT_FAMILY,
            "Literata, Georgia, serif",
            "Headings"),
        token(
            "t-body-font",
            "font.body",
            TokenType.FONT_FAMILY,
            "Source Sans 3, Arial, sans-serif",
            "Running text"),
        token(
            "t-label-font",
            "font.label",
            TokenType.FONT_FAMILY,
            "{t-body-font}",
            "Small labels and buttons"),
        token("t-display", "size.display", TokenType.DIMENSION, "60px", "The opening heading"),
        token(
            "t-display-phone",
            "size.display.phone",
            TokenType.DIMENSION,
            "38px",
            "The opening heading on a phone"),
        token("t-title", "size.heading", TokenType.DIMENSION, "32px", "Headings of sections"),
        token("t-body-size", "size.text", TokenType.DIMENSION, "18px", "Running text"),
        token("t-label-size", "size.label", TokenType.DIMENSION, "14px", "Small labels"),
        token(
            "t-section-space",
            "space.section",
            TokenType.DIMENSION,
            "88px",
            "Padding of a section, above and below"),
        token(
            "t-section-phone",
            "space.section.phone",
            TokenType.DIMENSION,
            "52px",
            "The same on a phone"),
        token("t-gap", "space.gap", TokenType.DIMENSION, "16px", "Between lines in a section"),
        token(
            "t-width", "width.content", TokenType.DIMENSION, "1120px", "Maximum width of content"),
        token("t-radius", "radius.button", TokenType.DIMENSION, "8px", "Corners of buttons"),
        token(
            "t-lead",
            "size.lead",
            TokenType.DIMENSION,
            "clamp(19px, 1.0714rem + 0.5357vw, 24px)",
            "The first sentence, growing with the screen"),
        token(
            "t-hair",
            "border.hair",
            TokenType.BORDER,
            "1px solid rgb(0 0 0 / 12%)",
            "Round cards and fields"),
        token(
            "t-shadow",
            "shadow.card",
            TokenType.SHADOW,
            "0px 2px 4px 0px rgb(0 0 0 / 12%), 0px 12px 32px -8px rgb(0 0 0 / 24%)",
            "What stands off the page"),
        token(
            "t-dusk",
            "gradient.dusk",
            TokenType.GRADIENT,
            "linear-gradient(160deg, {t-accent} 0%, {t-text} 100%)",
            "For bands without a picture"),
        token(
            "t-motion",
            "motion.button",
            TokenType.TRANSITION,
            "160ms 0ms ease",
            "Buttons under the pointer"));
  }

  private static List<NamedStyle> named() {
    return List.of(
        new NamedStyle("s-lead", "Lead", styles("font-size", "{t-lead}", "line-height", "1.45")),
        new NamedStyle(
            "s-caption",
            "Caption",
            styles("font-size", "15px", "line-height", "1.5", "font-family", "{t-label-font}")),
        new NamedStyle(
            "s-quote",
            "Quote",
            styles(
                "font-size", "40px",
                "font-size@phone", "28px",
                "line-height", "1.25",
                "font-weight", "500",
                "max-width", "860px")),
        new NamedStyle(
            "s-quiet",
            "Quiet button",
            styles(
                "background-color",
                "transparent",
                "color",
                "{t-small}",
                "border",
                "2px solid {t-small}",
                "background-color:hover",
                "{t-surface}")));
  }

  private static List<Scheme> schemes() {
    return List.of(
        new Scheme("light", "Light", Map.of()),
        new Scheme("tinted", "Tinted", Map.of("t-ground", StyleValue.token("t-surface"))),
        new Scheme(
            "dark",
            "Dark",
            Map.of(
                "t-ground", StyleValue.token("t-text"),
                "t-text", StyleValue.token("t-ground"),
                "t-small", StyleValue.token("t-surface"),
                "t-surface", StyleValue.token("t-text"))));
  }

  private static Map<Kind, Map<StyleKey, StyleValue>> defaults() {
    Map<Kind, Map<StyleKey, StyleValue>> defaults = new LinkedHashMap<>();
    defaults.put(
        Kind.PAGE,
        styles(
            "font-family",
            "{t-body-font}",
            "font-size",
            "{t-body-size}",
            "line-height",
            "1.6",
            "color",
            "{t-text}",
            "background-color",
            "{t-ground}",
            "content-width",
            "{t-width}",
            "padding-left",
            "32px",
            "padding-right",
            "32px",
            "padding-left@phone",
            "20px",
            "padding-right@phone",
            "20px"));
    defaults.put(
        Kind.SECTION,
        styles(
            "padding-top",
            "{t-section-space}",
            "padding-bottom",
            "{t-section-space}",
            "padding-top@phone",
            "{t-section-phone}",
            "padding-bottom@phone",
            "{t-section-phone}",
            "padding-left",
            "32px",
            "padding-right",
            "32px",
            "padding-left@phone",
            "20px",
            "padding-right@phone",
            "20px",
            "content-width",
            "{t-width}",
            "row-gap",
            "{t-gap}"));
    defaults.put(Kind.ROW, styles("column-gap", "32px", "row-gap", "32px", "columns@phone", "12"));
    defaults.put(Kind.COLUMN, styles("row-gap", "8px", "column-gap", "16px"));
    defaults.put(Kind.BOX, styles("row-gap", "8px", "column-gap", "16px"));
    defaults.put(
        Kind.HEADING,
        styles(
            "font-family",
            "{t-heading-font}",
            "font-size",
            "{t-title}",
            "font-weight",
            "600",
            "line-height",
            "1.2"));
    defaults.put(Kind.TEXT, styles("max-width", "640px"));
    defaults.put(
        Kind.LABEL,
        styles(
            "font-family",
            "{t-label-font}",
            "font-size",
            "{t-label-size}",
            "font-weight",
            "600",
            "letter-spacing",
            "1.5px",
            "text-transform",
            "uppercase",
            "color",
            "{t-small}"));
    defaults.put(
        Kind.BUTTON,
        styles(
            "font-family",
            "{t-label-font}",
            "font-weight",
            "600",
            "color",
            "{t-on-accent}",
            "background-color",
            "{t-accent}",
            "background-color:hover",
            "{t-accent-deep}",
            "padding-top",
            "12px",
            "padding-bottom",
            "12px",
            "padding-left",
            "24px",
            "padding-right",
            "24px",
            "border-radius",
            "{t-radius}",
            "place",
            "start",
            "transition",
            "{t-motion}"));
    defaults.put(
        Kind.MENU,
        styles(
            "font-family",
            "{t-label-font}",
            "font-weight",
            "600",
            "color:hover",
            "{t-small}",
            "color:current",
            "{t-small}"));
    defaults.put(
        Kind.LOGO,
        styles(
            "font-family",
            "{t-heading-font}",
            "font-size",
            "22px",
            "font-weight",
            "600",
            "line-height",
            "1.2",
            "max-width",
            "180px"));
    defaults.put(Kind.ICON, styles("font-size", "32px"));
    defaults.put(
        Kind.SOCIAL, styles("font-family", "{t-label-font}", "font-size", "{t-label-size}"));
    defaults.put(
        Kind.DIVIDER, styles("border-top-width", "1px", "border-top-color", "{t-surface}"));
    return defaults;
  }

  private static Map<StyleKey, StyleValue> styles(String... settings) {
    Map<StyleKey, StyleValue> styles = new LinkedHashMap<>();
    for (int i = 0; i < settings.length; i += 2) {
      styles.put(StyleKey.parse(settings[i]), StyleValue.parse(settings[i + 1]));
    }
    return styles;
  }
}
