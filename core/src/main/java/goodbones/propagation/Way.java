package goodbones.propagation;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Expanded;
import goodbones.library.Library;
import goodbones.library.Relocations;
import goodbones.library.RevisionIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The revisions between two of a piece, both included, in order, backwards if the second is the
 * older one. All of them are shown with the paths that nodes have in the last one.
 */
record Way(List<Step> steps, List<Relocations> relocations) {
  /**
   * A revision on the way, with all that it shows.
   *
   * @param absorbs whether what it says makes a change needless
   */
  record Step(RevisionIndex shown, boolean absorbs) {}

  static Way between(Library library, String pieceId, int from, int to) {
    int step = from <= to ? 1 : -1;
    List<Expanded> shown =
        IntStream.iterate(from, n -> n != to + step, n -> n + step)
            .mapToObj(number -> library.expanded(pieceId, number))
            .toList();
    List<Relocations> relocations = new ArrayList<>();
    for (int i = 1; i < shown.size(); i++) {
      relocations.add(
          step > 0
              ? shown.get(i).since(shown.get(i - 1))
              : shown.get(i - 1).since(shown.get(i)).inverse());
    }
    List<Step> steps = new ArrayList<>();
    for (int i = 0; i < shown.size(); i++) {
      boolean absorbs = !library.revision(pieceId, from + i * step).goneBackOn();
      steps.add(
          new Step(
              Relocations.index(shown.get(i), relocations.subList(i, relocations.size())),
              absorbs));
    }
    return new Way(steps, relocations);
  }

  /** A placement with its changes where their nodes stand at the end of the way. */
  Placement relocated(Placement placement) {
    Placement moved = placement;
    for (Relocations each : relocations) {
      moved = each.placement(moved);
    }
    return moved;
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

  /** Whether a revision after the first one says the same. */
  boolean says(LocalKey key, LocalValue value) {
    Optional<LocalValue> said = Optional.of(value);
    return steps.stream()
        .skip(1)
        .anyMatch(step -> step.absorbs() && step.shown().value(key).equals(said));
  }

  /** The latest revision in which a field was no slot, if the last one has it as a slot. */
  Optional<RevisionIndex> fixedBefore(LocalKey key) {
    int at = steps.size() - 1;
    while (at >= 0 && steps.get(at).shown().isSlot(key)) {
      at--;
    }
    return at < 0 || at == steps.size() - 1 ? Optional.empty() : Optional.of(steps.get(at).shown());
  }
}
