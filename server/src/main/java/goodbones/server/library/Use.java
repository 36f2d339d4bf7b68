package goodbones.server.library;

/**
 * Where a piece is placed itself.
 *
 * @param ownerKind {@code page}, {@code piece} or {@code draft}
 * @param siteId of a page; else empty
 * @param path of the placement in its owner
 * @param shown the revision that it is kept on, or for a page that follows its site, 0
 * @param changes how many local changes it has
 */
public record Use(
    String ownerKind,
    String ownerId,
    String siteId,
    String path,
    int shown,
    int changes,
    boolean held) {
  public boolean isOnPage() {
    return ownerKind.equals("page");
  }
}
