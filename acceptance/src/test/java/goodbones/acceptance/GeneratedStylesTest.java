package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.document.Variant;
import goodbones.library.Adopted;
import goodbones.library.PageEditor;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.library.VariantEditor;
import goodbones.propagation.Rebasing;
import goodbones.render.PageHtml;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.StyleSheet;
import goodbones.render.Surroundings;
import goodbones.style.Cascade;
import goodbones.style.Computed;
import goodbones.style.Finishes;
import goodbones.style.Layer;
import goodbones.style.NamedStyle;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import goodbones.testing.Runs;
import goodbones.testing.Shelf;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/**
 * Outside check: on generated documents, with named styles, schemes, tokens, devices and states all
 * mixed, the value that the cascade says wins is the one that Chromium computes.
 */
class GeneratedStylesTest {
  private static final long SEED = 20_261_124;
  private static final int LEAST_NODES = 500;
  private static final int SEEDS = Runs.of(2, 30);

  private static final Map<StyleProperty, List<String>> VALUES =
      Map.ofEntries(
          Map.entry(StyleProperty.COLOR, List.of("#123456", "rgb(10 120 60)", "{ink}", "{accent}")),
          Map.entry(
              StyleProperty.BACKGROUND_COLOR,
              List.of("#fedcba", "{paper}", "{accent}", "transparent", "oklch(70% 0.1 200)")),
          Map.entry(
              StyleProperty.FONT_SIZE, List.of("15px", "1.5rem", "{text}", "{fluid}", "22px")),
          Map.entry(StyleProperty.FONT_WEIGHT, List.of("300", "600", "{bold}")),
          Map.entry(StyleProperty.LINE_HEIGHT, List.of("1.3", "28px", "{line}")),
          Map.entry(StyleProperty.LETTER_SPACING, List.of("1px", "0.5px", "-1px")),
          Map.entry(StyleProperty.TEXT_TRANSFORM, List.of("uppercase", "none", "capitalize")),
          Map.entry(StyleProperty.TEXT_ALIGN, List.of("center", "end", "start")),
          Map.entry(StyleProperty.PADDING_TOP, List.of("8px", "{gap}", "3vw")),
          Map.entry(StyleProperty.PADDING_LEFT, List.of("12px", "{gap}")),
          Map.entry(StyleProperty.MARGIN_TOP, List.of("4px", "-6px", "{gap}")),
          Map.entry(StyleProperty.ROW_GAP, List.of("6px", "{gap}")),
          Map.entry(StyleProperty.RADIUS, List.of("3px", "{gap}")),
          Map.entry(
              StyleProperty.SHADOW,
              List.of("0px 2px 8px 0px rgb(0 0 0 / 30%)", "{shade}", "1px 1px 0px 0px {accent}")));

  private static final String COMPARE =
      """
      ([wanted, state]) => {
        const wrong = [];
        for (const [node, values] of Object.entries(wanted)) {
          const element = document.querySelector(`[data-node="${node}"]`);
          if (state === 'current') element.setAttribute('aria-current', 'page');
          const probe = element.cloneNode(false);
          probe.removeAttribute('data-node');
          element.after(probe);
          for (const [name, css] of Object.entries(values)) {
            probe.style.setProperty(name, css);
            const browser = getComputedStyle(element).getPropertyValue(name);
            const cascade = getComputedStyle(probe).getPropertyValue(name);
            if (browser !== cascade) wrong.push(`${node} ${state} ${name}: ${browser}, not ${cascade} (${css})`);
            probe.style.removeProperty(name);
          }
          probe.remove();
          element.removeAttribute('aria-current');
        }
        return wrong;
      }
      """;

  private final Random random = new Random(SEED);
  private int next;

  @Test
  void theCascadesWinnerIsWhatTheBrowserComputes() {
    SiteFinishes finishes = finishes();
    Node page = page();
    assertThat(compared(Shown.of(page), finishes, SEED)).isGreaterThan(15_000);
  }

  /** Values of page, container, item, variant and piece, all laid on each other. */
  @Test
  void soItIsOfPiecesInPieces() {
    int compared = 0;
    for (long seed = 1; seed <= SEEDS; seed++) {
      random.setSeed(seed);
      SiteFinishes finishes = finishes();
      Shelf shelf = new Shelf();
      shelf.keep("inner", elements(Kind.BOX));
      shelf.keep("outer", outer(shelf));
      shelf.release(
          "outer", changed(shelf, shelf.revision("outer", 1).root()), asked -> Optional.empty());
      compared += compared(nested(shelf), finishes, seed);
    }
    assertThat(compared).isGreaterThan(SEEDS * 1_800);
  }

  private Node elements(Kind around) {
    return node(around)
        .withChildren(
            List.of(node(Kind.LABEL), node(Kind.HEADING), node(Kind.TEXT), node(Kind.BUTTON)));
  }

