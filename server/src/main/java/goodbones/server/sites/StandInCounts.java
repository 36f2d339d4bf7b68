package goodbones.server.sites;

import goodbones.library.Adopted;
import goodbones.library.Shown;
import goodbones.server.library.Pieces;
import goodbones.server.memory.Memory;
import goodbones.survey.StandIns;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How many stand-ins are left on the pages of a site; a page that stayed as it was is not read. */
@Component
class StandInCounts {
  private static final int MOST_PAGES = 100_000;

  private final Sites sites;
  private final Pieces pieces;
  private final Memory<Shows, Integer> counts = new Memory<>(MOST_PAGES, count -> 1);

  StandInCounts(Sites sites, Pieces pieces) {
    this.sites = sites;
    this.pieces = pieces;
  }

  /** What a page shows is what its version and its site's stamp say. */
  private record Shows(String pageId, long version, long stamp) {}

  /** By the ids of the pages. */
  @Transactional(readOnly = true)
  Map<String, Integer> of(String siteId) {
    long stamp = sites.stamp(siteId);
    Adopted adopted = sites.adopted(siteId);
    Map<String, Integer> all = new TreeMap<>();
    sites
        .pageVersions(siteId)
        .forEach(
            (page, version) ->
                all.put(
                    page,
                    counts.get(
                        new Shows(page, version, stamp),
                        () ->
                            StandIns.of(Shown.of(sites.page(page).root(), adopted, pieces).root())
                                .size())));
    return all;
  }
}
