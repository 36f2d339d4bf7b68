package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.WeakHashMap;

/** A revision's tree, made quick to ask: nodes and parents by id, values by key. */
public final class RevisionIndex {
  private final Node root;
  private final Map<NodeId, Node> nodes = new HashMap<>();
  private final Map<NodeId, NodeId> parents = new HashMap<>();
  private final Set<LocalKey> slots = new LinkedHashSet<>();
  private final Set<LocalKey> siteSlots = new LinkedHashSet<>();
  private final Set<NodeId> off = new HashSet<>();

  /** Asked again and again for the same few revisions before. */
  private final Map<RevisionIndex, Set<LocalKey>> newSlots =
      Collections.synchronizedMap(new WeakHashMap<>());

  public RevisionIndex(Node root) {
    this.root = root;
    root.walk(
        node -> {
          nodes.put(node.id(), node);
          node.children().forEach(child -> parents.put(child.id(), node.id()));
          if (node.options().off()) {
            off.add(node.id());
          }
          node.slots().forEach(field -> slots.add(key(node, field)));
          node.options().siteSlots().forEach(field -> siteSlots.add(key(node, field)));
        });
  }

  public Node root() {
    return root;
  }

  public boolean has(NodeId id) {
    return nodes.containsKey(id);
  }

  public Optional<Node> node(NodeId id) {
    return Optional.ofNullable(nodes.get(id));
  }

  public Optional<NodeId> parent(NodeId id) {
    return Optional.ofNullable(parents.get(id));
  }

  private static LocalKey key(Node node, String field) {
    return new LocalKey(node.id(), Aspect.content(field));
  }

  /** The fields that each placement fills for itself, in the order of the tree. */
  public Set<LocalKey> slots() {
    return slots;
  }

  /** The slots that were none in an earlier revision. */
  public Set<LocalKey> slotsNewSince(RevisionIndex earlier) {
    return newSlots.computeIfAbsent(
        earlier,
        before -> {
          Set<LocalKey> found = new LinkedHashSet<>();
          for (LocalKey slot : slots) {
            if (!before.isSlot(slot) && !before.isSiteSlot(slot)) {
              found.add(slot);
            }
          }
          return found;
        });
  }

  /** The fields that are filled once for the whole site, in the order of the tree. */
  public Set<LocalKey> siteSlots() {
    return siteSlots;
  }

  /** Whether the revision has a part switched off. */
  public boolean isOff(NodeId id) {
    return off.contains(id);
  }

  /** Says whether a content field is a slot here; false if the node is not in the revision. */
  public boolean isSlot(LocalKey key) {
    return slots.contains(key);
  }

  /** Says whether a content field is filled once for the whole site here. */
  public boolean isSiteSlot(LocalKey key) {
    return siteSlots.contains(key);
  }

  /**
   * What the revision itself says for a key, in the form of a local value.
   *
   * @return empty if the node is not in the revision, or if the key asks whether a node that is
   *     present is removed
   */
  public Optional<LocalValue> value(LocalKey key) {
    Node node = nodes.get(key.node());
    if (node == null) {
      return key.aspect() instanceof Aspect.Removed
          ? Optional.of(new LocalValue.IsRemoved())
          : Optional.empty();
    }
    return key.aspect() instanceof Aspect.Placed
        ? parent(key.node()).map(p -> new LocalValue.PlacedUnder(p, Optional.empty()))
        : key.aspect().read(node);
  }
}
