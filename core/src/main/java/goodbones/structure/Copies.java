package goodbones.structure;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/** Copies of nodes: every id new, every reference kept. The originals are not modified. */
public final class Copies {
  private Copies() {}

  /**
   * @param ids gives an id that was never used
   */
  public static Node of(Node node, Supplier<NodeId> ids) {
    Node copy =
        node.withId(ids.get())
            .withChildren(node.children().stream().map(child -> of(child, ids)).toList());
    return node.placement().map(p -> copy.withPlacement(placement(p, ids))).orElse(copy);
  }

  /** What is inserted at a placement belongs to it; a copy has inserts of its own. */
  private static Placement placement(Placement placement, Supplier<NodeId> ids) {
    Map<NodeId, NodeId> fresh = new HashMap<>();
    placement
        .changes()
        .values()
        .forEach(
            value ->
                inserted(value).ifPresent(node -> node.walk(n -> fresh.put(n.id(), ids.get()))));
    UnaryOperator<NodeId> translate = id -> fresh.getOrDefault(id, id);
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>();
    placement
        .changes()
        .forEach(
            (key, value) ->
                changes.put(
                    new LocalKey(translate.apply(key.node()), key.aspect()),
                    value(value, translate)));
    TreeMap<NodeId, List<NodeId>> order = new TreeMap<>();
    placement
        .order()
        .forEach(
            (parent, children) ->
                order.put(translate.apply(parent), children.stream().map(translate).toList()));
    return placement.withChanges(changes).withOrder(order);
  }

  private static Optional<Node> inserted(LocalValue value) {
    return value instanceof LocalValue.PlacedUnder placed ? placed.inserted() : Optional.empty();
  }

  private static LocalValue value(LocalValue value, UnaryOperator<NodeId> translate) {
    return value instanceof LocalValue.PlacedUnder placed
        ? new LocalValue.PlacedUnder(
            translate.apply(placed.parent()), placed.inserted().map(n -> n.mapIds(translate)))
        : value;
  }
}
