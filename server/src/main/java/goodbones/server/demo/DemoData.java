package goodbones.server.demo;

import goodbones.document.StyleValue;
import goodbones.server.coverage.Coverages;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import goodbones.server.pictures.Pictures;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.server.starters.FirstLibrary;
import goodbones.style.FinishesStep;
import goodbones.style.SiteFinishes;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Fills an empty store with the demo's finishes, pieces, sites and pages, before the port is open.
 */
@Component
@ConditionalOnProperty("goodbones.demo")
class DemoData implements SmartInitializingSingleton {

  private final FinishesStore finishes;
  private final Pieces pieces;
  private final Sites sites;
  private final Pictures pictures;
  private final FirstLibrary library;
  private final ClientDetails details;
  private final Coverages coverages;
  private final boolean work;

  /**
   * @param work whether the agency is in the middle of its work, with something waiting to be
   *     rolled out and a page that is held
   */
  DemoData(
      FinishesStore finishes,
      Pieces pieces,
      Sites sites,
      Pictures pictures,
      FirstLibrary library,
      ClientDetails details,
      Coverages coverages,
      @Value("${goodbones.demo.work:true}") boolean work) {
    this.finishes = finishes;
    this.pieces = pieces;
    this.sites = sites;
    this.pictures = pictures;
    this.library = library;
    this.details = details;
    this.coverages = coverages;
    this.work = work;
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    if (!sites.all().isEmpty()) {
      return;
    }
    for (String picture :
        List.of(
            "ferry-at-dusk",
            "harbour-morning",
            "ropewalk",
            "rope-coils",
            "roof-frame",
            "plots-in-june",
            "tool-shed",
            "clock-bench",
            "long-case",
            "saltmarsh-logo",
            "oakum-logo",
            "tern-valley-logo",
            "quillon-logo")) {
      pictures.add(picture, picture + ".svg", bytes(picture + ".svg"));
    }
    library.begin();
    new DemoPieces(pieces).add();
    DemoWork inWork = new DemoWork(pieces, sites);
    if (work) {
      inWork.begin();
    }
    MorePages more = new MorePages(pieces);
    client(
        new SiteInfo("saltmarsh-ferries", "Saltmarsh Ferries", "en-GB", "saltmarsh-logo"),
        DemoFinishes.ferries(),
        DemoPages.ferries(),
        more.ferries());
    client(
        new SiteInfo("oakum-rope-museum", "Oakum Rope Museum", "en-GB", "oakum-logo"),
        DemoFinishes.museum(),
        DemoPages.museum(),
        more.museum());
    client(
        new SiteInfo("tern-valley", "Tern Valley Allotments", "en-GB", "tern-valley-logo"),
        DemoFinishes.allotments(),
        DemoPages.allotments(),
        more.allotments());
    client(
        new SiteInfo("quillon-clocks", "Quillon Clock Repair", "en-GB", "quillon-logo"),
        DemoFinishes.clocks(),
        DemoPages.clocks(),
        more.clocks());
    DemoFrames frames = new DemoFrames(details, coverages, sites);
    frames.ferries();
    frames.museum();
    frames.allotments();
    frames.clocks();
    if (work) {
      inWork.goOn();
    }
  }

  private void client(
      SiteInfo site,
      Map<String, String> own,
      List<DemoPages.Page> pages,
      List<DemoPages.Page> more) {
    sites.add(site);
    finishes.adopt(site.id(), finishes.current());
    own(site.id(), own);
    for (DemoPages.Page page : Stream.concat(pages.stream(), more.stream()).toList()) {
      sites.addPage(
          page.id(), site.id(), page.title(), page.address(), page.description(), page.root());
    }
  }

  private void own(String site, Map<String, String> values) {
    SiteFinishes house = finishes.draftFor("");
    Map<String, Optional<StyleValue>> read = new LinkedHashMap<>();
    values.forEach((token, v) -> read.put(token, Optional.of(house.read(v))));
    finishes.put(new FinishesStep.Site(site, read, Map.of()));
  }

  private static byte[] bytes(String file) {
    try (InputStream in = DemoData.class.getResourceAsStream("/demo/" + file)) {
      return Objects.requireNonNull(in, file).readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
