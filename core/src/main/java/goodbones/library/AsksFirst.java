package goodbones.library;

import goodbones.document.NodeId;

/**
 * An edit would bring something back that the library changed since. Nothing is done until it is
 * said whether the page's own is to hold.
 */
public final class AsksFirst extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private final transient NodeId placement;

  /**
   * @param placement where it would be brought back
   */
  public AsksFirst(NodeId placement, String message) {
    super(message);
    this.placement = placement;
  }

  public NodeId placement() {
    return placement;
  }
}