  /** A section with another piece and a list in it, and a variant. */
  private Node outer(Shelf shelf) {
    List<Node> list = new ArrayList<>();
    list.add(
        Node.of(NodeId.of("pattern"), Kind.PATTERN, "").withChildren(List.of(elements(Kind.BOX))));
    list.add(Node.item(NodeId.of("one")));
    list.add(Node.item(NodeId.of("two")));
    Node section =
        node(Kind.SECTION)
            .withChildren(
                List.of(
                    node(Kind.HEADING),
                    shelf.placing(NodeId.of("b"), "inner"),
                    node(Kind.BOX).withChildren(list)));
    return section.withOptions(section.options().withVariants(List.of(Variant.of("v", "V"))));
  }

  /** What the piece says of the inner one, of one of its items, and in its variant. */
  private Node changed(Shelf shelf, Node piece) {
    Node now = piece;
    for (int i = 0; i < 20; i++) {
      now = shelf.editor().apply(now, style(shelf.editor().shown(now))).root();
      VariantEditor editor = new VariantEditor(now, "v", shelf);
      now =
          editor
              .apply(style(editor.shown()), library -> new Rebasing(library, Showing.BOUND))
              .root();
    }
    return now;
  }

  private Edit style(Shown shown) {
    List<Node> nodes =
        shown.root().all().stream().filter(node -> node.kind() != Kind.PAGE).toList();
    while (true) {
      Node node = any(nodes);
      Map<StyleKey, StyleValue> styles = styles(node.kind(), 1);
      if (!styles.isEmpty()) {
        Map.Entry<StyleKey, StyleValue> one = styles.entrySet().iterator().next();
        return new Edit.SetStyle(node.id(), one.getKey(), Optional.of(one.getValue()));
      }
    }
  }

  /** A page that places the piece some times, with changes of its own all over. */
  private Shown nested(Shelf shelf) {
    Adopted adopted = new Adopted(Map.of("outer", shelf.current("outer")));
    PageEditor editor = new PageEditor(adopted, shelf, new Rebasing(shelf, adopted));
    List<Node> placements = new ArrayList<>();
    for (String id : List.of("p", "q", "r")) {
      placements.add(shelf.placing(NodeId.of(id), "outer"));
    }
    Node page = Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(placements);
    page = editor.apply(page, new Edit.ShowVariant(NodeId.of("q"), Optional.of("v"))).root();
    for (int i = 0; i < 60; i++) {
      page = editor.apply(page, style(editor.shown(page))).root();
    }
    return editor.shown(page);
  }

  /** Compares every value at every device, and says how many. */
  private static int compared(Shown shown, SiteFinishes finishes, long seed) {
    List<Node> nodes = shown.root().all();
    Cascade cascade = new Cascade(shown.root(), shown, finishes);
    String html = html(shown, finishes);
    List<String> wrong = new ArrayList<>();
    int compared = 0;
    try (Designer designer = new Designer("")) {
      for (Device device : Device.values()) {
        // A tab of its own: no pointer was left over what is compared.
        Page tab = designer.newTab();
        tab.setViewportSize(device.width(), device.height());
        tab.setContent(html);
        for (State state : List.of(State.NORMAL, State.CURRENT)) {
          Map<String, Map<String, String>> wanted = wanted(nodes, cascade, device, state);
          compared += wanted.values().stream().mapToInt(Map::size).sum();
          wrong.addAll(strings(tab.evaluate(COMPARE, List.of(wanted, state.word()))));
        }
        wrong.addAll(hovered(tab, nodes, cascade, device));
      }
    }
    assertThat(wrong).as("seed %d", seed).isEmpty();
    return compared;
  }

  @SuppressWarnings("unchecked")
  private static List<String> strings(Object list) {
    return (List<String>) list;
  }

  /** The pointer is put on some buttons, one after the other. */
  private static List<String> hovered(Page tab, List<Node> nodes, Cascade cascade, Device device) {
    List<String> wrong = new ArrayList<>();
    nodes.stream()
        .filter(node -> node.kind() == Kind.BUTTON)
        .limit(12)
        .forEach(
            node -> {
              tab.locator("[data-node='" + node.id() + "']").hover();
              Map<String, Map<String, String>> one =
                  Map.of(
                      node.id().value(),
                      Map.of(
                          "background-color",
                          cascade
                              .computed(node, StyleProperty.BACKGROUND_COLOR, device, State.HOVER)
                              .css()));
              wrong.addAll(strings(tab.evaluate(COMPARE, List.of(one, "hover"))));
            });
    return wrong;
  }

  private static Map<String, Map<String, String>> wanted(
      List<Node> nodes, Cascade cascade, Device device, State state) {
    Map<String, Map<String, String>> wanted = new LinkedHashMap<>();
    for (Node node : nodes) {
      // The states of a menu are those of its links, which are no nodes.
      boolean has =
          Catalogue.states(node.kind()).contains(state)
              && (node.kind() != Kind.MENU || state == State.NORMAL);
      if (node.kind() != Kind.PAGE && has) {
        Map<String, String> values = new LinkedHashMap<>();
        for (StyleProperty property : VALUES.keySet()) {
          if (Catalogue.hasStyle(node.kind(), property)) {
            String name =
                property == StyleProperty.RADIUS ? "border-top-left-radius" : property.key();
            Computed computed = cascade.computed(node, property, device, state);
            // The initial gap is “normal”, which is 0 in a grid (CSS Box Alignment 3, section 8).
            boolean unset =
                property == StyleProperty.ROW_GAP
                    && computed.won().source() == Layer.Source.INITIAL;
            values.put(name, unset ? "normal" : computed.css());
          }
        }
        wanted.put(node.id().value(), values);
      }
    }
    return wanted;
  }

