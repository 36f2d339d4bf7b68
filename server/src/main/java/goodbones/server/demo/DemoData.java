package goodbones.server.demo;

import goodbones.document.StyleValue;
import goodbones.server.coverage.Coverages;
import goodbones.server.files.ClientFiles;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import goodbones.server.pictures.Picture;
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
  private final ClientFiles files;
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
      ClientFiles files,
      @Value("${goodbones.demo.work:true}") boolean work) {
    this.finishes = finishes;
    this.pieces = pieces;
    this.sites = sites;
    this.pictures = pictures;
    this.library = library;
    this.details = details;
    this.coverages = coverages;
    this.files = files;
    this.work = work;
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    if (!sites.all().isEmpty()) {
      return;
    }
    pictures();
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
    files.add(
        DemoFrames.TIMETABLE,
        "saltmarsh-ferries",
        "Timetable.pdf",
        bytes("saltmarsh-timetable.pdf"));
    DemoFrames frames = new DemoFrames(details, coverages, sites);
    frames.ferries();
    frames.museum();
    frames.allotments();
    frames.clocks();
    if (work) {
      inWork.goOn();
    }
  }

  private void pictures() {
    String ferries = "saltmarsh-ferries";
    picture(ferries, "ferry-at-dusk", "A ferry coming in to the quay at dusk", "sea", "evening");
    picture(ferries, "harbour-morning", "Fishing boats in a small harbour", "sea");
    picture(ferries, "saltmarsh-logo", "Saltmarsh Ferries", "logo");
    String museum = "oakum-rope-museum";
    picture(museum, "ropewalk", "The long room of the ropewalk", "inside");
    picture(museum, "rope-coils", "Coils of tarred rope", "inside");
    picture(museum, "oakum-logo", "Oakum Rope Museum", "logo");
    String allotments = "tern-valley";
    picture(allotments, "plots-in-june", "Rows of beans and a shed in June", "garden");
    picture(allotments, "tool-shed", "", "garden");
    picture(allotments, "tern-valley-logo", "Tern Valley Allotments", "logo");
    String clocks = "quillon-clocks";
    picture(clocks, "clock-bench", "A clock face and brass wheels on a bench", "inside");
    picture(clocks, "long-case", "A clock movement with its pendulum", "inside");
    picture(clocks, "quillon-logo", "Quillon Clock Repair", "logo");
    picture("", "roof-frame", "");
  }

  private void picture(String site, String name, String alt, String... tags) {
    String file = name + ".svg";
    Pictures.TakenIn taken = pictures.add(name, site, file, bytes(file));
    pictures.describe(
        name,
        taken.picture().etag(),
        said ->
            new Picture.Described(
                said.fileName(), alt, false, List.of(tags), said.focusX(), said.focusY(), false));
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
