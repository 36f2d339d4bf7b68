package goodbones.server.rollouts;

import goodbones.document.Catalogue;
import goodbones.document.Node;
import goodbones.document.Refused;
import goodbones.library.Adopted;
import goodbones.library.Shown;
import goodbones.server.library.Pieces;
import goodbones.server.problems.BadInput;
import goodbones.server.sites.Sites;
import java.util.ArrayList;
import java.util.List;

/**
 * Looks, when all is written and before it is committed, whether every page that was written shows
 * what the catalogue allows, whatever made it so.
 */
final class Allowing {
  private final Sites sites;
  private final Pieces pieces;
  private final List<Page> pages = new ArrayList<>();

  private record Page(String siteId, String pageId, Node root, Adopted adopted) {}

  Allowing(Sites sites, Pieces pieces) {
    this.sites = sites;
    this.pieces = pieces;
  }

  /** Notes a page as it stands, before it is written. */
  void willWrite(String siteId, String pageId, Node root) {
    pages.add(new Page(siteId, pageId, root, sites.adopted(siteId)));
  }

  /**
   * @throws BadInput naming the page on which something would stand where it must not
   */
  void requireAllowed() {
    for (Page page : pages) {
      Node after = sites.page(page.pageId()).root();
      try {
        Catalogue.requireNoneNew(
            Shown.of(page.root(), page.adopted(), pieces).root(),
            Shown.of(after, sites.adopted(page.siteId()), pieces).root());
      } catch (Refused refused) {
        throw new BadInput(
            "decisions",
            "“"
                + sites.pageTitle(page.pageId())
                + "”: "
                + refused.getMessage()
                + ". Answer what is asked there otherwise, or hold it; nothing was applied");
      }
    }
  }
}
