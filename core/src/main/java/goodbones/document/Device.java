package goodbones.document;

import java.util.List;

/** A class of viewport widths. Desktop is the base; the narrower ones override it. */
public enum Device {
  DESKTOP("desktop", 1280, 800),
  TABLET("tablet", 834, 1112),
  PHONE("phone", 390, 844);

  private final String word;
  private final int width;
  private final int height;

  Device(String word, int width, int height) {
    this.word = word;
    this.width = width;
    this.height = height;
  }

  /** How wide a common screen of the kind is, in CSS px: what is looked at and computed for it. */
  public int width() {
    return width;
  }

  /** How high a common screen of the kind is, in CSS px. */
  public int height() {
    return height;
  }

  public String word() {
    return word;
  }

  /** This device and all wider ones, nearest first: the order in which values are looked up. */
  public List<Device> andWider() {
    return switch (this) {
      case DESKTOP -> List.of(DESKTOP);
      case TABLET -> List.of(TABLET, DESKTOP);
      case PHONE -> List.of(PHONE, TABLET, DESKTOP);
    };
  }

  /**
   * @throws IllegalArgumentException if no device goes by that word
   */
  public static Device ofWord(String word) {
    for (Device device : values()) {
      if (device.word.equals(word)) {
        return device;
      }
    }
    throw new IllegalArgumentException(
        "“" + word + "” is not a device: use desktop, tablet or phone");
  }
}
