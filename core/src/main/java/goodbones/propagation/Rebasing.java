package goodbones.propagation;

import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Settler;
import java.util.Map;

/** Settles placements by rebasing them through every revision on the way. */
public final class Rebasing implements Settler {
  private final Library library;

  public Rebasing(Library library) {
    this.library = library;
  }

  @Override
  public Placement settle(NodeId id, Placement placement, int shown) {
    int from = placement.settled();
    return Rebase.of(
            id, placement, from, shown, Way.between(library, placement.pieceId(), from, shown))
        .settled(Map.of());
  }
}