  private static String html(Shown shown, SiteFinishes finishes) {
    Surroundings plain = new Surroundings(id -> "", UnaryOperator.identity(), List.of(), "", true);
    Rendered rendered = Renderer.render(shown, finishes, plain);
    return PageHtml.of(
        "en",
        "Generated",
        "",
        "<style>" + StyleSheet.of(List.of(rendered)) + "</style>",
        rendered.body());
  }

  private static Token token(String id, TokenType type, String value) {
    return Token.of(id, id, type, StyleValue.parse(value), "");
  }

  private SiteFinishes finishes() {
    List<Token> tokens =
        List.of(
            token("ink", TokenType.COLOR, "#202428"),
            token("paper", TokenType.COLOR, "#fbf7ee"),
            token("accent", TokenType.COLOR, "#8a3a22"),
            token("text", TokenType.DIMENSION, "17px"),
            token("fluid", TokenType.DIMENSION, "clamp(16px, 0.8rem + 1vw, 26px)"),
            token("gap", TokenType.DIMENSION, "10px"),
            token("bold", TokenType.FONT_WEIGHT, "700"),
            token("line", TokenType.NUMBER, "1.7"),
            token("shade", TokenType.SHADOW, "0px 1px 3px 0px {ink}"));
    List<NamedStyle> named = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      Optional<String> base = i == 0 ? Optional.empty() : Optional.of("n" + (i - 1));
      named.add(new NamedStyle("n" + i, "Style " + i, base, styles(Kind.BUTTON, 4)));
    }
    Map<Kind, Map<StyleKey, StyleValue>> defaults = new HashMap<>();
    for (Kind kind : List.of(Kind.PAGE, Kind.SECTION, Kind.HEADING, Kind.LABEL, Kind.BUTTON)) {
      defaults.put(kind, styles(kind, 4));
    }
    Finishes house =
        Finishes.of(tokens, named, defaults)
            .withSchemes(
                List.of(
                    new Scheme(
                        "dark",
                        "Dark",
                        Map.of("ink", StyleValue.token("paper"), "paper", StyleValue.token("ink"))),
                    new Scheme("hot", "Hot", Map.of("accent", StyleValue.literal("#ff6a00")))));
    return new SiteFinishes(house, Map.of("accent", StyleValue.literal("#1f6f63")));
  }

  private Map<StyleKey, StyleValue> styles(Kind kind, int most) {
    Map<StyleKey, StyleValue> styles = new HashMap<>();
    List<StyleProperty> properties =
        VALUES.keySet().stream().filter(p -> Catalogue.hasStyle(kind, p)).sorted().toList();
    List<State> states = Catalogue.states(kind).stream().sorted().toList();
    for (int i = random.nextInt(most + 1); i > 0; i--) {
      StyleProperty property = any(properties);
      StyleKey key = new StyleKey(property, any(List.of(Device.values())), any(states));
      styles.put(
          key, StyleValue.parse(any(java.util.Objects.requireNonNull(VALUES.get(property)))));
    }
    return styles;
  }

  private <T> T any(List<T> list) {
    return list.get(random.nextInt(list.size()));
  }

  private Node node(Kind kind) {
    Node node = Node.of(NodeId.of("g" + next++), kind, "");
    if (Catalogue.field(kind, "words").isPresent()) {
      node = node.withContent("words", new FieldValue.Words("Words " + next));
    }
    for (Map.Entry<StyleKey, StyleValue> style : styles(kind, 3).entrySet()) {
      node = node.withStyle(style.getKey(), style.getValue());
    }
    List<String> named = new ArrayList<>();
    for (int i = random.nextInt(3); i > 0; i--) {
      named.add("n" + random.nextInt(5));
    }
    return node.withNamedStyles(named.stream().distinct().toList());
  }

  private Node page() {
    List<Node> sections = new ArrayList<>();
    while (next < LEAST_NODES) {
      List<Node> children = new ArrayList<>();
      children.add(node(Kind.HEADING));
      Node row = node(Kind.ROW);
      List<Node> columns = new ArrayList<>();
      for (int i = 0; i < 3; i++) {
        List<Node> elements =
            List.of(node(Kind.LABEL), node(Kind.HEADING), node(Kind.TEXT), node(Kind.BUTTON));
        columns.add(node(Kind.COLUMN).withChildren(elements));
      }
      children.add(row.withChildren(columns));
      Node section = node(Kind.SECTION).withChildren(children);
      sections.add(
          switch (random.nextInt(4)) {
            case 0 -> section.withScheme(Optional.of("dark"));
            case 1 -> section.withScheme(Optional.of("hot"));
            default -> section;
          });
    }
    return Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(sections);
  }
}
