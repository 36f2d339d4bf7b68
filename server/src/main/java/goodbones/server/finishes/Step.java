package goodbones.server.finishes;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import goodbones.document.StyleValue;
import goodbones.style.FinishesEdit;
import goodbones.style.NamedStyle;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One edit in the finishes, of the house's draft or of a site's own. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "at")
@JsonSubTypes({
  @Type(value = Step.House.class, name = "house"),
  @Type(value = Step.Site.class, name = "site"),
  @Type(value = Step.Several.class, name = "several")
})
public sealed interface Step {
  record House(FinishesEdit edit) implements Step {}

  /**
   * @param values token id to the site's own value; empty to go back to the house's
   * @param styles named style id to the site's own; empty to go back to the house's
   */
  record Site(
      String siteId,
      Map<String, Optional<StyleValue>> values,
      Map<String, Optional<NamedStyle>> styles)
      implements Step {
    public Site {
      values = Map.copyOf(values);
      styles = Map.copyOf(styles);
    }
  }

  /** Several as one: all or nothing. */
  record Several(List<Step> steps) implements Step {
    public Several {
      steps = List.copyOf(steps);
    }
  }

  static Step value(String siteId, String tokenId, Optional<StyleValue> value) {
    return new Site(siteId, Map.of(tokenId, value), Map.of());
  }

  static Step style(String siteId, String styleId, Optional<NamedStyle> style) {
    return new Site(siteId, Map.of(), Map.of(styleId, style));
  }
}
