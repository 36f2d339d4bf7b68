package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.style.Layer;
import goodbones.style.OwnValues;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What a document shows: its tree with every placement replaced by the revision that it shows,
 * local changes laid on. Nodes that come out of a placement are addressed {@code placement/node},
 * to any depth.
 *
 * @param root the shown tree as it is drawn; it holds no placement
 * @param members the same tree with every placement as a member around what it shows
 * @param origins for every node inside a placement, where it comes from
 */
public record Shown(Node root, Node members, Map<NodeId, Origin> origins) implements OwnValues {
  public Shown {
    origins = Collections.unmodifiableMap(origins);
  }

  /** A piece's own tree, which shows itself. */
  public static Shown of(Node root) {
    return new Shown(root, root, Map.of());
  }

  /**
   * Fills in every placement of a document.
   *
   * @param showing which revisions its own placements show
   * @throws UnknownPiece if a placed piece, or the revision to show, does not exist
   */
  public static Shown of(Node document, Showing showing, Library library) {
    return of(document, showing, library, new Fillings());
  }

  /**
   * Fills in every placement of a document.
   *
   * @param fillings those of the same document that were filled before
   * @throws UnknownPiece if a placed piece, or the revision to show, does not exist
   */
  public static Shown of(Node document, Showing showing, Library library, Fillings fillings) {
    Expanded expanded = Expanded.of(document, showing, library, fillings);
    return new Shown(fillings.drawn(expanded.root()), expanded.root(), expanded.origins());
  }

  /**
   * Something with its placements as members, as it can be taken elsewhere: it shows of a page what
   * it shows here.
   */
  public Optional<Node> taken(NodeId id) {
    Optional<Node> found = members.find(id);
    if (found.isEmpty()) {
      return found;
    }
    Node taken = found.get();
    Optional<Node> around = members.parentOf(id);
    while (around.isPresent()) {
      Optional<String> page = PageShown.of(around.get());
      if (page.isPresent()) {
        taken = PageShown.showing(taken, page.get());
      }
      around = members.parentOf(around.get().id());
    }
    return Optional.of(taken);
  }

  /** The same without the items of lists that show a page which is not to be shown. */
  public Shown withPages(Predicate<String> shown) {
    Node kept = withPages(members, shown);
    return kept == members ? this : new Shown(Members.withoutMembers(kept), kept, origins);
  }

  private static Node withPages(Node node, Predicate<String> shown) {
    List<Node> kept = new ArrayList<>(node.children());
    kept.removeIf(child -> PageShown.of(child).filter(shown.negate()).isPresent());
    Node left = kept.size() == node.children().size() ? node : node.withChildren(kept);
    return Members.mapChildren(left, child -> withPages(child, shown));
  }

  /** Other nodes in the place of these; those that come from here keep their origins. */
  public Shown withRoot(Node other) {
    return new Shown(other, other, origins);
  }

  /**
   * The placement of the document whose local changes hold what is done to a node, by its path: the
   * outermost one that the node stands in, or where another one was inserted into that, this one.
   *
   * @return empty for a node of the document's own tree
   */
  public Optional<NodeId> carrier(NodeId id) {
    return origin(id).map(Shown::carrier);
  }

  private static NodeId carrier(Origin origin) {
    return origin.isOfInserted()
        ? carrier(origin.inner().orElseThrow()).within(origin.placement())
        : origin.placement();
  }

  /** Where a node comes from, as seen from the placement that holds what is done to it. */
  public Optional<Origin> carried(NodeId id) {
    return origin(id).map(Origin::carried);
  }

  /** The key of a local change of a node, as seen from the placement that holds it. */
  public LocalKey key(NodeId id, Aspect aspect) {
    NodeId inside =
        carrier(id)
            .map(path -> NodeId.of(id.value().substring(path.value().length() + 1)))
            .orElse(id);
    return new LocalKey(inside, aspect);
  }

