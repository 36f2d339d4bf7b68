package goodbones.server.coverage;

import goodbones.render.Surroundings;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import java.util.Objects;
import org.springframework.context.ApplicationContext;
import org.springframework.transaction.support.TransactionTemplate;

/** Pages drawn without any drawing that is remembered, to compare with. */
public final class DrawnAnew {
  private DrawnAnew() {}

  /** A whole page as its frame shows it. */
  public static String page(ApplicationContext beans, String pageId) {
    return Objects.requireNonNull(
        beans.getBean(TransactionTemplate.class).execute(status -> drawn(beans, pageId)));
  }

  private static String drawn(ApplicationContext beans, String pageId) {
    Sites sites = beans.getBean(Sites.class);
    Frames frames = beans.getBean(Frames.class);
    PageState page = sites.page(pageId);
    SiteInfo site = sites.get(page.siteId());
    Surroundings surroundings =
        Frames.surroundings(frames.faces(site.id()), frames.facts(site, pageId), frames.pictures());
    return Frames.html(
        new Framing(beans.getBean(Coverages.class), sites)
            .page(page, beans.getBean(FinishesStore.class).forSite(site.id()), surroundings),
        site,
        page.title());
  }
}
