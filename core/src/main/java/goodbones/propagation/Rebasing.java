package goodbones.propagation;

import goodbones.document.LocalKey;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Settler;
import goodbones.library.Showing;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

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
  public Placement settle(NodeId id, Placement placement, int shown, boolean pagesOwn) {
    Rebased rebased = rebased(id, placement, shown);
    return rebased.settled(pagesOwn ? rebased.pagesOwn() : Map.of());
  }

  @Override
  public Set<LocalKey> dormant(NodeId id, Placement placement, int shown) {
    return rebased(id, placement, shown).verdicts().entrySet().stream()
        .filter(verdict -> verdict.getValue() == Verdict.DORMANT)
        .map(Map.Entry::getKey)
        .collect(Collectors.toSet());
  }

  private Rebased rebased(NodeId id, Placement placement, int shown) {
    return Rebase.of(id, placement, placement.settled(), shown, library, showing);
  }
}
