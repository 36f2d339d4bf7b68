package goodbones.server.sites;

import goodbones.server.history.Changes;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Etag;
import goodbones.server.problems.Stale;
import goodbones.site.Links;
import goodbones.site.PageTree;
import goodbones.site.SitePage;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is said of pages besides what stands on them, and how they are filed under each other. */
@Service
public class PageSettings {
  private static final int TITLE_LIMIT = 120;
  private static final int ADDRESS_LIMIT = 200;
  private static final int DESCRIPTION_LIMIT = 500;
  private static final String ADDRESSES = "addresses";
  private static final String SECTIONS = "sections";

  private final PageRepository pages;
  private final Sites sites;
  private final SiteSheets sheets;
  private final Pictures pictures;
  private final Changes changes;

  PageSettings(
      PageRepository pages, Sites sites, SiteSheets sheets, Pictures pictures, Changes changes) {
    this.changes = changes;
    this.pages = pages;
    this.sites = sites;
    this.sheets = sheets;
    this.pictures = pictures;
  }

  /** Addresses that pages had before, each with the page that it leads to now. */
  record Former(Map<String, String> pages) {}

  /** The addresses of sections, by page and node. */
  record Sections(Map<String, Map<String, String>> pages) {}

  /**
   * Says something else of a page. Where its address changes, the former one leads on to it. What
   * others are about on the page meanwhile holds, as nothing on it is touched.
   *
   * @param etag of what was said of it where this was decided
   * @param who does so
   * @throws Stale if something else is said of it by now
   * @throws BadInput if a part cannot be so, or another page has the address
   */
  @Transactional
  public void describe(String pageId, String etag, PageSaid said, String who) {
    String siteId = sites.siteOf(pageId);
    sites.hold(siteId);
    PageEntity page = pages.findById(pageId).orElseThrow();
    Etag.require(etag, page.said().etag(), "This page");
    if (page.shared()) {
      throw new BadInput("page", "This is a shared part, and no page with an address");
    }
    BadInput.require(
        !said.title().isBlank() && said.title().length() <= TITLE_LIMIT,
        "title",
        "Give the page a title of 1 to " + TITLE_LIMIT + " characters");
    BadInput.require(
        said.description().length() <= DESCRIPTION_LIMIT,
        "description",
        "The description has more than " + DESCRIPTION_LIMIT + " characters; shorten it");
    BadInput.require(
        said.address().length() <= ADDRESS_LIMIT
            && said.address().matches("/|(/[\\p{L}\\p{Nd}]+([-_.~][\\p{L}\\p{Nd}]+)*)+"),
        "address",
        "“"
            + said.address()
            + "” is no address for a page: it begins with / and has letters, digits and hyphens");
    BadInput.require(
        said.picture().isEmpty()
            || pictures.book().find(said.picture()).filter(one -> one.isFor(siteId)).isPresent(),
        "picture",
        "There is no such picture for this client: choose one that is offered");
    String before = page.said().address();
    if (!said.address().equals(before)) {
      BadInput.require(
          !pages.hasAddress(siteId, said.address()),
          "address",
          "Another page is at " + said.address() + " already; give this one another address");
      leadOn(
          siteId,
          former -> {
            former.put(before, pageId);
            former.remove(said.address());
          });
    }
    long version = page.version();
    page.describe(said);
    pages.saveAndFlush(page);
    noteIfChanged(page, version, "settings of the page", who);
    sites.refile(siteId);
  }

  /** The tag of how pages are filed under each other. */
  static String etag(PageTree tree) {
    return Etag.of(
        tree.all().stream().flatMap(page -> Stream.of(page.id(), page.parent())).toArray());
  }

  private void noteIfChanged(PageEntity page, long before, String what, String who) {
    if (page.version() != before) {
      changes.made(
          Changes.ofPage(page.id()), page.version(), new Changes.Change(who, what, Set.of()));
    }
  }

  private SiteSheets.Kept<Former> former(String siteId) {
    return sheets.read(siteId, ADDRESSES, Former.class, new Former(Map.of()));
  }

