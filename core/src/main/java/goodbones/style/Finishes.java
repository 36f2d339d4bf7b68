package goodbones.style;

import goodbones.document.Kind;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.List;
import java.util.Map;

/**
 * The house's tokens and named styles, and what each kind looks like where nothing says otherwise.
 *
 * @param tabletLimit the greatest viewport width, in px, that counts as a tablet
 * @param phoneLimit the greatest viewport width, in px, that counts as a phone
 */
public record Finishes(
    int revision,
    List<Token> tokens,
    List<NamedStyle> namedStyles,
    Map<Kind, Map<StyleKey, StyleValue>> defaults,
    int tabletLimit,
    int phoneLimit) {
  public Finishes {
    tokens = List.copyOf(tokens);
    namedStyles = List.copyOf(namedStyles);
    defaults = Map.copyOf(defaults);
    if (phoneLimit <= 0 || tabletLimit <= phoneLimit) {
      throw new IllegalArgumentException(
          "The phone's limit must be above 0 and below the tablet's, not "
              + phoneLimit
              + " and "
              + tabletLimit);
    }
  }
}
