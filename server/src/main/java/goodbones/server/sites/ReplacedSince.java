package goodbones.server.sites;

import goodbones.document.Node;
import java.time.Instant;

/** Does on a page that comes back what was done on all others meanwhile. */
public interface ReplacedSince {
  /**
   * A page with the pieces in it that were put in the places of others since it was taken away.
   *
   * @param root what it shows where nothing was replaced
   * @param gone when it was taken away
   */
  Node replaced(String siteId, String pageId, Node root, Instant gone);
}