  /** Whether an aspect of a node is changed at the placement that it stands in. */
  public boolean isChanged(NodeId id, Aspect aspect) {
    return carried(id).map(origin -> origin.changed().contains(key(id, aspect))).orElse(false);
  }

  /** How something that is put under a node is addressed once it stands there. */
  public NodeId under(NodeId parent, NodeId fresh) {
    return carrier(parent).map(fresh::within).orElse(fresh);
  }

  /**
   * The placement or item whose only child a node is, and so on outwards; the node itself if it is
   * none.
   */
  public NodeId outward(NodeId id) {
    NodeId at = id;
    Optional<Node> parent = members.parentOf(at);
    while (parent.isPresent() && parent.get().kind().isMember()) {
      at = parent.get().id();
      parent = members.parentOf(at);
    }
    return at;
  }

  public Optional<Origin> origin(NodeId id) {
    return Optional.ofNullable(origins.get(id));
  }

  /**
   * The node's own values for a key, the nearest first: the local change, then those of the pieces
   * around, from the outside in, then the piece's own.
   */
  @Override
  public List<Layer> layers(Node node, StyleKey key) {
    List<Layer> layers = new ArrayList<>();
    Layer.Source source = Layer.Source.LOCAL;
    String label = "";
    Node at = node;
    NodeId local = node.id();
    Optional<Origin> from = origin(node.id());
    boolean own = from.isEmpty();
    while (from.isPresent()) {
      Origin origin = from.get();
      local = local.inner();
      if (origin.libraryNode().isPresent()) {
        LocalKey said = new LocalKey(local, Aspect.style(key));
        if (origin.changed().contains(said)) {
          Layer.Source here = origin.isOfItem() ? Layer.Source.ITEM : source;
          layers.add(new Layer(here, label, Optional.ofNullable(at.styles().get(key))));
        }
        source = Layer.Source.CONTAINER;
        label = origin.isOfItem() ? label : origin.pieceId() + " " + origin.revision();
        at = origin.libraryNode().get();
        if (origin.varied().isPresent()) {
          Varied varied = origin.varied().get();
          if (varied.beneath().isEmpty()) {
            return with(layers, Layer.Source.VARIANT, varied.variant(), at, key);
          }
          if (varied.changed().contains(said)) {
            Optional<StyleValue> value = Optional.ofNullable(at.styles().get(key));
            layers.add(new Layer(Layer.Source.VARIANT, varied.variant(), value));
          }
          at = varied.beneath().get();
        }
      } else if (origin.inner().isEmpty()) {
        return with(layers, source, label, at, key);
      }
      from = origin.inner();
    }
    boolean ofPiece = !own && !label.isEmpty();
    return with(layers, ofPiece ? Layer.Source.PIECE : Layer.Source.OWN, label, at, key);
  }

  private static List<Layer> with(
      List<Layer> layers, Layer.Source source, String label, Node at, StyleKey key) {
    Optional.ofNullable(at.styles().get(key))
        .ifPresent(value -> layers.add(new Layer(source, label, value)));
    return layers;
  }

  @Override
  public Set<StyleProperty> properties(Node node) {
    Set<StyleProperty> properties = EnumSet.noneOf(StyleProperty.class);
    add(node, properties);
    Optional<Origin> from = origin(node.id());
    while (from.isPresent()) {
      from.get().libraryNode().ifPresent(beneath -> add(beneath, properties));
      from.get().varied().flatMap(Varied::beneath).ifPresent(beneath -> add(beneath, properties));
      for (LocalKey local : from.get().changed()) {
        if (local.aspect() instanceof Aspect.Style style) {
          properties.add(style.key().property());
        }
      }
      from = from.get().inner();
    }
    return properties;
  }

  private static void add(Node node, Set<StyleProperty> properties) {
    node.styles().keySet().forEach(key -> properties.add(key.property()));
  }
}
