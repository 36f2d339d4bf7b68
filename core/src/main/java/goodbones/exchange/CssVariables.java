package goodbones.exchange;

import goodbones.document.Composite;
import goodbones.document.StyleValue;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Writes finishes as CSS custom properties with aliases resolved (CSS Custom Properties for
 * Cascading Variables Level 1). The parts of typography, border and transition follow the whole.
 */
public final class CssVariables {
  private CssVariables() {}

  /** A style sheet: the root, and what each colour scheme makes of it. */
  public static String of(SiteFinishes finishes) {
    Map<String, String> root = properties(finishes);
    StringBuilder css = new StringBuilder();
    append(":root", root, css);
    for (Scheme scheme : finishes.house().schemes()) {
      Map<String, String> inside = new LinkedHashMap<>(properties(finishes.in(scheme.id())));
      inside.entrySet().removeAll(root.entrySet());
      append("." + scheme.className(), inside, css);
    }
    return css.toString();
  }

  /** Custom property to value, in the order of the tokens. */
  public static Map<String, String> properties(SiteFinishes finishes) {
    Map<String, String> properties = new LinkedHashMap<>();
    for (Token token : finishes.tokens()) {
      String css = finishes.worth(token.id()).css();
      properties.put(finishes.property(new StyleValue.TokenRef(token.id(), "")), css);
      if (token.type() != TokenType.SHADOW && token.type() != TokenType.GRADIENT) {
        Composite.parts(token.type().literal(), css)
            .orElse(Map.of())
            .forEach(
                (part, value) ->
                    properties.put(
                        finishes.property(new StyleValue.TokenRef(token.id(), part)), value));
      }
    }
    return properties;
  }

  private static void append(String selector, Map<String, String> values, StringBuilder css) {
    if (!values.isEmpty()) {
      css.append(selector).append(" {\n");
      values.forEach((k, v) -> css.append("  ").append(k).append(": ").append(v).append(";\n"));
      css.append("}\n");
    }
  }
}
