package goodbones.style;

import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.Map;

/** A bundle of settings given a name and put on many elements. */
public record NamedStyle(String id, String name, Map<StyleKey, StyleValue> styles) {
  public NamedStyle {
    styles = Map.copyOf(styles);
  }
}
