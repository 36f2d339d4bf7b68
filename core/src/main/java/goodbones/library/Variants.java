package goodbones.library;

import goodbones.document.Layer;
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
   * Changes that have what a variant does among them, and no longer the variant; nothing that is
   * seen changes.
   *
   * @param shown the revision as which they are addressed, with what they choose
   * @param key of the variant that they pick
   */
  public static Layer spelledOut(Expanded shown, Layer said, LocalKey key) {
    Layer without = said.without(key);
    Optional<Variant> variant =
        said.at(key)
            .flatMap(value -> ((LocalValue.VariantIs) value).variant())
            .flatMap(
                id -> shown.index().node(key.node()).flatMap(root -> root.options().named(id)));
    if (variant.isEmpty()) {
      return without;
    }
    NodeId root = key.node();
    Layer layer = variant.get().layer().layer();
    Layer there = variant.get().layer().readdressed(root::beside).layer();
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>(without.changes());
    there.changes().forEach(changes::putIfAbsent);
    Map<NodeId, List<NodeId>> order = new TreeMap<>(without.order());
    there.order().forEach(order::putIfAbsent);
    Layer spelled = new Layer(baked(changes, root, layer), new TreeMap<>(order));
    return root.isInside() ? readdressed(spelled, root, layer) : spelled;
  }

  /** What is put in at the placement itself has ids of its own, derived from where it stood. */
  private static Layer readdressed(Layer said, NodeId root, Layer layer) {
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
    Layer there = Placement.of("").saying(said, 0).readdressed(id -> there(id, own)).layer();
    return there.mapped(
        (key, value) ->
            value instanceof LocalValue.PlacedUnder placed && own.containsValue(key.node())
                ? new LocalValue.PlacedUnder(
                    placed.parent(),
                    placed
                        .inserted()
                        .map(tree -> tree.mapIds(id -> own.getOrDefault(root.beside(id), id))))
                : value);
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
  private static TreeMap<LocalKey, LocalValue> baked(
      TreeMap<LocalKey, LocalValue> said, NodeId root, Layer layer) {
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>(said);
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
    return changes;
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
        now = now.withPlacement(now.placement().get().with(inside, changes.remove(key)));
      }
    }
    return now.withChildren(
        now.children().stream().map(child -> baked(child, root, changes)).toList());
  }
}
