package goodbones.style;

import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.Map;
import java.util.Optional;

/**
 * A bundle of settings given a name and put on many elements.
 *
 * @param basedOn the id of the named style that it builds on; its own settings beat that one's
 */
public record NamedStyle(
    String id, String name, Optional<String> basedOn, Map<StyleKey, StyleValue> styles) {
  public NamedStyle {
    styles = Map.copyOf(styles);
  }

  public NamedStyle(String id, String name, Map<StyleKey, StyleValue> styles) {
    this(id, name, Optional.empty(), styles);
  }

  public NamedStyle withName(String newName) {
    return new NamedStyle(id, newName, basedOn, styles);
  }

  public NamedStyle withStyles(Map<StyleKey, StyleValue> newStyles) {
    return new NamedStyle(id, name, basedOn, newStyles);
  }
}
