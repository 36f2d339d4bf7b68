package goodbones.library;

import goodbones.document.Placement;

/** Says which revision a placement shows. */
@FunctionalInterface
public interface Showing {
  /** What stands in a piece is bound: it shows the revision that it names. */
  Showing BOUND = Placement::bound;

  /**
   * @throws UnknownPiece if there is no saying
   */
  int shownBy(Placement placement);

  /** What fills the slots of the whole site; nothing where the document is of no site. */
  default SiteFillings fillings() {
    return SiteFillings.NONE;
  }

  /** The same as if the site filled nothing. */
  default Showing withoutFillings() {
    Showing shown = this;
    return fillings().isEmpty()
        ? this
        : new Showing() {
          @Override
          public int shownBy(Placement placement) {
            return shown.shownBy(placement);
          }

          @Override
          public boolean isOfSite() {
            return shown.isOfSite();
          }
        };
  }

  /** Whether the document is of a site, so that slots of the whole site can be filled from it. */
  default boolean isOfSite() {
    return false;
  }
}
