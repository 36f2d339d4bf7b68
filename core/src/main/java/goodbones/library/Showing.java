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

  /** What fills the slots of the whole site; nothing where the document is of no site. */
  default SiteFillings fillings() {
    return SiteFillings.NONE;
  }

  /** Whether the document is of a site, so that slots of the whole site can be filled from it. */
  default boolean isOfSite() {
    return false;
  }
}
