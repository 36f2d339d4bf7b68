package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Picks;
import goodbones.library.Variants;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * What comes of a placement under the answers that change what is seen of it: it is rebased anew as
 * it would have been with that answer from the beginning.
 */
final class Forks {
  private final Placement stored;
  private final int settled;
  private final Way way;
  private final Library library;
  private final Function<Placement, Rebased> rebased;

  /**
   * @param stored the placement as it is kept
   * @param way from the revision that it is settled on
   * @param rebased rebases it as it would have been
   */
  Forks(
      Placement stored,
      int settled,
      Way way,
      Library library,
      Function<Placement, Rebased> rebased) {
    this.stored = stored;
    this.settled = settled;
    this.way = way;
    this.library = library;
    this.rebased = rebased;
  }

  /** Taking the library's shows again what is removed or switched off here. */
  Map<Settlement, Rebased> withoutHiding(LocalKey key) {
    return Map.of(Settlement.TAKE, rebased.apply(without(key)));
  }

  /** To stay with a variant that is gone is to have what it did as local changes. */
  Map<Settlement, Rebased> variantGone(LocalKey variant) {
    Placement spelledOut = stored;
    for (LocalKey key : storedKeys(variant)) {
      spelledOut =
          Variants.spelledOut(
              library.expanded(stored.pieceId(), settled, Picks.of(stored)), spelledOut, key);
    }
    return Map.of(
        Settlement.STAY,
        rebased.apply(spelledOut),
        Settlement.TAKE,
        rebased.apply(without(variant)));
  }

  /** To stay with a part that the library switched off is to switch it on here. */
  Map<Settlement, Rebased> switchedOff(NodeId part) {
    LocalKey on = way.backwards(new LocalKey(part, Aspect.SWITCHED));
    LocalValue shown = new LocalValue.SwitchedIs(true);
    return Map.of(Settlement.STAY, rebased.apply(stored.withChange(on, Optional.of(shown))));
  }

  /** The placement without one of its changes, which is told as it is at the end of the way. */
  private Placement without(LocalKey moved) {
    SortedMap<LocalKey, LocalValue> others = new TreeMap<>(stored.changes());
    others.keySet().removeAll(storedKeys(moved));
    return stored.withChanges(others);
  }

  /** The keys of what is stored that have become this one. */
  private List<LocalKey> storedKeys(LocalKey moved) {
    return stored.changes().keySet().stream()
        .filter(key -> way.relocated(only(key)).changes().containsKey(moved))
        .toList();
  }

  private Placement only(LocalKey key) {
    return Placement.of(stored.pieceId())
        .withChange(key, Optional.ofNullable(stored.changes().get(key)));
  }
}
