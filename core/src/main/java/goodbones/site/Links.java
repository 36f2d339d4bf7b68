package goodbones.site;

import goodbones.document.PageShown;
import goodbones.document.Uses;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Where stored links lead. Inside a site they are references, so that nothing breaks when a page or
 * a section is renamed or moved:
 *
 * <ul>
 *   <li>{@code page:ID} and {@code page:ID#NODE}, a page, or a section that stands straight on it
 *   <li>{@code role:KIND}, the first page of a kind, for pieces that many clients use
 *   <li>{@code detail:phone} and {@code detail:mail}, the client's
 *   <li>{@code item:page}, the page that an item of a list shows; nowhere outside of such an item
 *   <li>{@code file:ID}, a picture or document of the client
 *   <li>what begins with {@code /} is the address of a page, now or before
 *   <li>anything else is an address outside
 * </ul>
 *
 * @param tree the pages that links can lead to
 * @param sections the addresses of sections, by page and node
 * @param former addresses of before, and ids of pages that were taken away, each with the id of the
 *     page that it leads on to
 * @param files the ids of the pictures and files that there are
 */
public record Links(
    PageTree tree,
    Details details,
    Map<String, Map<String, String>> sections,
    Map<String, String> former,
    Set<String> files) {
  public static final String PAGE = PageShown.PAGE;
  public static final String ROLE = PageShown.ROLE;
  public static final String DETAIL = "detail:";
  public static final String FILE = Uses.FILE;

  /** There is nothing that they could lead to. */
  public static final Links NONE = of(new PageTree(List.of()));

  /** Only pages can be led to. */
  public static Links of(PageTree tree) {
    return of(tree, Map.of());
  }

  /** Only pages can be led to, also by what leads on to them. */
  public static Links of(PageTree tree, Map<String, String> former) {
    return new Links(tree, Details.NONE, Map.of(), former, Set.of());
  }

  /** The page of the site that a link leads to, if it leads to one that there is. */
  public Optional<SitePage> page(String link) {
    if (link.startsWith(PAGE)) {
      return ledOn(beforeHash(link.substring(PAGE.length())));
    }
    if (link.startsWith(ROLE)) {
      return ofKind(link.substring(ROLE.length()));
    }
    if (link.startsWith("/")) {
      String address = beforeHash(link);
      return tree.all().stream()
          .filter(page -> page.address().equals(address))
          .findFirst()
          .or(() -> ledOn(former.getOrDefault(address, "")));
    }
    return Optional.empty();
  }

  /**
   * All pages that a list is to show.
   *
   * @param lot {@code page:ID} for what is filed under a page, {@code role:KIND} for a kind
   * @return in the order of the site; empty if that page or kind is not there
   */
  public List<SitePage> lot(String lot) {
    return lot.startsWith(PAGE)
        ? ledOn(lot.substring(PAGE.length())).map(page -> tree.below(page.id())).orElse(List.of())
        : tree.all().stream().filter(page -> lot.equals(ROLE + page.kind().word())).toList();
  }

  /** What a lot is called in a sentence, such as “filed under Kites”. */
  public String lotTitle(String lot) {
    return lot.startsWith(PAGE)
        ? "filed under “" + page(lot).map(SitePage::title).orElse("a page that is gone") + "”"
        : "of the kind “"
            + Arrays.stream(PageKind.values())
                .filter(kind -> lot.equals(ROLE + kind.word()))
                .map(kind -> kind.title().toLowerCase(Locale.ROOT))
                .findFirst()
                .orElse(lot)
            + "”";
  }

  /** Whether a link of a menu leads to a page. */
  public boolean leads(Menu menu, String pageId) {
    Set<String> to = new HashSet<>();
    menu.walk(item -> page(item.link()).map(SitePage::id).ifPresent(to::add));
    return to.contains(pageId);
  }

  /** A page, or the one that stands for it since it was taken away. */
  private Optional<SitePage> ledOn(String pageId) {
    Set<String> passed = new HashSet<>();
    String id = pageId;
    while (tree.find(id).isEmpty() && former.containsKey(id) && passed.add(id)) {
      id = former.get(id);
    }
    return tree.find(id);
  }

  private Optional<SitePage> ofKind(String word) {
    Optional<SitePage> first =
        tree.all().stream().filter(page -> page.kind().word().equals(word)).findFirst();
    return first.isPresent() || !word.equals(PageKind.HOME.word())
        ? first
        : tree.all().stream().filter(page -> page.address().equals("/")).findFirst();
  }

  private static String beforeHash(String link) {
    int hash = link.indexOf('#');
    return hash < 0 ? link : link.substring(0, hash);
  }

  /**
   * The address that a link stands for.
   *
   * @return empty if it leads nowhere: to a page or file that there is not, or to a detail that is
   *     not set; a file has its address only where it is published, so it is its link
   */
  public Optional<String> address(String link) {
    if (link.startsWith(PAGE)) {
      return page(link).map(page -> page.address() + section(link, page.id()));
    }
    if (link.startsWith(ROLE)) {
      return page(link).map(SitePage::address);
    }
    if (link.startsWith(DETAIL)) {
      return detail(link.substring(DETAIL.length()));
    }
    if (link.startsWith("/")) {
      int hash = link.indexOf('#');
      String section = hash < 0 ? "" : link.substring(hash);
      return page(link).map(page -> page.address() + section);
    }
    if (link.startsWith(FILE)) {
      return Optional.of(link).filter(file -> files.contains(fileOf(file)));
    }
    // What an item shows is known where it is shown only.
    return link.isEmpty() || link.equals(PageShown.LINK) ? Optional.empty() : Optional.of(link);
  }

  /** The id of the file that a link names; empty if it names none. */
  public static String fileOf(String link) {
    return link.startsWith(FILE) ? link.substring(FILE.length()) : "";
  }

  private String section(String link, String pageId) {
    int hash = link.indexOf('#');
    if (hash < 0) {
      return "";
    }
    String address = sections.getOrDefault(pageId, Map.of()).get(link.substring(hash + 1));
    return address == null ? "" : "#" + address;
  }

  private Optional<String> detail(String what) {
    if (what.equals("phone") && !details.phone().isBlank()) {
      return Optional.of("tel:" + details.phone().replaceAll("[^+0-9]", ""));
    }
    return what.equals("mail") && !details.mail().isBlank()
        ? Optional.of("mailto:" + details.mail().strip())
        : Optional.empty();
  }
}
