package goodbones.server.sites;

import goodbones.document.Node;
import goodbones.server.documents.DocumentJson;
import goodbones.server.library.Pieces;
import goodbones.server.library.UsageIndex;
import java.time.Clock;
import java.util.List;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Carries pages of before over, before the port is open: placements that were stored before they
 * knew the revision that they are settled on are settled on the one that they show; and what stands
 * where is written down beside the documents.
 */
@Component
public class OldPages implements SmartInitializingSingleton {
  private final PageRepository pages;
  private final Sites sites;
  private final Pieces pieces;
  private final UsageIndex usage;
  private final Clock clock;

  OldPages(PageRepository pages, Sites sites, Pieces pieces, UsageIndex usage, Clock clock) {
    this.pages = pages;
    this.sites = sites;
    this.pieces = pieces;
    this.usage = usage;
    this.clock = clock;
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    carryOver();
  }

  /** Does that once; what is carried over already stays as it is. */
  @Transactional
  public void carryOver() {
    List<PageEntity> unsettled = pages.unsettled();
    for (PageEntity page : unsettled) {
      Node root = sites.adopted(page.siteId()).settled(read(page));
      page.write(DocumentJson.write(root), root.children().size(), clock.instant());
    }
    pages.saveAllAndFlush(unsettled);
    boolean unreferred = usage.isEmpty();
    if (unreferred) {
      pieces.indexReferences();
    }
    if (unreferred || usage.isPlacedEmpty()) {
      for (PageEntity page : pages.findAll()) {
        Node root = read(page);
        page.count(root.children().size());
        usage.page(page.siteId(), page.id(), root);
      }
    }
  }

  private static Node read(PageEntity page) {
    return DocumentJson.read(page.document(), Node.class);
  }
}
