package goodbones.server.drawing;

import goodbones.server.files.ClientFiles;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.PageSettings;
import goodbones.site.Links;
import goodbones.site.PageTree;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What links of a client lead to. */
@Component
public class SiteLinks {
  private final ClientDetails details;
  private final PageSettings settings;
  private final ClientFiles files;

  SiteLinks(ClientDetails details, PageSettings settings, ClientFiles files) {
    this.details = details;
    this.settings = settings;
    this.files = files;
  }

  /**
   * @param tree the pages that they can lead to
   * @param sections the addresses of sections, by page and node
   */
  @Transactional(readOnly = true)
  public Links of(String siteId, PageTree tree, Map<String, Map<String, String>> sections) {
    return new Links(
        tree,
        details.of(siteId),
        sections,
        settings.formerAddresses(siteId),
        files.linkable(siteId));
  }
}
