package goodbones.document;

import java.util.List;

/** A class of viewport widths. Desktop is the base; the narrower ones override it. */
public enum Device {
  DESKTOP("desktop"),
  TABLET("tablet"),
  PHONE("phone");

  private final String word;

  Device(String word) {
    this.word = word;
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
