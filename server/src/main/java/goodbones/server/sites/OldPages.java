package goodbones.server.sites;

import goodbones.document.Node;
import goodbones.server.documents.DocumentJson;
import goodbones.server.library.Pieces;
import goodbones.server.library.UsageIndex;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Carries pages of before over, before the port is open: what stands where is written down beside
 * the documents.
 */
@Component
public class OldPages implements SmartInitializingSingleton {
  private final PageRepository pages;
  private final Pieces pieces;
  private final UsageIndex usage;

  OldPages(PageRepository pages, Pieces pieces, UsageIndex usage) {
    this.pages = pages;
    this.pieces = pieces;
    this.usage = usage;
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    carryOver();
  }

  /** Does that once; what is carried over already stays as it is. */
  @Transactional
  public void carryOver() {
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
