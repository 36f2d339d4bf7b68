package goodbones.server.finishes;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Shown;
import goodbones.server.sites.SiteInfo;
import goodbones.style.NamedStyle;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * A page that shows what a client's finishes look like: type, buttons, every colour scheme, every
 * named style, and boxes with the shadows, borders and gradients.
 */
public final class Specimen {
  private static final int MOST_BOXES = 12;
  private final SiteInfo site;
  private final SiteFinishes finishes;
  private int count;

  private Specimen(SiteInfo site, SiteFinishes finishes) {
    this.site = site;
    this.finishes = finishes;
  }

  public static Shown of(SiteInfo site, SiteFinishes finishes) {
    return Shown.of(new Specimen(site, finishes).page());
  }

  /** One named style, or how every element of a kind looks, alone on a page. */
  static Shown of(SiteInfo site, SiteFinishes finishes, Kind kind, List<String> style) {
    Specimen specimen = new Specimen(site, finishes);
    Node sample =
        kind == Kind.HEADING
            ? specimen.heading(2, "How it looks")
            : specimen.words(kind, "How it looks");
    Node section =
        specimen.styled(
            specimen.node(Kind.SECTION).withChildren(List.of(sample.withNamedStyles(style))),
            Map.of(
                "padding-top", "24px",
                "padding-bottom", "24px",
                "padding-left", "32px",
                "padding-right", "32px"));
    return Shown.of(specimen.node(Kind.PAGE).withChildren(List.of(section)));
  }

  private Node page() {
    List<Node> sections = new ArrayList<>();
    sections.add(opening());
    for (Scheme scheme : finishes.house().schemes()) {
      sections.add(scheme(scheme));
    }
    if (finishes.house().schemes().isEmpty()) {
      sections.add(type());
    }
    boxes().ifPresent(sections::add);
    named().ifPresent(sections::add);
    return node(Kind.PAGE).withChildren(sections);
  }

  private Node node(Kind kind) {
    return Node.of(NodeId.of("specimen-" + count++), kind, "");
  }

  private Node words(Kind kind, String words) {
    return node(kind).withContent("words", new FieldValue.Words(words));
  }

  private Node heading(int level, String words) {
    return words(Kind.HEADING, words).withContent("level", new FieldValue.Level(level));
  }

  private Node styled(Node node, Map<String, String> settings) {
    Node styled = node;
    for (Map.Entry<String, String> setting : settings.entrySet()) {
      styled =
          styled.withStyle(StyleKey.parse(setting.getKey()), StyleValue.parse(setting.getValue()));
    }
    return styled;
  }

  private Optional<String> token(String name) {
    return finishes.byName(name).filter(t -> !t.retired()).map(t -> "{" + t.id() + "}");
  }

  private Node opening() {
    List<Node> children = new ArrayList<>();
    if (!site.logo().isEmpty()) {
      children.add(
          styled(
              node(Kind.PICTURE)
                  .withContent("picture", new FieldValue.Picture(site.logo(), site.name())),
              Map.of("max-width", "180px", "object-fit", "contain", "margin-bottom", "8px")));
    }
    children.add(words(Kind.LABEL, "Specimen"));
    Node title = heading(1, site.name().isBlank() ? "The house" : site.name());
    children.add(
        token("size.display")
            .map(size -> styled(title, Map.of("font-size", size, "line-height", "1.1")))
            .orElse(title));
    children.add(
        words(
            Kind.TEXT,
            "Words in the size and colour of running text. They should read with ease on a phone"
                + " in the sun and at arm’s length on a desk."));
    children.add(words(Kind.BUTTON, "A button"));
    return node(Kind.SECTION).withChildren(children);
  }

  private Node type() {
    return node(Kind.SECTION)
        .withChildren(
            List.of(
                words(Kind.LABEL, "Small label"),
                heading(2, "Heading of a section"),
                words(Kind.TEXT, "Running text under the heading, one or two sentences long.")));
  }

  private Node scheme(Scheme scheme) {
    return node(Kind.SECTION)
        .withScheme(Optional.of(scheme.id()))
        .withChildren(
            List.of(
                words(Kind.LABEL, "Scheme " + scheme.name()),
                heading(2, "Heading of a section"),
                words(Kind.TEXT, "Running text under the heading, one or two sentences long."),
                words(Kind.BUTTON, "A button")));
  }

  private Optional<Node> boxes() {
    List<Node> columns = new ArrayList<>();
    for (Token token : finishes.tokens()) {
      Optional<String> property =
          switch (token.type()) {
            case SHADOW -> Optional.of("box-shadow");
            case BORDER -> Optional.of("border");
            case GRADIENT -> Optional.of("background-gradient");
            default -> Optional.empty();
          };
      if (property.isPresent() && !token.retired() && columns.size() < MOST_BOXES) {
        boolean gradient = token.type() == TokenType.GRADIENT;
        Node column =
            node(Kind.COLUMN)
                .withChildren(gradient ? List.of() : List.of(words(Kind.TEXT, token.name())));
        column =
            styled(
                column,
                Map.of(
                    property.get(),
                    "{" + token.id() + "}",
                    "padding-top",
                    gradient ? "64px" : "20px",
                    "padding-bottom",
                    "20px",
                    "padding-left",
                    "20px",
                    "padding-right",
                    "20px"));
        columns.add(column);
      }
    }
    if (columns.isEmpty()) {
      return Optional.empty();
    }
    List<Node> rows = new ArrayList<>();
    for (int i = 0; i < columns.size(); i += 3) {
      rows.add(
          styled(
              node(Kind.ROW).withChildren(columns.subList(i, Math.min(i + 3, columns.size()))),
              Map.of("columns", "4 4 4")));
    }
    return Optional.of(node(Kind.SECTION).withChildren(rows));
  }

  private Optional<Node> named() {
    Function<NamedStyle, Node> sample =
        style -> words(kindFor(style), style.name()).withNamedStyles(List.of(style.id()));
    List<Node> samples = finishes.namedStyles().stream().map(sample).toList();
    return samples.isEmpty()
        ? Optional.empty()
        : Optional.of(node(Kind.SECTION).withChildren(samples));
  }

  /** What a named style is best shown on. */
  static Kind kindFor(NamedStyle style) {
    boolean box =
        style.styles().keySet().stream()
            .anyMatch(
                key ->
                    key.property().key().startsWith("padding")
                        || key.property().key().startsWith("background"));
    return box ? Kind.BUTTON : Kind.TEXT;
  }
}
