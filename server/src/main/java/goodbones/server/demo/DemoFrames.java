package goodbones.server.demo;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.server.coverage.Coverages;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import goodbones.site.Details;
import goodbones.site.Menu;
import goodbones.site.Region;
import goodbones.site.Scope;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What stands around the pages of the demo’s clients: details, menus, headers and footers. */
final class DemoFrames {
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
    coverages.around("tern-valley", "tv-waiting").stream()
        .filter(each -> each.region() == Region.BAND_ABOVE)
        .forEach(
            notice -> say(notice.part(), "Work morning this Saturday: the gate opens at eight."));
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

  /** Fills the words of the one thing that a shared part shows. */
  private void say(String part, String words) {
    PageState notice = sites.page(part);
    Node filled =
        notice
            .root()
            .withChildren(
                notice.root().children().stream()
                    .map(
                        band ->
                            band.withPlacement(
                                band.placement()
                                    .orElseThrow()
                                    .withChange(
                                        new LocalKey(
                                            NodeId.of("st-band-notice-text1"),
                                            Aspect.content("words")),
                                        Optional.of(
                                            new LocalValue.ContentIs(
                                                new FieldValue.Words(words))))))
                    .toList());
    sites.write(part, notice.version(), filled);
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
