package goodbones.server.library;

/** How often a piece is placed on a page itself. */
record PlacedOn(String pieceId, String pageId, String siteId, int placements, int held) {
  PlacedOn(String pieceId, String pageId, String siteId, Long placements, Long held) {
    this(pieceId, pageId, siteId, placements.intValue(), held == null ? 0 : held.intValue());
  }
}
