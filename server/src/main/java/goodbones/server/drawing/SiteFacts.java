package goodbones.server.drawing;

import goodbones.render.Facts;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import java.time.Clock;
import java.time.Year;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What drawings show of a client: its details, menus and pages. */
@Component
public class SiteFacts {
  private final ClientDetails details;
  private final Sites sites;
  private final SiteLinks links;
  private final Clock clock;

  SiteFacts(ClientDetails details, Sites sites, SiteLinks links, Clock clock) {
    this.details = details;
    this.sites = sites;
    this.links = links;
    this.clock = clock;
  }

  /**
   * @param page the id of the page that is drawn; empty for none
   */
  @Transactional(readOnly = true)
  public Facts of(SiteInfo site, String page) {
    if (site.id().isEmpty()) {
      return Facts.NONE;
    }
    return Facts.of(
        site.name(),
        site.logo(),
        details.menus(site.id()),
        links.of(site.id(), sites.tree(site.id()), Map.of()),
        page,
        Year.now(clock).getValue());
  }
}
