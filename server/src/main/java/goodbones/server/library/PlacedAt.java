package goodbones.server.library;

/**
 * How often a piece is placed on the pages of a site.
 *
 * @param waiting how many of those wait for an answer on another revision than the current one
 */
public record PlacedAt(String siteId, String pieceId, int placements, int waiting) {
  PlacedAt(String siteId, String pieceId, Long placements, Long waiting) {
    this(siteId, pieceId, placements.intValue(), waiting == null ? 0 : waiting.intValue());
  }
}
