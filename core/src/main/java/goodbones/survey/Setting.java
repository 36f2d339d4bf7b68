package goodbones.survey;

import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.style.SiteFinishes;

/**
 * A value that won somewhere, as it is stored, so that it can be looked up again under other
 * finishes.
 *
 * @param scheme the id of the colour scheme around it; empty for none
 */
public record Setting(StyleProperty property, StyleValue value, String scheme) {

  /**
   * What it is worth on a site.
   *
   * @throws goodbones.style.TokenProblem if a token in it cannot be looked up
   */
  public String css(SiteFinishes finishes) {
    SiteFinishes here = scheme.isEmpty() ? finishes : finishes.in(scheme);
    return here.worth(value).css();
  }

  /** The value as a designer reads it. */
  public String written(SiteFinishes finishes) {
    return finishes.written(value);
  }
}
