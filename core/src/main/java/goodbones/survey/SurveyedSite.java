package goodbones.survey;

import goodbones.document.Bound;
import goodbones.site.Links;
import java.util.Set;

/**
 * What the rules of the survey ask of a site besides what its pages show.
 *
 * @param bound what of the client is set
 * @param menus the names of the menus that have links
 */
public record SurveyedSite(
    Links links, Set<Bound> bound, Set<String> menus, boolean hasLogo, boolean hasSocial) {
  public SurveyedSite {
    bound = Set.copyOf(bound);
    menus = Set.copyOf(menus);
  }
}
