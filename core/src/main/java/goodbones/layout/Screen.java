package goodbones.layout;

import goodbones.document.Device;

/**
 * What a page is looked at on.
 *
 * @param width the viewport's width without a scrollbar, in CSS px
 * @param height the viewport's height, in CSS px; {@code vh} refers to it
 * @param room how much of its width is the document's
 */
public record Screen(Device device, double width, double height, Room room) {
  /** The whole width is the document's. */
  public Screen(Device device, double width, double height) {
    this(device, width, height, Room.WHOLE);
  }

  /** A common screen of a kind. */
  public static Screen of(Device device) {
    return new Screen(device, device.width(), device.height());
  }

  /** The same for a document that has so much of it. */
  public Screen with(Room other) {
    return new Screen(device, width, height, other);
  }
}
