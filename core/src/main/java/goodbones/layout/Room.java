package goodbones.layout;

import goodbones.document.Device;

/**
 * What of the viewport's width a document has to itself: all of it, unless a side column stands
 * beside the content, which it does on a desktop.
 */
public enum Room {
  WHOLE(12),
  BESIDE_COLUMN(9),
  SIDE_COLUMN(3);

  private static final int TWELFTHS = 12;
  private final int share;

  Room(int share) {
    this.share = share;
  }

  /** In twelfths. */
  public int share() {
    return share;
  }

  /** In CSS px. */
  public double width(Screen screen) {
    return screen.device() == Device.DESKTOP ? screen.width() * share / TWELFTHS : screen.width();
  }
}
