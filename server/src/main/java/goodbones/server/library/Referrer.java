package goodbones.server.library;

/**
 * A document that refers to something.
 *
 * @param ownerKind {@code page}, {@code piece} or {@code draft}
 * @param revision of a piece; 0 for the others
 * @param siteId whose page it is; empty for a piece
 */
public record Referrer(String ownerKind, String ownerId, int revision, String siteId) {
  public boolean isPage() {
    return ownerKind.equals("page");
  }
}
