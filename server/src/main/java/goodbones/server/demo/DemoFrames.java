package goodbones.server.demo;

import goodbones.server.coverage.Coverages;
import goodbones.server.sites.ClientDetails;
import goodbones.site.Details;
import goodbones.site.Menu;
import goodbones.site.Region;
import goodbones.site.Scope;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** What stands around the pages of the demo’s clients: details, menus, headers and footers. */
final class DemoFrames {
  private final ClientDetails details;
  private final Coverages coverages;

  DemoFrames(ClientDetails details, Coverages coverages) {
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
        menu("Footer", "sf-before", "sf-fares"));
    give("saltmarsh-ferries", Region.HEADER, "st-header-line");
    give("saltmarsh-ferries", Region.FOOTER, "st-footer-columns");
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
