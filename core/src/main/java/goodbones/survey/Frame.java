package goodbones.survey;

import goodbones.document.Device;

/** The viewports, in px, at which a page is looked at. */
public final class Frame {
  /** The height at which heights of the viewport are worked out. */
  public static final int HEIGHT = 800;

  private Frame() {}

  public static int width(Device device) {
    return switch (device) {
      case DESKTOP -> 1280;
      case TABLET -> 834;
      case PHONE -> 390;
    };
  }
}
