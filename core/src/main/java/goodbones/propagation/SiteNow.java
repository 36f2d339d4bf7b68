package goodbones.propagation;

import goodbones.document.Node;
import goodbones.library.Adopted;
import goodbones.style.SiteFinishes;
import java.util.List;

/** A site as it stands while a plan is made. */
public record SiteNow(String siteId, SiteFinishes finishes, Adopted adopted, List<PageNow> pages) {
  public SiteNow {
    pages = List.copyOf(pages);
  }

  /**
   * A page as it stands.
   *
   * @param version grows with every change; a plan holds only for the versions that it was made
   *     with
   */
  public record PageNow(String pageId, long version, Node root) {}
}
