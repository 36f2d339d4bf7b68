package goodbones.server.demo;

import static goodbones.server.demo.Make.words;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.Placement;
import goodbones.server.coverage.Coverages;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import goodbones.site.Details;
import goodbones.site.Links;
import goodbones.site.Menu;
import goodbones.site.Region;
import goodbones.site.Scope;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What stands around the pages of the demo’s clients: details, menus, headers and footers. */
final class DemoFrames {
  static final String TIMETABLE = "saltmarsh-timetable";

  private final ClientDetails details;
  private final Coverages coverages;
  private final Sites sites;

  DemoFrames(ClientDetails details, Coverages coverages, Sites sites) {
    this.sites = sites;
    this.details = details;
    this.coverages = coverages;
  }

  void ferries() {
    details.begin(
        "saltmarsh-ferries",
        new Details(
            "01632 960 114",
            "quay@saltmarsh-ferries.example",
            "Wick Quay\nSaltmarsh\nWK1 4QY",
            "Every day, 9 to 6\nWinter: Friday to Monday",
            List.of()),
        menu(Menu.MAIN, "sf-timetable", "sf-fares", "sf-islands", "sf-before"),
        new Menu(
            "Footer",
            List.of(
                new Menu.Item("", "page:sf-before", List.of()),
                new Menu.Item("", "page:sf-fares", List.of()),
                new Menu.Item("Timetable to print", Links.FILE + TIMETABLE, List.of()))));
    give("saltmarsh-ferries", Region.HEADER, "st-header-line");
    give("saltmarsh-ferries", Region.FOOTER, "st-footer-columns");
    say(
        "sf-home",
        Region.FOOTER,
        words("st-footer-columns-label1", "The quay"),
        words("st-footer-columns-label2", "The ticket hut"),
        words("st-footer-columns-label3", "On board"));
  }

  void museum() {
    details.begin(
        "oakum-rope-museum",
        new Details(
            "01632 960 227",
            "wheel@oakum-rope.example",
            "The Long Shed\n4 Ropewalk\nOakum",
            "Tuesday to Sunday, 10 to 5",
            List.of()),
        menu(Menu.MAIN, "om-home", "om-visit", "om-walk", "om-schools", "om-numbers"),
        menu("Footer", "om-visit", "om-schools"));
    give("oakum-rope-museum", Region.HEADER, "st-header-above");
    give("oakum-rope-museum", Region.FOOTER, "st-footer-name");
  }

  void allotments() {
    details.begin(
        "tern-valley",
        new Details(
            "01632 960 338",
            "plots@tern-valley.example",
            "The Shed\nBend Lane\nTern Valley",
            "The shed is open Saturday, 10 to 12",
            List.of()),
        menu(Menu.MAIN, "tv-seasons", "tv-how", "tv-people", "tv-waiting"),
        menu("Footer", "tv-how", "tv-people"));
    give("tern-valley", Region.HEADER, "st-header-line");
    coverages.give(
        "tern-valley",
        Region.BAND_ABOVE,
        "Notice",
        new Scope.OnePage("tv-waiting"),
        Set.of(),
        "st-band-notice");
    say(
        "tv-waiting",
        Region.BAND_ABOVE,
        words("st-band-notice-text1", "Work morning this Saturday: the gate opens at eight."));
    give("tern-valley", Region.FOOTER, "st-footer-line");
  }

  void clocks() {
    details.begin(
        "quillon-clocks",
        new Details(
            "01632 960 445",
            "bench@quillon-clocks.example",
            "11 Fob Yard\nQuillon",
            "Wednesday to Saturday, 10 to 4",
            List.of()),
        menu(Menu.MAIN, "qc-repairs", "qc-bench", "qc-turret", "qc-prices"),
        menu("Footer", "qc-prices", "qc-bench"));
    give("quillon-clocks", Region.HEADER, "st-header-line");
    give("quillon-clocks", Region.FOOTER, "st-footer-action");
    say(
        "qc-home",
        Region.FOOTER,
        words("st-footer-action-heading1", "Has it stopped?"),
        words("st-footer-action-text1", "Bring it up the stairs, or ask what it needs first."),
        words("st-footer-action-button1", "Ask at the bench"));
  }

  /** Fills the words of what stands around a page, for all pages that have it. */
  @SafeVarargs
  private void say(String page, Region region, Map.Entry<LocalKey, LocalValue>... words) {
    String part =
        coverages.around(sites.siteOf(page), page).stream()
            .filter(standing -> standing.region() == region)
            .findFirst()
            .orElseThrow()
            .part();
    PageState now = sites.page(part);
    Node section = now.root().children().get(0);
    Placement placement = section.placement().orElseThrow();
    for (Map.Entry<LocalKey, LocalValue> one : words) {
      placement = placement.with(one.getKey(), one.getValue());
    }
    Node said = now.root().withChildren(List.of(section.withPlacement(placement)));
    sites.write(part, now.version(), said);
  }

  private void give(String site, Region region, String piece) {
    coverages.give(site, region, "", new Scope.WholeSite(), Set.of(), piece);
  }

  private static Menu menu(String name, String... pages) {
    return new Menu(
        name,
        Arrays.stream(pages).map(page -> new Menu.Item("", "page:" + page, List.of())).toList());
  }
}
