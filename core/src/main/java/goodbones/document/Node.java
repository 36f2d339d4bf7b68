package goodbones.document;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * A node of a document: a value, never changed in place.
 *
 * @param content field key to value
 * @param styles the node's own style values
 * @param namedStyles ids of named styles; the last one named wins
 * @param scheme the id of the colour scheme that everything inside takes; only a section has one
 * @param hiddenOn devices on which the node is not shown
 * @param slots keys of the fields that a placement fills for itself
 * @param options what about it a placement may choose
 * @param placement what is placed here, or what an item says for itself; present exactly when the
 *     kind is {@link Kind#PLACEMENT} or {@link Kind#ITEM}
 */
public record Node(
    NodeId id,
    Kind kind,
    String name,
    SortedMap<String, FieldValue> content,
    SortedMap<StyleKey, StyleValue> styles,
    List<String> namedStyles,
    Optional<String> scheme,
    Set<Device> hiddenOn,
    SortedSet<String> slots,
    Options options,
    Optional<Placement> placement,
    List<Node> children) {

  public Node {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(kind, "kind");
    Objects.requireNonNull(name, "name");
    content = Sorted.map(content);
    styles = Sorted.map(styles);
    namedStyles = List.copyOf(namedStyles);
    Objects.requireNonNull(scheme, "scheme");
    hiddenOn = Sorted.devices(hiddenOn);
    slots = Sorted.set(slots);
    // Documents that were kept before have none.
    options = options == null ? Options.NONE : options;
    Objects.requireNonNull(placement, "placement");
    children = List.copyOf(children);
  }

  /** A new node of a kind, with the catalogue's default slots. */
  public static Node of(NodeId id, Kind kind, String name) {
    return new Node(
        id,
        kind,
        name,
        Collections.emptySortedMap(),
        Collections.emptySortedMap(),
        List.of(),
        Optional.empty(),
        Set.of(),
        Catalogue.defaultSlots(kind),
        Options.NONE,
        Optional.empty(),
        List.of());
  }

  /** An item of a list that says nothing for itself yet. */
  public static Node item(NodeId id) {
    return of(id, Kind.ITEM, "").withPlacement(Placement.of(""));
  }

  /** A placement of a piece that follows the library and changes nothing. */
  public static Node placing(NodeId id, String name, String pieceId) {
    return of(id, Kind.PLACEMENT, name).withPlacement(Placement.of(pieceId));
  }

  public Node withId(NodeId newId) {
    return with(parts -> parts.id = newId);
  }

  public Node withName(String newName) {
    return with(parts -> parts.name = newName);
  }

  public Node withContent(String field, FieldValue value) {
    return withContent(Sorted.with(content, field, value));
  }

  public Node withContent(String field, Optional<FieldValue> value) {
    return value
        .map(v -> withContent(field, v))
        .orElseGet(() -> withContent(Sorted.without(content, field)));
  }

  public Node withContent(SortedMap<String, FieldValue> newContent) {
    return with(parts -> parts.content = newContent);
  }

  public Node withStyle(StyleKey key, StyleValue value) {
    return withStyles(Sorted.with(styles, key, value));
  }

  public Node withStyle(StyleKey key, Optional<StyleValue> value) {
    return value
        .map(v -> withStyle(key, v))
        .orElseGet(() -> withStyles(Sorted.without(styles, key)));
  }

  public Node withStyles(SortedMap<StyleKey, StyleValue> newStyles) {
    return with(parts -> parts.styles = newStyles);
  }

  public Node withNamedStyles(List<String> newNamedStyles) {
    return with(parts -> parts.namedStyles = newNamedStyles);
  }

  public Node withScheme(Optional<String> newScheme) {
    return with(parts -> parts.scheme = newScheme);
  }

  public Node withHiddenOn(Collection<Device> devices) {
    return with(parts -> parts.hiddenOn = Sorted.devices(devices));
  }

  public Node withSlots(Collection<String> newSlots) {
    return with(parts -> parts.slots = Sorted.set(newSlots));
  }

  public Node withOptions(Options newOptions) {
    return with(parts -> parts.options = newOptions);
  }

  public Node withPlacement(Placement newPlacement) {
    return with(parts -> parts.placement = Optional.of(newPlacement));
  }

  public Node withChildren(List<Node> newChildren) {
    return with(parts -> parts.children = newChildren);
  }

  private Node with(Consumer<Parts> change) {
    Parts parts = new Parts(this);
    change.accept(parts);
    return parts.node();
  }

  /** The parts of a node that a copy can differ in. */
  private static final class Parts {
    private final Kind kind;
    private NodeId id;
    private String name;
    private SortedMap<String, FieldValue> content;
    private SortedMap<StyleKey, StyleValue> styles;
    private List<String> namedStyles;
    private Optional<String> scheme;
    private Set<Device> hiddenOn;
    private SortedSet<String> slots;
    private Options options;
    private Optional<Placement> placement;
    private List<Node> children;

    Parts(Node node) {
      kind = node.kind;
      id = node.id;
      name = node.name;
      content = node.content;
      styles = node.styles;
      namedStyles = node.namedStyles;
      scheme = node.scheme;
      hiddenOn = node.hiddenOn;
      slots = node.slots;
      options = node.options;
      placement = node.placement;
      children = node.children;
    }

    Node node() {
      return new Node(
          id,
          kind,
          name,
          content,
          styles,
          namedStyles,
          scheme,
          hiddenOn,
          slots,
          options,
          placement,
          children);
    }
  }

  /** Visits this node and everything below it, parents before children, siblings in order. */
  public void walk(Consumer<Node> visitor) {
    visitor.accept(this);
    for (Node child : children) {
      child.walk(visitor);
    }
  }

  /**
   * The innermost of the nodes of which something is so, in reading order.
   *
   * @param isSo of a node with all below it: so of a node is so of those around it
   */
  public Optional<Node> innermost(Predicate<Node> isSo) {
    if (!isSo.test(this)) {
      return Optional.empty();
    }
    for (Node child : children) {
      Optional<Node> inside = child.innermost(isSo);
      if (inside.isPresent()) {
        return inside;
      }
    }
    return Optional.of(this);
  }

  /** Whether a line from here downwards has more nodes than that, this one included. */
  public boolean isDeeperThan(int levels) {
    if (levels <= 0) {
      return true;
    }
    for (Node child : children) {
      if (child.isDeeperThan(levels - 1)) {
        return true;
      }
    }
    return false;
  }

  /** This node and everything below it, in the order of {@link #walk}. */
  public List<Node> all() {
    List<Node> nodes = new ArrayList<>();
    walk(nodes::add);
    return nodes;
  }

  /** How many nodes this is with everything below it. */
  public int size() {
    return 1 + children.stream().mapToInt(Node::size).sum();
  }

  public Optional<Node> find(NodeId wanted) {
    if (id.equals(wanted)) {
      return Optional.of(this);
    }
    for (Node child : children) {
      Optional<Node> found = child.find(wanted);
      if (found.isPresent()) {
        return found;
      }
    }
    return Optional.empty();
  }

  public Optional<Node> parentOf(NodeId wanted) {
    for (Node child : children) {
      if (child.id.equals(wanted)) {
        return Optional.of(this);
      }
      Optional<Node> found = child.parentOf(wanted);
      if (found.isPresent()) {
        return found;
      }
    }
    return Optional.empty();
  }

  /** The position of a child, or -1. */
  public int indexOf(NodeId childId) {
    for (int i = 0; i < children.size(); i++) {
      if (children.get(i).id.equals(childId)) {
        return i;
      }
    }
    return -1;
  }

  /**
   * A copy in which one node is changed; only its ancestors are rebuilt, all other subtrees stay
   * the same objects.
   *
   * @return this very node if the wanted one is not in it
   */
  public Node change(NodeId wanted, UnaryOperator<Node> change) {
    if (id.equals(wanted)) {
      return change.apply(this);
    }
    for (int i = 0; i < children.size(); i++) {
      Node before = children.get(i);
      Node after = before.change(wanted, change);
      if (after != before) {
        List<Node> copy = new ArrayList<>(children);
        copy.set(i, after);
        return withChildren(copy);
      }
    }
    return this;
  }

  /** A copy of the whole subtree with every id translated. */
  public Node mapIds(UnaryOperator<NodeId> translate) {
    List<Node> mapped = new ArrayList<>(children.size());
    for (Node child : children) {
      mapped.add(child.mapIds(translate));
    }
    return with(
        parts -> {
          parts.id = translate.apply(id);
          parts.children = mapped;
        });
  }

  /**
   * What it stands as among others: its kind, or, where it is a placement or an item of which it is
   * known what it shows, that of what it shows.
   */
  public Kind standsAs() {
    return kind.isMember() && !children.isEmpty() ? children.get(0).standsAs() : kind;
  }

  /** Whether it is a list of like items; its pattern stands first in it. */
  public boolean isList() {
    return !children.isEmpty() && children.get(0).kind == Kind.PATTERN;
  }

  /** The name for messages: the kind, and the node's own name or words where it has one. */
  public String title() {
    if (!name.isBlank()) {
      return name;
    }
    return kind.title();
  }
}
