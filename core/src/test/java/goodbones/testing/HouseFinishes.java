package goodbones.testing;

import goodbones.document.Kind;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.style.Finishes;
import goodbones.style.NamedStyle;
import goodbones.style.Scheme;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finishes with a token of every type, named styles that build on each other, and schemes. */
public final class HouseFinishes {
  private HouseFinishes() {}

  public static Token token(String name, TokenType type, String value) {
    return Token.of(name, name, type, StyleValue.parse(value), "About " + name);
  }

  public static Map<StyleKey, StyleValue> styles(String... settings) {
    Map<StyleKey, StyleValue> styles = new java.util.HashMap<>();
    for (int i = 0; i < settings.length; i += 2) {
      styles.put(StyleKey.parse(settings[i]), StyleValue.parse(settings[i + 1]));
    }
    return styles;
  }

  public static Finishes house() {
    return Finishes.of(
            List.of(
                token("color.text", TokenType.COLOR, "#22282b"),
                token("color.background", TokenType.COLOR, "#ffffff"),
                token("color.surface", TokenType.COLOR, "#eef2f1"),
                token("color.accent", TokenType.COLOR, "#1f6f63"),
                token("color.accent.deep", TokenType.COLOR, "oklch(40% 0.07 180)"),
                token("color.label", TokenType.COLOR, "{color.accent}"),
                token("color.overlay", TokenType.COLOR, "rgb(16 30 40 / 55%)"),
                token("size.text", TokenType.DIMENSION, "18px"),
                token("size.display", TokenType.DIMENSION, "clamp(38px, 1rem + 4vw, 60px)"),
                token("font.body", TokenType.FONT_FAMILY, "Source Sans 3, Arial, sans-serif"),
                token("font.weight", TokenType.FONT_WEIGHT, "600"),
                token("line.text", TokenType.NUMBER, "1.5"),
                token("motion.quick", TokenType.DURATION, "200ms"),
                token("motion.curve", TokenType.CUBIC_BEZIER, "cubic-bezier(0.2, 0, 0, 1)"),
                token("edge.style", TokenType.STROKE_STYLE, "dashed"),
                token("edge.plain", TokenType.BORDER, "1px solid {color.accent}"),
                token("motion.button", TokenType.TRANSITION, "{motion.quick} 0ms {motion.curve}"),
                token(
                    "shade.card",
                    TokenType.SHADOW,
                    "0px 4px 12px 0px rgb(0 0 0 / 20%), 0px 1px 2px 0px {color.accent}"),
                token(
                    "blend.sky",
                    TokenType.GRADIENT,
                    "linear-gradient(180deg, {color.accent} 0%, #ffffff00 100%)"),
                token(
                    "type.heading",
                    TokenType.TYPOGRAPHY,
                    "{font.weight} 32px/1.2 0px {font.body}")),
            List.of(
                new NamedStyle(
                    "label", "Label", styles("font-size", "14px", "color", "{color.label}")),
                new NamedStyle(
                    "small-caps",
                    "Small caps label",
                    Optional.of("label"),
                    styles("text-transform", "uppercase", "font-size@phone", "12px"))),
            Map.of(
                Kind.PAGE,
                styles("color", "{color.text}", "background-color", "{color.background}"),
                Kind.HEADING,
                styles("font-size", "{type.heading#fontSize}", "font-weight", "600"),
                Kind.BUTTON,
                styles(
                    "background-color", "{color.accent}",
                    "color", "{color.background}",
                    "background-color:hover", "{color.accent.deep}")))
        .withSchemes(
            List.of(
                new Scheme(
                    "dark",
                    "Dark",
                    Map.of(
                        "color.text", StyleValue.token("color.background"),
                        "color.background", StyleValue.token("color.text"),
                        "color.accent", StyleValue.literal("#e2a13a"))),
                new Scheme(
                    "tinted",
                    "Tinted",
                    Map.of("color.background", StyleValue.token("color.surface")))));
  }
}
