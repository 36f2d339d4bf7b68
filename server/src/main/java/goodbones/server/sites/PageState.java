package goodbones.server.sites;

import goodbones.document.Node;
import java.time.Instant;

/**
 * A page as it is kept.
 *
 * @param address where it stands in its site, such as {@code /} or {@code /fares}
 * @param shared whether it stands around the content of pages, and is none itself
 */
public record PageState(
    String id,
    String siteId,
    String title,
    String address,
    String description,
    String picture,
    boolean shared,
    Node root,
    Instant changed,
    long version) {
  /** The same with another document. */
  public PageState withRoot(Node other) {
    return new PageState(
        id, siteId, title, address, description, picture, shared, other, changed, version);
  }
}
