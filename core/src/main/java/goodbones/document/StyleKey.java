package goodbones.document;

import org.jspecify.annotations.Nullable;

/**
 * One place where a style value can be set: a property, for a device, in a state.
 *
 * <p>Its text form is {@code property[@device][:state]}, with desktop and normal left out.
 */
public record StyleKey(StyleProperty property, Device device, State state)
    implements Comparable<StyleKey> {
  public static StyleKey of(StyleProperty property) {
    return new StyleKey(property, Device.DESKTOP, State.NORMAL);
  }

  public static StyleKey of(StyleProperty property, Device device) {
    return new StyleKey(property, device, State.NORMAL);
  }

  /**
   * @throws IllegalArgumentException if the text names an unknown property, device or state
   */
  public static StyleKey parse(String text) {
    String rest = text;
    State state = State.NORMAL;
    int colon = rest.indexOf(':');
    if (colon >= 0) {
      state = State.ofWord(rest.substring(colon + 1));
      rest = rest.substring(0, colon);
    }
    Device device = Device.DESKTOP;
    int at = rest.indexOf('@');
    if (at >= 0) {
      device = Device.ofWord(rest.substring(at + 1));
      rest = rest.substring(0, at);
    }
    return new StyleKey(StyleProperty.ofKey(rest), device, state);
  }

  @Override
  public int compareTo(StyleKey other) {
    int byProperty = property.compareTo(other.property);
    int byDevice = byProperty != 0 ? byProperty : device.compareTo(other.device);
    return byDevice != 0 ? byDevice : state.compareTo(other.state);
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof StyleKey key
        && property == key.property
        && device == key.device
        && state == key.state;
  }

  @Override
  public int hashCode() {
    return (property.ordinal() * 31 + device.ordinal()) * 31 + state.ordinal();
  }

  @Override
  public String toString() {
    return property.key()
        + (device == Device.DESKTOP ? "" : "@" + device.word())
        + (state == State.NORMAL ? "" : ":" + state.word());
  }
}
