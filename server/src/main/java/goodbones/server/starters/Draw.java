package goodbones.server.starters;

import goodbones.document.Aspect;
import goodbones.document.Bound;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.document.Variant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Short ways to draw one starter. All ids begin with the starter’s own, and all words and pictures
 * stand in.
 */
final class Draw {
  private static final Pattern BOUND = Pattern.compile("\\{([\\w-]+)}");

  private final String own;
  private final Map<String, Integer> given = new HashMap<>();

  /**
   * @param own the id of the piece
   */
  Draw(String own) {
    this.own = own;
  }

  /** The id of a part by its short name. */
  NodeId id(String part) {
    return NodeId.of(own + "-" + part);
  }

  private Node node(Kind kind) {
    int n = given.merge(kind.word(), 1, Integer::sum);
    return Node.of(id(kind.word() + n), kind, "");
  }

  /** The same with a short name of its own, for what variants and items speak of. */
  Node named(String part, Node node) {
    return node.withId(id(part));
  }

  /** The whole piece. */
  Node section(String name, Node... children) {
    return Node.of(NodeId.of(own), Kind.SECTION, name).withChildren(List.of(children));
  }

  /** The whole piece, where it is no section. */
  Node whole(String name, Node part) {
    return part.withId(NodeId.of(own)).withName(name);
  }

  Node box(Node... children) {
    return node(Kind.BOX).withChildren(List.of(children));
  }

  /** Beside each other, as wide as they are. */
  Node across(Node... children) {
    return styled(box(children), "flow", "across");
  }

  /**
   * @param columns in twelfths, such as {@code 8 4}; one below the other on a phone
   */
  Node row(String columns, Node... children) {
    return styled(
        node(Kind.ROW).withChildren(List.of(children)),
        "columns",
        columns,
        "columns@phone",
        "12",
        // Eleven gaps have to fit into the smallest row.
        "column-gap@phone",
        "12px");
  }

  Node column(Node... children) {
    return node(Kind.COLUMN).withChildren(List.of(children));
  }

  Node heading(int level, String words) {
    return words(node(Kind.HEADING), words).withContent("level", new FieldValue.Level(level));
  }

  Node text(String words) {
    return words(node(Kind.TEXT), words);
  }

  Node label(String words) {
    return words(node(Kind.LABEL), words);
  }

  Node button(String words) {
    return words(node(Kind.BUTTON), words).withContent("link", new FieldValue.Link("/"));
  }

  /** The same, leading somewhere else. */
  Node leading(Node button, String link) {
    return button.withContent("link", new FieldValue.Link(link));
  }

  Node logo() {
    return node(Kind.LOGO);
  }

  Node divider() {
    return node(Kind.DIVIDER);
  }

  /**
   * @param icon one of the icons that ship, by its name
   */
  Node icon(String icon) {
    return node(Kind.ICON).withContent("icon", FieldValue.Icon.of(icon));
  }

  Node social() {
    return styled(node(Kind.SOCIAL), "flow", "across", "column-gap", "20px");
  }

  /**
   * @param name the menu that is shown
   */
  Node menu(String name) {
    return styled(
        node(Kind.MENU).withContent("menu", new FieldValue.Menu(name)),
        "flow",
        "across",
        "column-gap",
        "24px");
  }

  /**
   * Words that follow the client or the page.
   *
   * @param said what is bound in braces, such as {@code © {year} {name}}
   */
  Node bound(Node node, String said) {
    StringBuilder text = new StringBuilder();
    List<Mark> marks = new ArrayList<>();
    Matcher bound = BOUND.matcher(said);
    int at = 0;
    while (bound.find()) {
      text.append(said, at, bound.start());
      Bound what = Bound.ofWord(bound.group(1)).orElseThrow();
      marks.add(
          new Mark(
              Mark.Type.BOUND, text.length(), text.length() + what.title().length(), what.word()));
      text.append(what.title());
      at = bound.end();
    }
    text.append(said.substring(at));
    return node.withContent("words", new FieldValue.Words(text.toString(), marks))
        .withSlots(List.of());
  }

  Node picture(String ratio) {
    return styled(
        node(Kind.PICTURE).withContent("picture", FieldValue.Picture.STAND_IN),
        "aspect-ratio",
        ratio,
        "border-radius",
        "{t-radius}");
  }

  /** The picture of the page that an item shows; the card names the page, so it says nothing. */
  Node pictureShown(String ratio) {
    Node picture = picture(ratio);
    return picture
        .withContent("picture", new FieldValue.Picture(PageShown.PICTURE, "", true))
        .withSlots(List.of());
  }

  /** A button that leads to the page that an item shows. */
  Node buttonToShown(String words) {
    Node button = button(words);
    return button
        .withContent("link", new FieldValue.Link(PageShown.LINK))
        .withSlots(List.of("words"));
  }

  /** With words that may well stay as they are. */
  static Node real(Node node) {
    return node.content().get("words") instanceof FieldValue.Words words
        ? node.withContent("words", new FieldValue.Words(words.text(), words.marks()))
        : node;
  }

