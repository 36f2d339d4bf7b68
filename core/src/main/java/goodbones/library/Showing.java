package goodbones.library;

import goodbones.document.Placement;

/** Says which revision a placement shows. */
@FunctionalInterface
public interface Showing {
  /** What stands in a piece is bound: it shows the revision that it is settled on. */
  Showing BOUND = Placement::settled;

  /**
   * @throws UnknownPiece if there is no saying
   */
  int shownBy(Placement placement);
}
