package goodbones.server.sites;

import goodbones.server.library.Pieces;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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

  record SiteView(String id, String name, List<PageView> pages) {}

  /**
   * @param pieces how many placements it has
   */
  record PageView(
      String id, String title, String address, Instant changed, int sections, int pieces) {}

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
    Map<String, List<PageInfo>> infos = infos();
    sites
        .all()
        .forEach(
            site -> {
              targets.add(new JumpTarget("site", site.name(), "Sites", "/sites/" + site.id()));
              infos
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
  List<SiteView> sites() {
    Map<String, List<PageInfo>> infos = infos();
    return sites.all().stream()
        .map(
            site ->
                new SiteView(
                    site.id(),
                    site.name(),
                    infos.getOrDefault(site.id(), List.of()).stream()
                        .map(SiteController::page)
                        .toList()))
        .toList();
  }

  private Map<String, List<PageInfo>> infos() {
    return sites.pageInfos().stream().collect(Collectors.groupingBy(PageInfo::siteId));
  }

  private static PageView page(PageInfo page) {
    return new PageView(
        page.id(), page.title(), page.address(), page.changed(), page.sections(), page.pieces());
  }
}
