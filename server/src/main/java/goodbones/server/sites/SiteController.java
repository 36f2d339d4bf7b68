package goodbones.server.sites;

import goodbones.server.library.Pieces;
import goodbones.site.PageTree;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class SiteController {
  private final Sites sites;
  private final Pieces pieces;
  private final StandInCounts standIns;

  SiteController(Sites sites, Pieces pieces, StandInCounts standIns) {
    this.sites = sites;
    this.pieces = pieces;
    this.standIns = standIns;
  }

  record NewPage(String title) {}

  record MadePage(String id) {}

  /**
   * @param etag of how its pages are filed
   */
  record SiteView(String id, String name, String etag, List<PageView> pages) {}

  /**
   * A client where all of them are seen.
   *
   * @param inWork how many of its pages are not ready for visitors
   * @param home the id of its home page; empty if it has none
   */
  record SiteCard(String id, String name, int pages, int inWork, Instant changed, String home) {}

  /**
   * @param picture the id of the one that stands for it; empty for none
   * @param kind the word of its kind
   * @param parent the page that it is filed under; empty at the top
   * @param depth how many pages it is filed under
   * @param ready whether it is for visitors
   * @param pieces how many placements it has
   * @param etag of what is said of it
   */
  record PageView(
      String id,
      String title,
      String address,
      String description,
      String picture,
      String kind,
      String parent,
      int depth,
      boolean ready,
      Instant changed,
      int sections,
      int pieces,
      long version,
      String etag) {}

  /** A place to jump to. */
  record JumpTarget(String kind, String title, String where, String to) {}

  @PostMapping("/sites/{id}/pages")
  MadePage newPage(@PathVariable String id, @RequestBody NewPage page) {
    return new MadePage(sites.newPage(id, page.title()));
  }

  /** How many stand-ins are left on each page of a site, by the ids of the pages. */
  @GetMapping("/sites/{id}/stand-ins")
  Map<String, Integer> standIns(@PathVariable String id) {
    return standIns.of(id);
  }

  /** Everything that can be jumped to by its name, besides tokens. */
  @GetMapping("/jump")
  List<JumpTarget> jump() {
    List<JumpTarget> targets = new ArrayList<>();
    Map<String, List<PageName>> names =
        sites.pageNames().stream().collect(Collectors.groupingBy(PageName::siteId));
    sites
        .all()
        .forEach(
            site -> {
              targets.add(new JumpTarget("site", site.name(), "Sites", "/sites/" + site.id()));
              names
                  .getOrDefault(site.id(), List.of())
                  .forEach(
                      page ->
                          targets.add(
                              new JumpTarget(
                                  "page",
                                  page.title(),
                                  site.name(),
                                  "/sites/" + site.id() + "/pages/" + page.id())));
            });
    pieces
        .names()
        .forEach(
            (id, name) -> targets.add(new JumpTarget("piece", name, "Library", "/library/" + id)));
    return targets;
  }

  @GetMapping("/sites")
  List<SiteCard> sites() {
    Map<String, PageCount> counts = sites.pageCounts();
    Map<String, String> homes = sites.homes();
    return sites.all().stream()
        .map(
            site -> {
              PageCount count =
                  counts.getOrDefault(site.id(), new PageCount(site.id(), 0, 0, Instant.EPOCH));
              return new SiteCard(
                  site.id(),
                  site.name(),
                  (int) count.pages(),
                  (int) count.inWork(),
                  count.changed(),
                  homes.getOrDefault(site.id(), ""));
            })
        .toList();
  }

  /** A site with its pages, each before what is filed under it. */
  @GetMapping("/sites/{id}")
  SiteView site(@PathVariable String id) {
    Map<String, PageInfo> infos =
        sites.pageInfos(id).stream().collect(Collectors.toMap(PageInfo::id, each -> each));
    PageTree tree = sites.tree(id);
    return new SiteView(
        id,
        sites.get(id).name(),
        PageSettings.etag(tree),
        tree.all().stream()
            .map(page -> page(Objects.requireNonNull(infos.get(page.id())), tree))
            .toList());
  }

  private static PageView page(PageInfo page, PageTree tree) {
    return new PageView(
        page.id(),
        page.title(),
        page.address(),
        page.description(),
        page.picture(),
        page.kind().word(),
        tree.depth(page.id()) == 0 ? "" : page.parent(),
        tree.depth(page.id()),
        page.ready(),
        page.changed(),
        page.sections(),
        page.pieces(),
        page.version(),
        page.said().etag());
  }
}
