package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Overlay;
import goodbones.library.RevisionIndex;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * Breaks loops of parents that the library and a placement make together, so that the placement's
 * moves hold: what the library moved onto the loop goes to the nearest place that can hold it and
 * is off the loop. First that is where it stood before, and around that; then, where all of this is
 * gone, where the library now has the nodes of the loop.
 */
final class LoopBreaking {
  private final RevisionIndex revision;
  private final Placement placement;
  private final Map<NodeId, NodeId> parentsBefore;
  private final Map<NodeId, Node> inserted = new HashMap<>();
  private final SortedMap<LocalKey, LocalValue> changes;

  private LoopBreaking(
      RevisionIndex revision, Placement placement, Map<NodeId, NodeId> parentsBefore) {
    this.revision = revision;
    this.placement = placement;
    this.parentsBefore = parentsBefore;
    this.changes = new TreeMap<>(placement.changes());
    for (LocalValue value : changes.values()) {
      if (value instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(tree -> tree.walk(node -> inserted.put(node.id(), node)));
      }
    }
  }

  /**
   * @param revision the newer revision
   * @param placement with the changes that hold
   * @param parentsBefore child to parent as it was shown before
   * @return its changes, with further ones that break the loops; a loop that nothing can break,
   *     because no place can hold any of its nodes, stays
   */
  static SortedMap<LocalKey, LocalValue> of(
      RevisionIndex revision, Placement placement, Map<NodeId, NodeId> parentsBefore) {
    return new LoopBreaking(revision, placement, parentsBefore).run();
  }

  private SortedMap<LocalKey, LocalValue> run() {
    boolean broken = true;
    while (broken) {
      broken = false;
      Set<NodeId> looping =
          new TreeSet<>(Overlay.loops(revision.root(), placement.withChanges(changes)));
      for (NodeId id : looping) {
        LocalKey key = new LocalKey(id, Aspect.PLACED);
        boolean movedByLibrary =
            !changes.containsKey(key)
                && !Optional.ofNullable(parentsBefore.get(id)).equals(revision.parent(id));
        Optional<NodeId> home = movedByLibrary ? home(id, looping) : Optional.empty();
        if (home.isPresent()) {
          changes.put(key, new LocalValue.PlacedUnder(home.get(), Optional.empty()));
          broken = true;
        }
      }
    }
    return changes;
  }

  private Optional<NodeId> home(NodeId id, Set<NodeId> looping) {
    Set<NodeId> candidates = new LinkedHashSet<>();
    climb(id, at -> Optional.ofNullable(parentsBefore.get(at)), candidates);
    for (NodeId at : looping) {
      climb(at, revision::parent, candidates);
    }
    return candidates.stream()
        .filter(at -> !looping.contains(at) && mayHold(at, id) && !isBelow(at, looping))
        .findFirst();
  }

  private static void climb(
      NodeId from, Function<NodeId, Optional<NodeId>> parents, Set<NodeId> into) {
    Optional<NodeId> at = parents.apply(from);
    while (at.isPresent() && into.add(at.get())) {
      at = parents.apply(at.get());
    }
  }

  private boolean mayHold(NodeId parent, NodeId child) {
    Optional<Node> holds = node(parent);
    Optional<Node> held = node(child);
    return holds.isPresent()
        && held.isPresent()
        && Catalogue.mayHold(holds.get().kind(), held.get().standsAs());
  }

  private Optional<Node> node(NodeId id) {
    return revision.node(id).or(() -> Optional.ofNullable(inserted.get(id)));
  }

  /** Whether a place hangs on the loop itself. */
  private boolean isBelow(NodeId id, Set<NodeId> looping) {
    Map<NodeId, NodeId> parents = Overlay.parents(revision.root(), placement.withChanges(changes));
    Set<NodeId> above = new LinkedHashSet<>();
    climb(id, at -> Optional.ofNullable(parents.get(at)), above);
    return above.stream().anyMatch(looping::contains);
  }
}
