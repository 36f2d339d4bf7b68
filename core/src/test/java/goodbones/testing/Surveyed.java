package goodbones.testing;

import goodbones.render.Pictured;
import goodbones.site.Links;
import goodbones.style.SiteFinishes;
import goodbones.survey.SurveyedSite;
import java.util.Map;
import java.util.Set;

/** A site in the house’s finishes of which nothing else is known. */
public final class Surveyed {
  public static final SiteFinishes LOOK = new SiteFinishes(HouseFinishes.house(), Map.of());

  private Surveyed() {}

  public static SurveyedSite site() {
    return new SurveyedSite(
        Links.NONE, Set.of(), Set.of(), false, false, LOOK, Pictured.at(id -> id));
  }
}
