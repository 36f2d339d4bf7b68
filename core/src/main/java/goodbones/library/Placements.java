package goodbones.library;

import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Variant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;

/**
 * The placements of a stored document: those in its tree, and those in what was inserted at a
 * placement. What stands in the pieces that they show is not among them.
 *
 * <p>An inserted one is addressed by its path, {@code placement/inserted}.
 */
public final class Placements {
  private Placements() {}

  /** Every placement by its path, in the order of the tree. */
  public static Map<NodeId, Placement> of(Node document) {
    Map<NodeId, Placement> found = new LinkedHashMap<>();
    mapped(
        document,
        (path, placement) -> {
          found.put(path, placement);
          return placement;
        });
    return found;
  }

  /**
   * The document with other placements in the places of its own; what is inserted at one comes
   * after it, as it is then. Subtrees in which nothing changes stay the same objects.
   */
  public static Node mapped(Node document, BiFunction<NodeId, Placement, Placement> change) {
    return mapped(document, Optional.empty(), change);
  }

  /** The document with some of its placements replaced, by their paths. */
  public static Node replaced(Node document, Map<NodeId, Placement> others) {
    return others.isEmpty()
        ? document
        : mapped(document, (path, placement) -> others.getOrDefault(path, placement));
  }

  private static Node mapped(
      Node node, Optional<NodeId> around, BiFunction<NodeId, Placement, Placement> change) {
    Node mapped =
        varied(Members.mapChildren(node, child -> mapped(child, around, change)), around, change);
    if (node.placement().isEmpty()) {
      return mapped;
    }
    Placement before = node.placement().get();
    NodeId path = around.map(node.id()::within).orElse(node.id());
    Placement own = node.kind() == Kind.PLACEMENT ? change.apply(path, before) : before;
    Placement after = withInserts(own, tree -> mapped(tree, Optional.of(path), change));
    return after.equals(before) ? mapped : mapped.withPlacement(after);
  }

  /** Named forms put placements in too. */
  private static Node varied(
      Node node, Optional<NodeId> around, BiFunction<NodeId, Placement, Placement> change) {
    if (node.options().variants().isEmpty()) {
      return node;
    }
    List<Variant> variants =
        node.options().variants().stream()
            .map(
                variant ->
                    variant.withLayer(
                        withInserts(variant.layer(), tree -> mapped(tree, around, change))))
            .toList();
    return variants.equals(node.options().variants())
        ? node
        : node.withOptions(node.options().withVariants(variants));
  }

  /** A placement with its inserted trees changed; the same object if none of them changes. */
  static Placement withInserts(Placement placement, UnaryOperator<Node> change) {
    return placement.mapped((key, value) -> Optional.of(withInsert(value, change)));
  }

  /** Changes with their inserted trees changed. */
  static Layer withInserts(Layer layer, UnaryOperator<Node> change) {
    return layer.mapped((key, value) -> withInsert(value, change));
  }

  private static LocalValue withInsert(LocalValue value, UnaryOperator<Node> change) {
    if (value instanceof LocalValue.PlacedUnder placed && placed.inserted().isPresent()) {
      Node before = placed.inserted().get();
      Node after = change.apply(before);
      return after == before
          ? value
          : new LocalValue.PlacedUnder(placed.parent(), Optional.of(after));
    }
    return value;
  }
}
