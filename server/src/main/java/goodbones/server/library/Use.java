package goodbones.server.library;

import org.jspecify.annotations.Nullable;

/**
 * Where a piece is placed itself.
 *
 * @param pieceId which one is placed
 * @param ownerKind {@code page}, {@code piece} or {@code draft}
 * @param siteId of a page; else empty
 * @param path of the placement in its owner
 * @param shown the revision that it is kept on, or for a page that follows its site, 0
 * @param changes how many local changes it has
 */
public record Use(
    String pieceId,
    String ownerKind,
    String ownerId,
    String siteId,
    String path,
    int shown,
    int changes,
    boolean held) {
  /** What a query begins with that reads these from rows {@code p}. */
  static final String OF_ROW =
      "select new goodbones.server.library.Use(p.pieceId, p.id.ownerKind, p.id.ownerId,"
          + " coalesce(p.siteId, ''), p.id.path, p.bound, p.pinned, p.changes, p.held)"
          + " from PlacedRow p";

  private static final String PAGE = "page";

  Use(
      String pieceId,
      String ownerKind,
      String ownerId,
      String siteId,
      String path,
      int bound,
      @Nullable Integer pinned,
      int changes,
      boolean held) {
    this(
        pieceId,
        ownerKind,
        ownerId,
        siteId,
        path,
        !ownerKind.equals(PAGE) ? bound : pinned == null ? 0 : pinned,
        changes,
        held);
  }

  /** Whether it stays on a page for an answer, on another revision than the current one. */
  boolean waits(int current) {
    return isOnPage() && !held && shown != 0 && shown != current;
  }

  public boolean isOnPage() {
    return ownerKind.equals(PAGE);
  }
}
