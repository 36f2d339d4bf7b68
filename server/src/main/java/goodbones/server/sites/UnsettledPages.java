package goodbones.server.sites;

import goodbones.document.Node;
import goodbones.server.documents.DocumentJson;
import java.time.Clock;
import java.util.List;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Placements that were stored before they knew the revision that they are settled on are settled on
 * the one that they show, before the port is open.
 */
@Component
class UnsettledPages implements SmartInitializingSingleton {
  private final PageRepository pages;
  private final Sites sites;
  private final Clock clock;

  UnsettledPages(PageRepository pages, Sites sites, Clock clock) {
    this.pages = pages;
    this.sites = sites;
    this.clock = clock;
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    List<PageEntity> unsettled = pages.unsettled();
    for (PageEntity page : unsettled) {
      Node root = DocumentJson.read(page.document(), Node.class);
      page.write(DocumentJson.write(sites.adopted(page.siteId()).settled(root)), clock.instant());
    }
    pages.saveAll(unsettled);
  }
}
