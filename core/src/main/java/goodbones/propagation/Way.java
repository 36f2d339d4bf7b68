package goodbones.propagation;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import goodbones.library.Expanded;
import goodbones.library.Library;
import goodbones.library.Picks;
import goodbones.library.Relocations;
import goodbones.library.RevisionIndex;
import goodbones.library.Translation;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The revisions between two of a piece, both included, in order, backwards if the second is the
 * older one. All of them are shown with what a placement chooses about them, and with the paths
 * that nodes have in the last one.
 */
final class Way {
  private final Library library;
  private final String pieceId;
  private final List<Step> steps;
  private final List<Relocations> relocations;

  /**
   * A revision on the way, with all that it shows.
   *
   * @param picks what is chosen about it
   * @param absorbs whether what it says makes a change needless
   */
  private record Step(int number, Picks picks, RevisionIndex shown, boolean absorbs) {}

  private Way(Library library, String pieceId, List<Step> steps, List<Relocations> relocations) {
    this.library = library;
    this.pieceId = pieceId;
    this.steps = steps;
    this.relocations = relocations;
  }

  /**
   * @param picks what is chosen, addressed as the first revision has it
   */
  static Way between(Library library, String pieceId, int from, int to, Picks picks) {
    int step = from <= to ? 1 : -1;
    List<Relocations> relocations = Translation.steps(library, pieceId, from, to, picks);
    List<Step> steps = new ArrayList<>();
    Picks at = picks;
    for (int i = 0; i <= relocations.size(); i++) {
      int number = from + i * step;
      Expanded shown = library.expanded(pieceId, number, at);
      RevisionIndex index = Relocations.index(shown, relocations.subList(i, relocations.size()));
      boolean absorbs = !library.revision(pieceId, number).goneBackOn();
      steps.add(new Step(number, at, index, absorbs));
      if (i < relocations.size()) {
        at = Translation.picks(library, pieceId, at, number, number + step);
      }
    }
    return new Way(library, pieceId, steps, relocations);
  }

  /** Where a node of the first revision stands at the end of the way. */
  NodeId relocated(NodeId id) {
    NodeId moved = id;
    for (Relocations each : relocations) {
      moved = each.node(moved);
    }
    return moved;
  }

  RevisionIndex first() {
    return steps.get(0).shown();
  }

  RevisionIndex last() {
    return steps.get(steps.size() - 1).shown();
  }

  /** What the first revision itself says for a key. */
  Optional<LocalValue> firstValue(LocalKey key) {
    return value(0, key);
  }

  /** What the last revision itself says for a key. */
  Optional<LocalValue> lastValue(LocalKey key) {
    return value(steps.size() - 1, key);
  }

  /** What is chosen about a revision decides what it shows; what it says is seen without that. */
  private Optional<LocalValue> value(int at, LocalKey key) {
    Step step = steps.get(at);
    if (!key.aspect().isPick()) {
      return step.shown().value(key);
    }
    LocalKey there = backwards(key, at);
    Expanded without = library.expanded(pieceId, step.number(), step.picks().without(there));
    return without.index().value(there);
  }

  /** The same revisions without one of the choices about them. */
  Way without(LocalKey pick) {
    Step from = steps.get(0);
    Picks others = from.picks().without(backwards(pick));
    return between(library, pieceId, from.number(), steps.get(steps.size() - 1).number(), others);
  }

  /** The key that something has at the end of the way, as it is in the first revision. */
  LocalKey backwards(LocalKey key) {
    return backwards(key, 0);
  }

  private LocalKey backwards(LocalKey key, int to) {
    LocalKey there = key;
    for (int i = relocations.size() - 1; i >= to; i--) {
      there = relocations.get(i).inverse().key(there);
    }
    return there;
  }

  /** Whether a revision after the first one says the same. */
  boolean says(LocalKey key, LocalValue value) {
    Optional<LocalValue> said = Optional.of(value);
    for (int i = 1; i < steps.size(); i++) {
      if (steps.get(i).absorbs() && value(i, key).equals(said)) {
        return true;
      }
    }
    return false;
  }

  /** The slots of the last revision that were none in another one on the way. */
  Set<LocalKey> newSlots() {
    Set<LocalKey> found = new LinkedHashSet<>();
    for (Step step : steps.subList(0, steps.size() - 1)) {
      found.addAll(last().slotsNewSince(step.shown()));
    }
    return found;
  }

  /** The latest revision in which a field was no slot, if the last one has it as a slot. */
  Optional<RevisionIndex> fixedBefore(LocalKey key) {
    int at = steps.size() - 1;
    while (at >= 0
        && (steps.get(at).shown().isSlot(key) || steps.get(at).shown().isSiteSlot(key))) {
      at--;
    }
    return at < 0 || at == steps.size() - 1 ? Optional.empty() : Optional.of(steps.get(at).shown());
  }
}
