package goodbones.server.links;

import com.fasterxml.jackson.annotation.JsonProperty;
import goodbones.document.NodeId;
import goodbones.server.drawing.Sections;
import goodbones.server.problems.Etag;
import goodbones.server.problems.NotFound;
import goodbones.server.sites.PageSettings;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import goodbones.site.Addresses;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The addresses of sections, which stay when a section is renamed unless somebody asks. */
@Service
class SectionAddresses {
  private final Sites sites;
  private final PageSettings settings;

  SectionAddresses(Sites sites, PageSettings settings) {
    this.sites = sites;
    this.settings = settings;
  }

  /**
   * The address of a section.
   *
   * @param address what follows the # in the page's address
   * @param byName what its name would make of it now
   */
  record SectionAddress(String address, String byName) {
    @JsonProperty(required = true)
    String etag() {
      return Etag.of(address, byName);
    }
  }

  /**
   * @throws NotFound if no such section stands straight on the page
   */
  @Transactional(readOnly = true)
  SectionAddress of(String pageId, String node) {
    On on = on(pageId, node);
    return new SectionAddress(on.kept().get(on.section()), on.byName().get(on.section()));
  }

  /**
   * Lets a section's address follow what it is called now. Links of the site follow too.
   *
   * @param etag of the address that was seen
   * @throws NotFound if no such section stands straight on the page
   */
  @Transactional
  SectionAddress follow(String pageId, String node, String etag) {
    Etag.require(etag, of(pageId, node).etag(), "The address of this section");
    On on = on(pageId, node);
    String siteId = sites.siteOf(pageId);
    Map<String, Map<String, String>> all = new HashMap<>(settings.sections(siteId));
    all.put(pageId, on.byName());
    settings.keepSections(siteId, all);
    return of(pageId, node);
  }

  /** A section, with the addresses of its page's sections as they are and as they would be. */
  private record On(String section, Map<String, String> kept, Map<String, String> byName) {}

  private On on(String pageId, String node) {
    PageState page = sites.page(pageId);
    List<Addresses.Named> sections = Sections.of(sites.shown(page));
    String section = NodeId.of(node).outer().value();
    if (sections.stream().noneMatch(each -> each.id().equals(section))) {
      throw new NotFound("section of this page", node);
    }
    Map<String, String> known =
        settings.sections(sites.siteOf(pageId)).getOrDefault(pageId, Map.of());
    Map<String, String> others = new HashMap<>(known);
    others.remove(section);
    return new On(
        section, Addresses.sections(sections, known), Addresses.sections(sections, others));
  }
}
