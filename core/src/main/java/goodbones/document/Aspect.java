package goodbones.document;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What about a node a local change changes. The text form is its key in stored documents.
 *
 * <p>A new aspect is one record here, with what it reads from a node and how it is laid on one.
 * Where a node stands, and whether it stands anywhere, is not in the node but in the tree around
 * it: {@link Removed} and {@link Placed} read nothing and lay nothing on.
 */
public sealed interface Aspect extends Comparable<Aspect> {
  Aspect VISIBILITY = new Visibility();
  Aspect NAMED_STYLES = new NamedStyles();
  Aspect SCHEME = new Scheme();
  Aspect REMOVED = new Removed();
  Aspect PLACED = new Placed();
  Aspect SWITCHED = new Switched();
  Aspect VARIANT = new VariantShown();
  Aspect ITEMS = new Items();

  /** What a node says itself; empty for an aspect of the tree around it. */
  Optional<LocalValue> read(Node node);

  /** The node with a value of this aspect; unchanged if the value is of another one. */
  Node lay(Node node, LocalValue value);

  /** One content field. */
  record Content(String field) implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return Optional.of(new LocalValue.ContentIs(Optional.ofNullable(node.content().get(field))));
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return value instanceof LocalValue.ContentIs is ? node.withContent(field, is.value()) : node;
    }

    @Override
    public String toString() {
      return "content " + field;
    }
  }

  /** One style key. */
  record Style(StyleKey key) implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return Optional.of(new LocalValue.StyleIs(Optional.ofNullable(node.styles().get(key))));
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return value instanceof LocalValue.StyleIs is ? node.withStyle(key, is.value()) : node;
    }

    @Override
    public String toString() {
      return "style " + key;
    }
  }

  /** The devices on which the node is hidden, together. */
  record Visibility() implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return Optional.of(new LocalValue.HiddenOn(node.hiddenOn()));
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return value instanceof LocalValue.HiddenOn is ? node.withHiddenOn(is.devices()) : node;
    }

    @Override
    public String toString() {
      return "visibility";
    }
  }

  /** The list of named styles, together. */
  record NamedStyles() implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return Optional.of(new LocalValue.NamedStylesAre(node.namedStyles()));
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return value instanceof LocalValue.NamedStylesAre is ? node.withNamedStyles(is.ids()) : node;
    }

    @Override
    public String toString() {
      return "named-styles";
    }
  }

  /** The colour scheme that a section takes. */
  record Scheme() implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return Optional.of(new LocalValue.SchemeIs(node.scheme()));
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return value instanceof LocalValue.SchemeIs is ? node.withScheme(is.scheme()) : node;
    }

    @Override
    public String toString() {
      return "scheme";
    }
  }

  /** The node is not shown here, nor anything below it. */
  record Removed() implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return Optional.empty();
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return node;
    }

    @Override
    public String toString() {
      return "removed";
    }
  }

  /** The node stands under a parent of the placement's choosing: a move, or an insert. */
  record Placed() implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return Optional.empty();
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return node;
    }

    @Override
    public String toString() {
      return "placed";
    }
  }

  /** Whether an optional part is shown. */
  record Switched() implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return Optional.of(new LocalValue.SwitchedIs(!node.options().off()));
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return value instanceof LocalValue.SwitchedIs is
          ? node.withOptions(node.options().withOff(!is.on()))
          : node;
    }

    @Override
    public String toString() {
      return "switched";
    }
  }

  /**
   * Which of its piece's variants an outermost node has. It is chosen before the piece is expanded,
   * so nothing is laid on.
   */
  record VariantShown() implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return Optional.of(new LocalValue.VariantIs(node.options().variant()));
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return node;
    }

    @Override
    public String toString() {
      return "variant";
    }
  }

  /** The items of a list, in order. They are made when it is expanded, so nothing is laid on. */
  record Items() implements Aspect {
    @Override
    public Optional<LocalValue> read(Node node) {
      return node.isList() ? Optional.of(LocalValue.ItemsAre.of(node)) : Optional.empty();
    }

    @Override
    public Node lay(Node node, LocalValue value) {
      return node;
    }

    @Override
    public String toString() {
      return "items";
    }
  }

  /** Whether it decides what there is to expand, and is not laid on what was expanded. */
  default boolean isPick() {
    return this instanceof VariantShown || this instanceof Items;
  }

  static Aspect style(StyleKey key) {
    return new Style(key);
  }

  static Aspect content(String field) {
    return new Content(field);
  }

  /**
   * @throws IllegalArgumentException if the text is no aspect
   */
  static Aspect parse(String text) {
    if (text.startsWith("content ")) {
      return new Content(text.substring(8));
    }
    if (text.startsWith("style ")) {
      return new Style(StyleKey.parse(text.substring(6)));
    }
    return switch (text) {
      case "visibility" -> VISIBILITY;
      case "named-styles" -> NAMED_STYLES;
      case "scheme" -> SCHEME;
      case "removed" -> REMOVED;
      case "placed" -> PLACED;
      case "switched" -> SWITCHED;
      case "variant" -> VARIANT;
      case "items" -> ITEMS;
      default -> throw new IllegalArgumentException("“" + text + "” is not an aspect of a node");
    };
  }

  /** Content comes first, then styles, then the others by their names. */
  @Override
  default int compareTo(Aspect other) {
    if (this instanceof Content content && other instanceof Content its) {
      return content.field().compareTo(its.field());
    } else if (this instanceof Style style && other instanceof Style its) {
      return style.key().compareTo(its.key());
    }
    int byRank = Integer.compare(rank(this), rank(other));
    return byRank != 0 ? byRank : toString().compareTo(other.toString());
  }

  private static int rank(Aspect aspect) {
    return aspect instanceof Content ? 0 : aspect instanceof Style ? 1 : 2;
  }

  /** The aspects of which a node says something: all that it can have, but only the keys it has. */
  static Set<Aspect> of(Node node) {
    Set<Aspect> aspects = new TreeSet<>(List.of(VISIBILITY, NAMED_STYLES, SCHEME, SWITCHED));
    node.content().keySet().forEach(field -> aspects.add(content(field)));
    node.styles().keySet().forEach(key -> aspects.add(style(key)));
    return aspects;
  }
}
