package goodbones.server.links;

import goodbones.document.Field;
import goodbones.document.PageShown;
import goodbones.server.drawing.Sections;
import goodbones.server.drawing.SiteLinks;
import goodbones.server.files.ClientFiles;
import goodbones.server.files.FileView;
import goodbones.server.memory.Memory;
import goodbones.server.pictures.Pictures;
import goodbones.server.sites.PageInfo;
import goodbones.server.sites.PageSettings;
import goodbones.server.sites.Sites;
import goodbones.site.Addresses;
import goodbones.site.Links;
import goodbones.site.PageKind;
import goodbones.site.PageTree;
import goodbones.site.SitePage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds what links of a site can lead to. */
@Service
class LinkTargets {
  private static final int MOST = 24;
  private static final int MOST_SECTIONS = 100_000;
  private static final String PICTURE = "picture";

  private static final String OF_ITEM = "The page that the item shows";
  private static final String IN_LISTS = "in lists of pages";
  private final Sites sites;
  private final SiteLinks siteLinks;
  private final PageSettings settings;
  private final ClientFiles files;
  private final Pictures pictures;
  private final Memory<Looked, List<Addresses.Named>> known =
      new Memory<>(MOST_SECTIONS, List::size);

  LinkTargets(
      Sites sites,
      SiteLinks siteLinks,
      PageSettings settings,
      ClientFiles files,
      Pictures pictures) {
    this.sites = sites;
    this.siteLinks = siteLinks;
    this.settings = settings;
    this.files = files;
    this.pictures = pictures;
  }

  /**
   * Something that a link can lead to.
   *
   * @param link what is stored
   * @param kind page, section, role, item, detail, file, outside or nowhere
   * @param where the address that it stands for now; empty if it leads nowhere
   */
  record Target(String link, String kind, String title, String where) {}

  @Transactional(readOnly = true)
  List<Target> of(String siteId, String typed, String pageId) {
    String words = typed.strip().toLowerCase(Locale.ROOT);
    PageTree tree = sites.tree(siteId);
    Links links = links(siteId, tree);
    List<Target> all = new ArrayList<>();
    if (isOutside(typed.strip())) {
      all.add(new Target(typed.strip(), "outside", typed.strip(), typed.strip()));
    }
    tree.all().stream()
        .filter(
            page ->
                fits(page.title(), words)
                    || words.startsWith("/") && page.address().startsWith(words))
        .forEach(
            page ->
                all.add(new Target(Links.PAGE + page.id(), "page", page.title(), page.address())));
    all.addAll(sections(siteId, pageId, words));
    for (PageKind kind : PageKind.values()) {
      String link = Links.ROLE + kind.word();
      String title = "The first page of the kind " + kind.title().toLowerCase(Locale.ROOT);
      if (kind != PageKind.PAGE && (fits(title, words) || fits(kind.title(), words))) {
        all.add(new Target(link, "role", title, links.address(link).orElse("")));
      }
    }
    if (fits(OF_ITEM, words)) {
      all.add(new Target(PageShown.LINK, "item", OF_ITEM, IN_LISTS));
    }
    detail(all, links, words, "phone", "The client’s phone number");
    detail(all, links, words, "mail", "The client’s mail address");
    files.of(siteId).stream()
        .filter(file -> !file.away() && fits(file.fileName(), words))
        .forEach(file -> all.add(target(file)));
    if (!words.isEmpty()) {
      pictures.of(siteId).stream()
          .filter(picture -> fits(picture.fileName(), words))
          .forEach(
              picture ->
                  all.add(
                      new Target(Links.FILE + picture.id(), "file", picture.fileName(), PICTURE)));
    }
    return all.stream()
        .sorted(
            Comparator.comparing(
                target ->
                    !words.isEmpty() && target.title().toLowerCase(Locale.ROOT).startsWith(words)
                        ? 0
                        : 1))
        .limit(MOST)
        .toList();
  }

