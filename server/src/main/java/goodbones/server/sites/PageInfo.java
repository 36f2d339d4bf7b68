package goodbones.server.sites;

import goodbones.site.PageKind;
import java.time.Instant;

/**
 * A page without its document.
 *
 * @param address where it stands in its site, such as {@code /} or {@code /fares}
 * @param picture the id of the one that stands for it; empty for none
 * @param shared whether it stands around the content of pages, and is none itself
 * @param parent the page that it is filed under; empty at the top
 * @param sections how many things stand directly on it
 * @param pieces how many placements are on it
 */
public record PageInfo(
    String id,
    String siteId,
    String title,
    String address,
    String description,
    String picture,
    boolean shared,
    PageKind kind,
    String parent,
    boolean ready,
    Instant changed,
    long version,
    int sections,
    int pieces) {
  PageInfo(
      String id,
      String siteId,
      String title,
      String address,
      String description,
      String picture,
      boolean shared,
      String kind,
      String parent,
      boolean ready,
      Instant changed,
      long version,
      Integer sections,
      Long pieces) {
    this(
        id,
        siteId,
        title,
        address,
        description,
        picture,
        shared,
        PageKind.ofWord(kind),
        parent,
        ready,
        changed,
        version,
        sections == null ? 0 : sections,
        pieces.intValue());
  }

  /** What is said of it besides what stands on it. */
  PageSaid said() {
    return new PageSaid(title, address, description, picture, kind, ready);
  }
}
