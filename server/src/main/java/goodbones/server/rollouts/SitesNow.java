package goodbones.server.rollouts;

import goodbones.propagation.SiteNow;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import goodbones.server.library.UsageIndex;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import goodbones.style.SiteFinishes;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Sites as they stand, as plans are made for them. */
@Component
class SitesNow {
  private final Pieces pieces;
  private final UsageIndex usage;
  private final Sites sites;
  private final FinishesStore finishes;

  SitesNow(Pieces pieces, UsageIndex usage, Sites sites, FinishesStore finishes) {
    this.pieces = pieces;
    this.usage = usage;
    this.sites = sites;
    this.finishes = finishes;
  }

  /** A site with the pages on which some pieces are placed. */
  SiteNow using(String siteId, Collection<String> pieceIds) {
    return showing(siteId, Map.of(), usage.pagesUsing(siteId, pieceIds));
  }

  /** A site as it would have to be to show revisions: with finishes that have all they refer to. */
  SiteNow showing(String siteId, Map<String, Integer> revisions, Collection<String> pageIds) {
    return new SiteNow(
        siteId,
        look(siteId, revisions),
        sites.adopted(siteId),
        pageIds.stream()
            .map(sites::page)
            .sorted(Comparator.comparing(PageState::address))
            .map(page -> new SiteNow.PageNow(page.id(), page.version(), page.root()))
            .toList());
  }

  /** The finishes of a site that revisions can be shown with. */
  SiteFinishes look(String siteId, Map<String, Integer> revisions) {
    int needed =
        revisions.entrySet().stream()
            .mapToInt(e -> pieces.revision(e.getKey(), e.getValue()).finishes())
            .max()
            .orElse(0);
    return needed <= finishes.adopted(siteId)
        ? finishes.forSite(siteId)
        : finishes.forSite(siteId, needed);
  }

  /** The pages that have to be read to know what revisions ask there. */
  List<String> asked(String siteId, Map<String, Integer> revisions) {
    return fillSlotsOfSite(revisions)
        ? usage.pagesUsing(siteId, revisions.keySet())
        : usage.changedPages(siteId, revisions.keySet());
  }

  /** Where slots are filled for the whole site, one page says too little of it. */
  boolean fillSlotsOfSite(Map<String, Integer> revisions) {
    return revisions.entrySet().stream()
        .anyMatch(e -> pieces.expanded(e.getKey(), e.getValue()).mayFillSite());
  }
}
