package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.style.Layer;
import goodbones.style.OwnValues;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a document shows: its tree with every placement replaced by the revision that it shows,
 * local changes laid on. Nodes that come out of a placement are addressed {@code placement/node}.
 *
 * @param root the shown tree; it holds no placement
 * @param origins for every node inside a placement, where it comes from
 */
public record Shown(Node root, Map<NodeId, Origin> origins) implements OwnValues {
  public Shown {
    origins = Map.copyOf(origins);
  }

  /** A piece's own tree, which shows itself. */
  public static Shown of(Node root) {
    return new Shown(root, Map.of());
  }

  /**
   * Fills in every placement of a page.
   *
   * @throws UnknownPiece if a placed piece, or the revision to show, does not exist
   */
  public static Shown of(Node page, Adopted adopted, Library library) {
    return of(page, adopted, library, new Fillings());
  }

  /**
   * Fills in every placement of a page.
   *
   * @param fillings those of the same page that were filled before
   * @throws UnknownPiece if a placed piece, or the revision to show, does not exist
   */
  public static Shown of(Node page, Adopted adopted, Library library, Fillings fillings) {
    Map<NodeId, Origin> origins = new HashMap<>();
    return new Shown(fill(page, adopted, library, fillings, origins), origins);
  }

  private static Node fill(
      Node node, Adopted adopted, Library library, Fillings fillings, Map<NodeId, Origin> origins) {
    if (node.kind() == Kind.PLACEMENT) {
      Placement placement = node.placement().orElseThrow();
      int number = adopted.shownBy(placement);
      Fillings.Filling filling =
          fillings.of(
              node,
              number,
              () -> filled(node.id(), placement, library.revision(placement.pieceId(), number)));
      origins.putAll(filling.origins());
      return filling.shown();
    }
    List<Node> children = new ArrayList<>();
    boolean same = true;
    for (Node child : node.children()) {
      Node filled = fill(child, adopted, library, fillings, origins);
      same &= filled == child;
      children.add(filled);
    }
    return same ? node : node.withChildren(children);
  }

  private static Fillings.Filling filled(
      NodeId placementId, Placement placement, Revision revision) {
    Map<NodeId, Set<LocalKey>> changed = new HashMap<>();
    for (LocalKey key : placement.changes().keySet()) {
      changed.computeIfAbsent(key.node(), id -> new LinkedHashSet<>()).add(key);
    }
    Map<NodeId, Node> library = new HashMap<>();
    revision.root().walk(node -> library.put(node.id(), node));
    Map<NodeId, Origin> origins = new HashMap<>();
    Node shown = Overlay.show(revision.root(), placement);
    shown.walk(
        node ->
            origins.put(
                node.id().within(placementId),
                new Origin(
                    placementId,
                    placement.pieceId(),
                    revision.number(),
                    Optional.ofNullable(library.get(node.id())),
                    Set.copyOf(changed.getOrDefault(node.id(), Set.of())))));
    return new Fillings.Filling(
        revision.number(), shown.mapIds(id -> id.within(placementId)), Map.copyOf(origins));
  }

  public Optional<Origin> origin(NodeId id) {
    return Optional.ofNullable(origins.get(id));
  }

  /** The node's own values for a key, the nearest first: the local change, then the piece's. */
  @Override
  public List<Layer> layers(Node node, StyleKey key) {
    Optional<StyleValue> value = Optional.ofNullable(node.styles().get(key));
    Optional<Origin> origin = origin(node.id());
    if (origin.isEmpty()) {
      return value.map(v -> List.of(new Layer(Layer.Source.OWN, "", v))).orElse(List.of());
    }
    Origin from = origin.get();
    if (from.libraryNode().isEmpty()) {
      return value.map(v -> List.of(new Layer(Layer.Source.LOCAL, "", v))).orElse(List.of());
    }
    String revision = from.pieceId() + " " + from.revision();
    List<Layer> layers = new ArrayList<>();
    LocalKey local = new LocalKey(node.id().inner(), Aspect.style(key));
    if (from.changed().contains(local)) {
      layers.add(new Layer(Layer.Source.LOCAL, "", value));
    }
    Optional.ofNullable(from.libraryNode().get().styles().get(key))
        .ifPresent(v -> layers.add(new Layer(Layer.Source.PIECE, revision, v)));
    return layers;
  }

  @Override
  public Set<StyleProperty> properties(Node node) {
    Set<StyleProperty> properties = EnumSet.noneOf(StyleProperty.class);
    node.styles().keySet().forEach(key -> properties.add(key.property()));
    origin(node.id())
        .ifPresent(
            from -> {
              from.libraryNode()
                  .ifPresent(n -> n.styles().keySet().forEach(k -> properties.add(k.property())));
              for (LocalKey local : from.changed()) {
                if (local.aspect() instanceof Aspect.Style style) {
                  properties.add(style.key().property());
                }
              }
            });
    return properties;
  }
}
