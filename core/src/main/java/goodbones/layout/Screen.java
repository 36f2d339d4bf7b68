package goodbones.layout;

import goodbones.document.Device;

/**
 * What a page is looked at on.
 *
 * @param width the viewport's width without a scrollbar, in CSS px
 * @param height the viewport's height, in CSS px; {@code vh} refers to it
 */
public record Screen(Device device, double width, double height) {
  /** A common screen of a kind. */
  public static Screen of(Device device) {
    return new Screen(device, device.width(), device.height());
  }
}
