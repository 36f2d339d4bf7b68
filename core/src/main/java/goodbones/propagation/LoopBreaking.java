package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.RevisionIndex;
import goodbones.library.Standing;
import java.util.LinkedHashSet;
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
  private final Standing before;
  private final SortedMap<LocalKey, LocalValue> changes;

  private LoopBreaking(
      RevisionIndex revision, SortedMap<LocalKey, LocalValue> changes, Standing before) {
    this.revision = revision;
    this.before = before;
    this.changes = new TreeMap<>(changes);
  }

  /**
   * @param revision the newer revision
   * @param changes those of the placement that hold
   * @param before where everything stood before
   * @return the changes, with further ones that break the loops; a loop that nothing can break,
   *     because no place can hold any of its nodes, stays
   */
  static SortedMap<LocalKey, LocalValue> of(
      RevisionIndex revision, SortedMap<LocalKey, LocalValue> changes, Standing before) {
    return new Standing(revision, changes).loops().isEmpty()
        ? changes
        : new LoopBreaking(revision, changes, before).run();
  }

  private SortedMap<LocalKey, LocalValue> run() {
    boolean broken = true;
    while (broken) {
      broken = false;
      Standing now = now();
      Set<NodeId> looping = new TreeSet<>(now.loops());
      for (NodeId id : looping) {
        LocalKey key = new LocalKey(id, Aspect.PLACED);
        boolean movedByLibrary =
            !changes.containsKey(key) && !before.parent(id).equals(revision.parent(id));
        Optional<NodeId> home = movedByLibrary ? home(id, looping, now) : Optional.empty();
        if (home.isPresent()) {
          changes.put(key, new LocalValue.PlacedUnder(home.get(), Optional.empty()));
          now = now();
          broken = true;
        }
      }
    }
    return changes;
  }

  private Standing now() {
    return new Standing(revision, changes);
  }

  private Optional<NodeId> home(NodeId id, Set<NodeId> looping, Standing now) {
    Set<NodeId> candidates = new LinkedHashSet<>();
    climb(id, before::parent, candidates);
    for (NodeId at : looping) {
      climb(at, revision::parent, candidates);
    }
    return candidates.stream()
        .filter(at -> !looping.contains(at) && mayHold(now, at, id))
        .filter(at -> now.upwards(at).stream().noneMatch(looping::contains))
        .findFirst();
  }

  private static void climb(
      NodeId from, Function<NodeId, Optional<NodeId>> parents, Set<NodeId> into) {
    Optional<NodeId> at = parents.apply(from);
    while (at.isPresent() && into.add(at.get())) {
      at = parents.apply(at.get());
    }
  }

  private static boolean mayHold(Standing now, NodeId parent, NodeId child) {
    Optional<Node> holds = now.node(parent);
    Optional<Node> held = now.node(child);
    return holds.isPresent()
        && held.isPresent()
        && Catalogue.mayHold(holds.get().kind(), held.get().standsAs());
  }
}