  private static Node words(Node node, String words) {
    return node.withContent("words", FieldValue.Words.standIn(words));
  }

  /**
   * @param settings style keys and values in turn
   */
  static Node styled(Node node, String... settings) {
    Node styled = node;
    for (int i = 0; i < settings.length; i += 2) {
      styled = styled.withStyle(StyleKey.parse(settings[i]), StyleValue.parse(settings[i + 1]));
    }
    return styled;
  }

  static Node padded(Node node, String padding) {
    return styled(
        node,
        "padding-top",
        padding,
        "padding-right",
        padding,
        "padding-bottom",
        padding,
        "padding-left",
        padding);
  }

  static Node ruled(Node node) {
    return styled(node, "border-top-width", "1px", "border-top-color", "{t-accent}");
  }

  /** A row with a rule above it, as one line of several. */
  static Node ruledLine(Node row) {
    return styled(ruled(row), "padding-top", "20px", "padding-bottom", "20px");
  }

  static Node inStyle(String style, Node node) {
    return node.withNamedStyles(List.of(style));
  }

  static Node inScheme(String scheme, Node node) {
    return node.withScheme(Optional.of(scheme));
  }

  static Node optional(Node node) {
    return node.withOptions(node.options().withOptional(true));
  }

  /** With its words filled once for the whole site. */
  static Node forSite(Node node) {
    return node.withSlots(List.of()).withOptions(node.options().withSiteSlots(List.of("words")));
  }

  /**
   * Another piece, with settings of its own here.
   *
   * @param settings ids of nodes in it, style keys and values in turn
   */
  Node placing(String part, String piece, List<String> settings) {
    Node placed = placing(part, piece);
    Placement changed = placed.placement().orElseThrow();
    for (int i = 0; i < settings.size(); i += 3) {
      StyleKey key = StyleKey.parse(settings.get(i + 1));
      changed =
          changed.with(
              new LocalKey(NodeId.of(settings.get(i)), Aspect.style(key)),
              new LocalValue.StyleIs(Optional.of(StyleValue.parse(settings.get(i + 2)))));
    }
    return placed.withPlacement(changed);
  }

  /** Another piece, which stands here in its first revision. */
  Node placing(String part, String piece) {
    return Node.placing(id(part), "", piece).withPlacement(Placement.of(piece).withBound(1));
  }

  /** Items one below the other. */
  Node list(Node pattern, Node... items) {
    return listed(box(), pattern, items);
  }

  /** Items beside each other, as many in a line as their twelfths allow. */
  Node rowList(String columns, Node pattern, Node... items) {
    return listed(row(columns), pattern, items);
  }

  private Node listed(Node list, Node pattern, Node... items) {
    List<Node> children = new ArrayList<>();
    children.add(node(Kind.PATTERN).withChildren(List.of(pattern)));
    children.addAll(List.of(items));
    return list.withChildren(children);
  }

  /**
   * An item of a list.
   *
   * @param filled short names of the pattern’s parts and their words, in turn
   */
  Node item(String... filled) {
    Node item = Node.item(node(Kind.ITEM).id());
    Placement says = item.placement().orElseThrow();
    for (int i = 0; i < filled.length; i += 2) {
      LocalKey key = new LocalKey(id(filled[i]), Aspect.content("words"));
      LocalValue value = new LocalValue.ContentIs(FieldValue.Words.standIn(filled[i + 1]));
      says = says.with(key, value);
    }
    return item.withPlacement(says);
  }

  /** An item with an icon of its own. */
  Node withIcon(Node item, String part, String icon) {
    LocalKey key = new LocalKey(id(part), Aspect.content("icon"));
    LocalValue value = new LocalValue.ContentIs(FieldValue.Icon.of(icon));
    return item.withPlacement(item.placement().orElseThrow().with(key, value));
  }

  /** A named form of the piece, as what is changed in it. */
  final class Form {
    private final String form;
    private final String name;
    private Placement layer = Placement.of("");

    Form(String form, String name) {
      this.form = form;
      this.name = name;
    }

    private NodeId part(String part) {
      return part.isEmpty() ? NodeId.of(own) : id(part);
    }

    private Form with(NodeId node, Aspect aspect, LocalValue value) {
      layer = layer.with(new LocalKey(node, aspect), value);
      return this;
    }

    /**
     * @param part by its short name; empty for the whole
     */
    Form style(String part, String key, String value) {
      return with(
          part(part),
          Aspect.style(StyleKey.parse(key)),
          new LocalValue.StyleIs(Optional.of(StyleValue.parse(value))));
    }

    Form without(String part) {
      return with(part(part), Aspect.REMOVED, new LocalValue.IsRemoved());
    }

    Form scheme(String scheme) {
      return with(part(""), Aspect.SCHEME, new LocalValue.SchemeIs(Optional.of(scheme)));
    }

    private Variant variant() {
      return new Variant(own + "-" + form, name, layer);
    }
  }

  static Node withForms(Node root, Form... forms) {
    List<Variant> variants = new ArrayList<>();
    for (Form form : forms) {
      variants.add(form.variant());
    }
    return root.withOptions(root.options().withVariants(variants));
  }
}
