package goodbones.library;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Variant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Variants of pieces at a placement. */
public final class Variants {
  private Variants() {}

  /**
   * A placement that has what a variant does as changes of its own, and no longer the variant;
   * nothing that is seen changes.
   *
   * @param shown the revision that it is settled on, with what it chooses
   * @param key of the variant that it picks
   */
  public static Placement spelledOut(Expanded shown, Placement placement, LocalKey key) {
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>(placement.changes());
    LocalValue said = changes.remove(key);
    Optional<Variant> variant =
        Optional.ofNullable(said)
            .flatMap(value -> ((LocalValue.VariantIs) value).variant())
            .flatMap(
                id -> shown.index().node(key.node()).flatMap(root -> root.options().named(id)));
    if (variant.isEmpty()) {
      return placement.withChanges(changes);
    }
    NodeId root = key.node();
    Placement layer = variant.get().layer();
    Placement there = layer.readdressed(root::beside);
    there.changes().forEach(changes::putIfAbsent);
    Map<NodeId, List<NodeId>> order = new TreeMap<>(placement.order());
    there.order().forEach(order::putIfAbsent);
    Placement spelled = baked(placement.withChanges(changes).withOrder(order), root, layer);
    return root.isInside() ? readdressed(spelled, root, layer) : spelled;
  }

  /** What is put in at the placement itself has ids of its own, derived from where it stood. */
  private static Placement readdressed(Placement placement, NodeId root, Placement layer) {
    Map<NodeId, NodeId> own = new HashMap<>();
    for (LocalValue value : layer.changes().values()) {
      if (value instanceof LocalValue.PlacedUnder placed) {
        placed
            .inserted()
            .ifPresent(
                tree ->
                    tree.walk(
                        node ->
                            own.put(
                                root.beside(node.id()),
                                Relocations.unlinked(root.around(), node.id()))));
      }
    }
    Placement there = placement.readdressed(id -> there(id, own));
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>(there.changes());
    changes.replaceAll(
        (key, value) ->
            value instanceof LocalValue.PlacedUnder placed && own.containsValue(key.node())
                ? new LocalValue.PlacedUnder(
                    placed.parent(),
                    placed
                        .inserted()
                        .map(tree -> tree.mapIds(id -> own.getOrDefault(root.beside(id), id))))
                : value);
    return there.withChanges(changes);
  }

  private static NodeId there(NodeId id, Map<NodeId, NodeId> own) {
    for (NodeId at = id; ; at = at.around()) {
      NodeId moved = own.get(at);
      if (moved != null) {
        return at.equals(id) ? moved : id.from(at).within(moved);
      }
      if (!at.isInside()) {
        return id;
      }
    }
  }

  /** What is said of nodes that the variant put in is said in what is put in itself from now on. */
  private static Placement baked(Placement placement, NodeId root, Placement layer) {
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>(placement.changes());
    for (Map.Entry<LocalKey, LocalValue> entry : layer.changes().entrySet()) {
      if (!(entry.getValue() instanceof LocalValue.PlacedUnder placed)
          || placed.inserted().isEmpty()) {
        continue;
      }
      LocalKey key = new LocalKey(root.beside(entry.getKey().node()), entry.getKey().aspect());
      if (changes.get(key) instanceof LocalValue.PlacedUnder here && here.inserted().isPresent()) {
        Node tree = baked(here.inserted().get(), root, changes);
        changes.put(key, new LocalValue.PlacedUnder(here.parent(), Optional.of(tree)));
      }
    }
    return placement.withChanges(changes);
  }

  private static Node baked(Node node, NodeId root, TreeMap<LocalKey, LocalValue> changes) {
    Node now = node;
    NodeId path = root.beside(node.id());
    for (LocalKey key : List.copyOf(changes.keySet())) {
      boolean value = key.aspect().read(node).isPresent() && !key.aspect().isPick();
      if (key.node().equals(path) && value) {
        now = key.aspect().lay(now, changes.remove(key));
      } else if (key.node().isIn(path) && now.placement().isPresent()) {
        LocalKey inside = new LocalKey(key.node().from(path), key.aspect());
        Placement placed = now.placement().get();
        now =
            now.withPlacement(placed.withChange(inside, Optional.ofNullable(changes.remove(key))));
      }
    }
    return now.withChildren(
        now.children().stream().map(child -> baked(child, root, changes)).toList());
  }
}
