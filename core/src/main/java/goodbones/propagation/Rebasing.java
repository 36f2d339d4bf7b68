package goodbones.propagation;

import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.AsksFirst;
import goodbones.library.Library;
import goodbones.library.Settler;
import goodbones.library.Showing;
import goodbones.library.Translation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;

/** Settles placements by rebasing them through every revision on the way. */
public final class Rebasing implements Settler {
  private final Library library;
  private final Showing showing;

  /**
   * @param showing which revisions placements show where the settled ones stand
   */
  public Rebasing(Library library, Showing showing) {
    this.library = library;
    this.showing = showing;
  }

  @Override
  public Placement moved(NodeId id, Placement placement, int from, int to) {
    return Rebase.of(id, placement, from, to, library, showing).settled(Map.of());
  }

  @Override
  public Placement arrived(NodeId id, Placement placement, int shown) {
    if (placement.changes().values().stream().allMatch(change -> isMadeOn(change, shown))) {
      return placement;
    }
    Rebased here = Rebase.of(id, placement, shown, shown, library, showing);
    if (here.questions().isEmpty()) {
      return here.settled(Map.of()).withPin(placement.pin());
    }
    int waits = holdingAll(id, placement);
    return showing == Showing.BOUND
        ? placement.withBound(waits)
        : placement.withPin(Optional.of(new Pin(waits, Pin.Reason.WAITING)));
  }

  /** A revision on which everything holds: the one that was shown where it comes from. */
  private int holdingAll(NodeId id, Placement placement) {
    SortedSet<Integer> revisions = new TreeSet<>(Comparator.reverseOrder());
    placement.changes().values().forEach(change -> revisions.add(change.madeOn()));
    List<Integer> tried = new ArrayList<>(revisions);
    tried.add(0, placement.bound());
    return tried.stream()
        .filter(revision -> revision > 0)
        .filter(
            revision ->
                Rebase.of(id, placement, revision, revision, library, showing)
                    .questions()
                    .isEmpty())
        .findFirst()
        .orElseGet(placement::latestMadeOn);
  }

  @Override
  public Placement edited(
      NodeId id, Placement before, Placement after, int shown, boolean pagesOwn) {
    if (after.changes().values().stream().allMatch(change -> isMadeOn(change, shown))) {
      return after;
    }
    Rebased then = Rebase.of(id, before, shown, shown, library, showing);
    Rebased now = Rebase.of(id, after, shown, shown, library, showing);
    Translation was = Translation.of(library, before, shown);
    Translation is = Translation.of(library, after, shown);
    Set<LocalKey> standing = new HashSet<>(now.verdicts().keySet());
    standing.removeIf(
        key ->
            !change(is, after, key).equals(change(was, before, key))
                || then.verdicts().get(key) == Verdict.DORMANT
                || now.seen().contains(key) && !then.seen().contains(key));
    Rebased settled = Rebase.of(id, after, shown, shown, library, showing, Scope.of(standing));
    Map<String, Settlement> answers = pagesOwn ? settled.pagesOwn() : Map.of();
    if (!settled.open(answers).isEmpty()) {
      throw new AsksFirst(
          id,
          "What would be seen again was changed here on an earlier revision of the piece, and the"
              + " library changed or removed the same since. Nothing was changed yet.");
    }
    return settled.settled(answers).withPin(after.pin());
  }

  private static Optional<LocalChange> change(Translation at, Placement placement, LocalKey key) {
    return at.stored(key).map(stored -> placement.changes().get(stored));
  }

  private static boolean isMadeOn(LocalChange change, int shown) {
    return change.madeOn() == 0 || change.madeOn() == shown;
  }
}
