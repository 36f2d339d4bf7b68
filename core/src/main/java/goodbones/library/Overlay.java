package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Lays the local changes of a placement on a revision as which they are addressed.
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
  private final RevisionIndex revision;
  private final Layer layer;
  private final Standing standing;
  private final Set<NodeId> removed = new HashSet<>();
  private final Map<NodeId, List<NodeId>> placed = new HashMap<>();
  private final Set<NodeId> inLoop;
  private final Set<NodeId> touched = new HashSet<>();

  public Overlay(RevisionIndex revision, Layer layer) {
    this(revision, layer, new Standing(revision, layer.changes()));
  }

  /**
   * @param standing where everything stands under the placement
   */
  public Overlay(RevisionIndex revision, Layer layer, Standing standing) {
    this.revision = revision;
    this.layer = layer;
    this.standing = standing;
    this.inLoop = standing.loops();
    standing
        .placedUnder()
        .forEach(
            (child, parent) -> {
              if (!inLoop.contains(child)) {
                placed.computeIfAbsent(parent, p -> new ArrayList<>()).add(child);
                touch(parent);
              }
            });
    layer.changes().forEach(this::read);
  }

  private void read(LocalKey key, LocalValue value) {
    if (value instanceof LocalValue.IsRemoved && !key.node().equals(revision.root().id())) {
      removed.add(key.node());
    }
    touch(key.node());
    if (value instanceof LocalValue.PlacedUnder under) {
      // An insert may bring something along that is there already.
      under.inserted().ifPresent(tree -> tree.walk(node -> touch(node.id())));
    }
  }

  /** What stands around something that changes is built anew. */
  private void touch(NodeId id) {
    Optional<NodeId> at = Optional.of(id);
    while (at.isPresent() && touched.add(at.get())) {
      at = revision.parent(at.get());
    }
  }

  /**
   * The revision's tree as this placement shows it. Subtrees that nothing is said about stay the
   * same objects.
   */
  public static Node show(RevisionIndex revision, Layer layer) {
    return layer.changes().isEmpty()
        ? revision.root()
        : new Overlay(revision, layer).new Building().build(revision.root());
  }

  /**
   * A node with all below it as this placement shows it; only that is built.
   *
   * @return empty if it is not shown
   */
  public Optional<Node> shown(NodeId id) {
    return isShown(id)
        ? standing.node(id).map(node -> new Building().build(node))
        : Optional.empty();
  }

  private boolean isShown(NodeId id) {
    NodeId outermost = id;
    for (NodeId at : standing.upwards(id)) {
      if (removed.contains(at) || inLoop.contains(at)) {
        return false;
      }
      outermost = at;
    }
    return outermost.equals(revision.root().id());
  }

  private boolean isMovedAway(NodeId id) {
    return standing.placedUnder().containsKey(id) && !inLoop.contains(id);
  }

  /** Every id is shown once, also where an insert brings one along that is there already. */
  private final class Building {
    private final Set<NodeId> built = new HashSet<>();

    Node build(Node node) {
      if (revision.has(node.id()) && !touched.contains(node.id())) {
        return node;
      }
      built.add(node.id());
      Node valued = values(node);
      List<Node> shown = new ArrayList<>(node.children().size());
      for (NodeId id : children(node)) {
        if (!removed.contains(id) && !built.contains(id)) {
          shown.add(build(standing.node(id).orElseThrow()));
        }
      }
      return sameObjects(shown, node.children()) ? valued : valued.withChildren(shown);
    }
  }

  private List<NodeId> children(Node parent) {
    List<NodeId> ids = new ArrayList<>(parent.children().size());
    for (Node child : parent.children()) {
      if (!isMovedAway(child.id())) {
        ids.add(child.id());
      }
    }
    List<NodeId> here = placed.getOrDefault(parent.id(), List.of());
    if (here.isEmpty()) {
      return ids;
    }
    List<NodeId> wanted = new ArrayList<>(layer.order().getOrDefault(parent.id(), List.of()));
    here.stream().filter(id -> !wanted.contains(id)).forEach(wanted::add);
    for (int i = 0; i < wanted.size(); i++) {
      if (here.contains(wanted.get(i))) {
        ids.add(positionAfterPredecessor(wanted, i, ids), wanted.get(i));
      }
    }
    return ids;
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
    for (Map.Entry<LocalKey, LocalValue> entry : layer.changes().tailMap(from).entrySet()) {
      if (!entry.getKey().node().equals(node.id())) {
        break;
      }
      shown = entry.getKey().aspect().lay(shown, entry.getValue());
    }
    return shown;
  }
}
