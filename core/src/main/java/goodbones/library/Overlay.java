package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;

/**
 * Lays the local changes of a placement on a revision.
 *
 * <p>The revision is an expanded tree: what stands in it as a placement is a member with what it
 * shows below it, and a change may be aimed at any node at any depth, by its path.
 *
 * <p>Values are laid on by key: a local desktop size leaves the revision's phone size alone.
 * Structure: under each parent stand the library's own children in its order, then the locally
 * placed ones, each right after its nearest predecessor in the parent's {@code order} that is
 * present. A change whose node or parent is not in the revision has no effect.
 *
 * <p>The result depends only on the set of changes. The revision is not modified.
 */
public final class Overlay {
  private final Node revision;
  private final Placement placement;
  private final Map<NodeId, Node> nodes = new HashMap<>();
  private final Set<NodeId> removed = new HashSet<>();
  private final Map<NodeId, NodeId> placedUnder = new TreeMap<>();
  private final Set<NodeId> inLoop;
  private final Set<NodeId> built = new HashSet<>();

  private Overlay(Node revision, Placement placement) {
    this.revision = revision;
    this.placement = placement;
    revision.walk(node -> nodes.put(node.id(), node));
    Map<NodeId, Node> inserts = new HashMap<>();
    placement
        .changes()
        .forEach(
            (key, value) -> {
              if (value instanceof LocalValue.PlacedUnder placed && placed.inserted().isPresent()) {
                placed.inserted().get().walk(node -> inserts.putIfAbsent(node.id(), node));
              }
            });
    inserts.forEach(nodes::putIfAbsent);
    placement.changes().forEach(this::readStructure);
    this.inLoop = loops();
  }

  /** The revision's tree as this placement shows it. */
  public static Node show(Node revision, Placement placement) {
    if (placement.changes().isEmpty()) {
      return revision;
    }
    Overlay overlay = new Overlay(revision, placement);
    return overlay.build(overlay.revision);
  }

  /**
   * The nodes that local moves and the revision together make their own ancestors; such moves have
   * no effect on what is shown.
   *
   * @return the looping nodes, or an empty set
   */
  public static Set<NodeId> loops(Node revision, Placement placement) {
    return new Overlay(revision, placement).inLoop;
  }

  /**
   * The parent of every node as this placement shows it, removed subtrees included.
   *
   * @return child to parent, without the root
   */
  public static Map<NodeId, NodeId> parents(Node revision, Placement placement) {
    Overlay overlay = new Overlay(revision, placement);
    return overlay.effectiveParents();
  }

  private void readStructure(LocalKey key, LocalValue value) {
    if (value instanceof LocalValue.IsRemoved && !key.node().equals(revision.id())) {
      removed.add(key.node());
    } else if (value instanceof LocalValue.PlacedUnder placed
        && nodes.containsKey(placed.parent())
        && nodes.containsKey(key.node())) {
      placedUnder.put(key.node(), placed.parent());
    }
  }

  private Map<NodeId, NodeId> effectiveParents() {
    Map<NodeId, NodeId> parents = new HashMap<>();
    nodes.values().forEach(node -> node.children().forEach(c -> parents.put(c.id(), node.id())));
    parents.putAll(placedUnder);
    return parents;
  }

  private Set<NodeId> loops() {
    Map<NodeId, NodeId> parents = effectiveParents();
    Set<NodeId> looping = new HashSet<>();
    for (NodeId start : placedUnder.keySet()) {
      Set<NodeId> path = new LinkedHashSet<>();
      NodeId at = start;
      while (at != null && path.add(at)) {
        at = parents.get(at);
      }
      if (start.equals(at)) {
        looping.addAll(path);
      }
    }
    return looping;
  }

  private boolean isMovedAway(NodeId id) {
    return placedUnder.containsKey(id) && !inLoop.contains(id);
  }

  /** Every id is shown once, also where an insert brings one along that is there already. */
  private Node build(Node node) {
    built.add(node.id());
    Node valued = values(node);
    List<Node> children = children(node);
    return sameObjects(children, node.children()) ? valued : valued.withChildren(children);
  }

  private List<Node> children(Node parent) {
    List<NodeId> ids = new ArrayList<>();
    for (Node child : parent.children()) {
      if (!isMovedAway(child.id())) {
        ids.add(child.id());
      }
    }
    List<NodeId> wanted = new ArrayList<>(placement.order().getOrDefault(parent.id(), List.of()));
    List<NodeId> placed =
        placedUnder.entrySet().stream()
            .filter(e -> e.getValue().equals(parent.id()) && isMovedAway(e.getKey()))
            .map(Map.Entry::getKey)
            .toList();
    placed.stream().filter(id -> !wanted.contains(id)).forEach(wanted::add);
    for (int i = 0; i < wanted.size(); i++) {
      if (placed.contains(wanted.get(i))) {
        ids.add(positionAfterPredecessor(wanted, i, ids), wanted.get(i));
      }
    }
    List<Node> shown = new ArrayList<>();
    for (NodeId id : ids) {
      if (!removed.contains(id) && !built.contains(id)) {
        shown.add(build(Objects.requireNonNull(nodes.get(id))));
      }
    }
    return shown;
  }

  private static boolean sameObjects(List<Node> some, List<Node> others) {
    if (some.size() != others.size()) {
      return false;
    }
    for (int i = 0; i < some.size(); i++) {
      if (some.get(i) != others.get(i)) {
        return false;
      }
    }
    return true;
  }

  private static int positionAfterPredecessor(List<NodeId> wanted, int i, List<NodeId> present) {
    for (int j = i - 1; j >= 0; j--) {
      int at = present.indexOf(wanted.get(j));
      if (at >= 0) {
        return at + 1;
      }
    }
    return 0;
  }

  private Node values(Node node) {
    Node shown = node;
    LocalKey from = new LocalKey(node.id(), Aspect.content(""));
    for (Map.Entry<LocalKey, LocalValue> entry : placement.changes().tailMap(from).entrySet()) {
      if (!entry.getKey().node().equals(node.id())) {
        break;
      }
      shown = entry.getKey().aspect().lay(shown, entry.getValue());
    }
    return shown;
  }
}
