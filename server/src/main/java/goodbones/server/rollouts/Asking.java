package goodbones.server.rollouts;

import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Release;
import goodbones.propagation.RolloutPlanner;
import goodbones.server.library.Pieces;
import goodbones.server.memory.Memory;
import goodbones.server.sites.Sites;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * How many placements something waiting would ask about. A page that nobody touched since, at a
 * site that shows what it showed, is not asked again.
 */
@Component
class Asking {
  private static final int MOST_PAGES = 200_000;

  private final Pieces pieces;
  private final Sites sites;
  private final SitesNow now;
  private final Memory<Asked, Integer> counts = new Memory<>(MOST_PAGES, count -> 1);

  Asking(Pieces pieces, Sites sites, SitesNow now) {
    this.pieces = pieces;
    this.sites = sites;
    this.now = now;
  }

  /**
   * All that an answer depends on: pages are what their versions say, and what a site shows is what
   * its stamp says.
   */
  private record Asked(
      String siteId, long stamp, Map<String, Integer> revisions, Map<String, Long> pages) {}

  /** Only what is changed locally can ask. */
  int placements(Carrying.ToSite load) {
    Map<String, Integer> revisions = load.load().revisions(Set.of());
    if (revisions.isEmpty()) {
      return 0;
    }
    String site = load.siteId();
    List<String> asked = now.asked(site, revisions);
    Map<String, Long> versions = new TreeMap<>(sites.pageVersions(site));
    versions.keySet().retainAll(Set.copyOf(asked));
    long stamp = sites.stamp(site);
    if (now.fillSlotsOfSite(revisions)) {
      return count(new Asked(site, stamp, revisions, versions));
    }
    return versions.entrySet().stream()
        .map(page -> Map.of(page.getKey(), page.getValue()))
        .mapToInt(page -> count(new Asked(site, stamp, revisions, page)))
        .sum();
  }

  private int count(Asked asked) {
    return counts.get(
        asked,
        () ->
            (int)
                new RolloutPlanner(pieces)
                        .withoutLooking()
                        .plan(
                            new Release(asked.revisions()),
                            now.showing(asked.siteId(), asked.revisions(), asked.pages().keySet()),
                            Map.of())
                        .placements()
                        .stream()
                        .filter(plan -> plan.status() == PlacementPlan.Status.TO_DECIDE)
                        .count());
  }
}