  /**
   * Addresses of before, and ids of pages that are gone, each with the page that it leads on to.
   */
  @Transactional(readOnly = true)
  public Map<String, String> formerAddresses(String siteId) {
    return former(siteId).said().pages();
  }

  /**
   * Changes what leads on to which page.
   *
   * @param change is given all of it, to be changed
   */
  void leadOn(String siteId, Consumer<Map<String, String>> change) {
    SiteSheets.Kept<Former> kept = former(siteId);
    Map<String, String> former = new TreeMap<>(kept.said().pages());
    change.accept(former);
    sheets.write(siteId, ADDRESSES, kept.version(), new Former(former), "The former addresses");
  }

  /**
   * Addresses that lead on, each to the address of its page now.
   *
   * @param tree the pages that they can lead to
   */
  @Transactional(readOnly = true)
  public Map<String, String> leadOn(String siteId, PageTree tree) {
    Set<String> taken = tree.all().stream().map(SitePage::address).collect(Collectors.toSet());
    Map<String, String> leads = new TreeMap<>();
    Links links = Links.of(tree, formerAddresses(siteId));
    former(siteId).said().pages().keySet().stream()
        .filter(address -> address.startsWith("/") && !taken.contains(address))
        .forEach(address -> links.page(address).ifPresent(to -> leads.put(address, to.address())));
    return leads;
  }

  /** The addresses of the sections of all pages, by page and node. */
  @Transactional(readOnly = true)
  public Map<String, Map<String, String>> sections(String siteId) {
    return sheets.read(siteId, SECTIONS, Sections.class, new Sections(Map.of())).said().pages();
  }

  /** Keeps the addresses of sections, so that they stay when what they are called changes. */
  @Transactional
  public void keepSections(String siteId, Map<String, Map<String, String>> now) {
    SiteSheets.Kept<Sections> kept =
        sheets.read(siteId, SECTIONS, Sections.class, new Sections(Map.of()));
    if (!kept.said().pages().equals(now)) {
      sheets.write(siteId, SECTIONS, kept.version(), new Sections(now), "The sections");
    }
  }

  /**
   * Where a page stands in its site.
   *
   * @param parent the page that it is filed under; empty for the top
   */
  public record Filed(String id, String parent) {}

  /**
   * Files all pages of a site anew.
   *
   * @param filed every page once, in their order
   * @param who does so
   * @throws BadInput if one is missing, stands twice, or would be filed under itself
   */
  @Transactional
  public void file(String siteId, String etag, List<Filed> filed, String who) {
    sites.hold(siteId);
    Etag.require(etag, etag(sites.tree(siteId)), "The order of the pages");
    Map<String, PageEntity> known =
        pages.ofSite(siteId).stream().collect(Collectors.toMap(PageEntity::id, page -> page));
    Set<String> seen = new HashSet<>();
    List<SitePage> tree = new ArrayList<>();
    for (Filed one : filed) {
      BadInput.require(
          known.containsKey(one.id()) && seen.add(one.id()),
          "pages",
          "The pages were changed by somebody else meanwhile: look at them again");
      tree.add(new SitePage(one.id(), "", "", goodbones.site.PageKind.PAGE, one.parent(), true));
    }
    BadInput.require(
        seen.size() == known.size(),
        "pages",
        "The pages were changed by somebody else meanwhile: look at them again");
    PageTree read = new PageTree(tree);
    for (Filed one : filed) {
      BadInput.require(
          one.parent().isEmpty() || read.upwards(one.id()).size() > 1,
          "pages",
          "A page cannot be filed under itself or under what is below it");
    }
    Map<String, Long> versions = new TreeMap<>();
    known.forEach((id, page) -> versions.put(id, page.version()));
    int position = 0;
    for (Filed one : filed) {
      PageEntity page = java.util.Objects.requireNonNull(known.get(one.id()));
      page.file(one.parent(), position++);
      pages.save(page);
    }
    pages.flush();
    known.forEach((id, page) -> noteIfChanged(page, versions.get(id), "filing of pages", who));
    sites.refile(siteId);
  }
}
