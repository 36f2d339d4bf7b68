package goodbones.style;

import goodbones.document.StyleValue;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One edit in the finishes, of the house's draft or of a site's own. */
public sealed interface FinishesStep {
  record House(FinishesEdit edit) implements FinishesStep {}

  /**
   * @param values token id to the site's own value; empty to go back to the house's
   * @param styles named style id to the site's own; empty to go back to the house's
   */
  record Site(
      String siteId,
      Map<String, Optional<StyleValue>> values,
      Map<String, Optional<NamedStyle>> styles)
      implements FinishesStep {
    public Site {
      values = Map.copyOf(values);
      styles = Map.copyOf(styles);
    }
  }

  /** Several as one: all or nothing. */
  record Several(List<FinishesStep> steps) implements FinishesStep {
    public Several {
      steps = List.copyOf(steps);
    }
  }

  static FinishesStep value(String siteId, String tokenId, Optional<StyleValue> value) {
    return new Site(siteId, Map.of(tokenId, value), Map.of());
  }

  static FinishesStep style(String siteId, String styleId, Optional<NamedStyle> style) {
    return new Site(siteId, Map.of(), Map.of(styleId, style));
  }
}