  private Links links(String siteId, PageTree tree) {
    return siteLinks.of(siteId, tree, settings.sections(siteId));
  }

  private static boolean fits(String title, String words) {
    String text = title.toLowerCase(Locale.ROOT);
    return Arrays.stream(words.split("\\s+")).allMatch(text::contains);
  }

  private static boolean isOutside(String typed) {
    return typed.matches("(https?://|mailto:|tel:).+") && Field.isLink(typed);
  }

  private static void detail(
      List<Target> all, Links links, String words, String what, String title) {
    String link = Links.DETAIL + what;
    if (fits(title, words)) {
      all.add(new Target(link, "detail", title, links.address(link).orElse("")));
    }
  }

  /** All that the names of a page’s sections depend on. */
  private record Looked(String page, long version, long stamp) {}

  /** Sections of the page itself, and with words those of all pages, that page first. */
  private List<Target> sections(String siteId, String pageId, String words) {
    long stamp = sites.stamp(siteId);
    return sites.documentInfos(siteId).stream()
        .filter(page -> !page.shared() && (page.id().equals(pageId) || !words.isEmpty()))
        .sorted(Comparator.comparing(page -> page.id().equals(pageId) ? 0 : 1))
        .flatMap(page -> sections(page, stamp).stream())
        .filter(section -> fits(section.title() + " " + section.where(), words))
        .toList();
  }

  private List<Target> sections(PageInfo page, long stamp) {
    return known
        .get(
            new Looked(page.id(), page.version(), stamp),
            () -> Sections.of(sites.shown(sites.page(page.id()))))
        .stream()
        .map(
            section ->
                new Target(
                    Links.PAGE + page.id() + "#" + section.id(),
                    "section",
                    section.name(),
                    "on “" + page.title() + "”"))
        .toList();
  }

  private static Target target(FileView file) {
    return new Target(Links.FILE + file.id(), "file", file.fileName(), file.kind());
  }

  @Transactional(readOnly = true)
  Target target(String siteId, String link) {
    PageTree tree = sites.tree(siteId);
    Links links = links(siteId, tree);
    Optional<String> address = links.address(link);
    Optional<SitePage> page = links.page(link);
    if (page.isPresent()) {
      int hash = link.indexOf('#');
      Optional<Target> section =
          hash < 0 || !link.startsWith(Links.PAGE)
              ? Optional.empty()
              : sites.documentInfos(siteId).stream()
                  .filter(one -> one.id().equals(page.get().id()))
                  .flatMap(one -> sections(one, sites.stamp(siteId)).stream())
                  .filter(one -> one.link().equals(link))
                  .findFirst();
      if (hash >= 0 && link.startsWith(Links.PAGE + page.get().id() + "#") && section.isEmpty()) {
        return new Target(link, "nowhere", "A section that is not there any more", "");
      }
      return section.orElseGet(
          () -> new Target(link, "page", page.get().title(), page.get().address()));
    }
    if (link.startsWith(Links.FILE)) {
      String id = Links.fileOf(link);
      if (address.isEmpty()) {
        return new Target(link, "nowhere", "A file that is not there any more", "");
      }
      return pictures.exists(id)
          ? new Target(link, "file", pictures.get(id).fileName(), PICTURE)
          : target(files.view(id));
    }
    if (link.startsWith(Links.PAGE) || link.startsWith(Links.ROLE)) {
      return new Target(
          link,
          "nowhere",
          link.startsWith(Links.PAGE)
              ? "A page that is not there any more"
              : "No page of that kind here",
          "");
    }
    if (link.equals(PageShown.LINK)) {
      return new Target(link, "item", OF_ITEM, IN_LISTS);
    }
    if (link.startsWith(Links.DETAIL)) {
      String what = link.substring(Links.DETAIL.length());
      return new Target(link, "detail", "The client’s " + what, address.orElse(""));
    }
    return new Target(link, link.isEmpty() ? "nowhere" : "outside", link, link);
  }
}
