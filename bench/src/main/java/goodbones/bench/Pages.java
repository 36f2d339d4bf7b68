package goodbones.bench;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.style.Finishes;
import goodbones.style.NamedStyle;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Pages of a usual make, as large and as many as wanted, and finishes for them. */
final class Pages {
  private static final int NODES_IN_A_SECTION = 20;
  private int next;

  static final String ACCENT = "accent";

  static SiteFinishes finishes() {
    List<Token> tokens = new ArrayList<>();
    tokens.add(token("ink", TokenType.COLOR, "#202428"));
    tokens.add(token("paper", TokenType.COLOR, "#ffffff"));
    tokens.add(token(ACCENT, TokenType.COLOR, "#1f6f63"));
    tokens.add(token("label", TokenType.COLOR, "{accent}"));
    tokens.add(token("body", TokenType.FONT_FAMILY, "Source Sans 3, Arial, sans-serif"));
    tokens.add(token("text", TokenType.DIMENSION, "18px"));
    tokens.add(token("gap", TokenType.DIMENSION, "16px"));
    for (int i = 0; i < 40; i++) {
      tokens.add(token("spare" + i, TokenType.DIMENSION, i + "px"));
    }
    List<NamedStyle> named =
        List.of(
            new NamedStyle("lead", "Lead", styles("font-size", "22px", "line-height", "1.4")),
            new NamedStyle("quiet", "Quiet", Optional.of("lead"), styles("color", "{label}")));
    Map<Kind, Map<StyleKey, StyleValue>> defaults =
        Map.of(
            Kind.PAGE,
            styles(
                "color", "{ink}",
                "background-color", "{paper}",
                "font-family", "{body}",
                "font-size", "{text}"),
            Kind.SECTION,
            styles("padding-top", "{gap}", "padding-bottom", "{gap}", "padding-top@phone", "8px"),
            Kind.HEADING,
            styles("font-size", "32px", "font-size@phone", "26px", "font-weight", "600"),
            Kind.LABEL,
            styles("color", "{label}", "font-size", "14px"),
            Kind.BUTTON,
            styles(
                "background-color", "{accent}",
                "color", "{paper}",
                "background-color:hover", "{ink}"));
    Scheme dark =
        new Scheme(
            "dark",
            "Dark",
            Map.of("ink", StyleValue.token("paper"), "paper", StyleValue.token("ink")));
    return new SiteFinishes(
        Finishes.of(tokens, named, defaults).withSchemes(List.of(dark)), Map.of());
  }

  private static Token token(String id, TokenType type, String value) {
    return Token.of(id, id, type, StyleValue.parse(value), "");
  }

  private static Map<StyleKey, StyleValue> styles(String... settings) {
    Map<StyleKey, StyleValue> styles = new java.util.HashMap<>();
    for (int i = 0; i < settings.length; i += 2) {
      styles.put(StyleKey.parse(settings[i]), StyleValue.parse(settings[i + 1]));
    }
    return styles;
  }

  /**
   * @param nodes about how many it is to have
   */
  Node page(int nodes) {
    List<Node> sections = new ArrayList<>();
    for (int i = 0; i < Math.max(1, nodes / NODES_IN_A_SECTION); i++) {
      Node section = section();
      sections.add(i % 4 == 3 ? section.withScheme(Optional.of("dark")) : section);
    }
    return node(Kind.PAGE).withChildren(sections);
  }

  /**
   * @param nodes about how many it is to have
   */
  Node piece(int nodes) {
    Node page = page(nodes);
    return node(Kind.SECTION)
        .withChildren(page.children().stream().flatMap(s -> s.children().stream()).toList());
  }

  private Node section() {
    List<Node> columns = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      columns.add(
          node(Kind.COLUMN)
              .withChildren(
                  List.of(
                      words(Kind.LABEL),
                      words(Kind.HEADING)
                          .withStyle(StyleKey.parse("color"), StyleValue.token("ink")),
                      words(Kind.TEXT).withNamedStyles(List.of("lead")),
                      words(Kind.BUTTON)
                          .withStyle(StyleKey.parse("border-radius"), StyleValue.literal("4px")))));
    }
    return node(Kind.SECTION)
        .withChildren(
            List.of(
                words(Kind.HEADING),
                words(Kind.TEXT).withNamedStyles(List.of("quiet")),
                node(Kind.ROW).withChildren(columns),
                words(Kind.BUTTON)));
  }

  private Node words(Kind kind) {
    return node(kind).withContent("words", new FieldValue.Words("Some words"));
  }

  private Node node(Kind kind) {
    return Node.of(NodeId.of("n" + next++), kind, "");
  }
}
