package goodbones.site;

import java.util.Set;

/**
 * Gives a shared part to a region of some pages.
 *
 * @param band the name of a band, by which rules for the same one are known; empty for another
 *     region
 * @param except the ids of pages that it leaves out
 * @param part the id of the document that it gives; empty if these pages have none there
 */
public record CoverageRule(
    String id, Region region, String band, Scope scope, Set<String> except, String part) {
  public CoverageRule {
    except = Set.copyOf(except);
  }

  /** What two rules compete for: a region, or a band by its name. */
  public record Spot(Region region, String band) {
    public String title() {
      return region.isBand() ? band : region.title();
    }
  }

  public Spot spot() {
    return new Spot(region, region.isBand() ? band : "");
  }
}
