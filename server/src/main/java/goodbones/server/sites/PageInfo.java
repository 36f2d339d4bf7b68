package goodbones.server.sites;

import java.time.Instant;

/**
 * A page without its document.
 *
 * @param address where it stands in its site, such as {@code /} or {@code /fares}
 * @param sections how many things stand directly on it
 * @param pieces how many placements are on it
 */
public record PageInfo(
    String id,
    String siteId,
    String title,
    String address,
    Instant changed,
    long version,
    int sections,
    int pieces) {
  PageInfo(
      String id,
      String siteId,
      String title,
      String address,
      Instant changed,
      long version,
      Integer sections,
      Long pieces) {
    this(
        id,
        siteId,
        title,
        address,
        changed,
        version,
        sections == null ? 0 : sections,
        pieces.intValue());
  }
}
