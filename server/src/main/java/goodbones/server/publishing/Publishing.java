package goodbones.server.publishing;

import goodbones.server.coverage.Framing;
import goodbones.server.drawing.SiteLinks;
import goodbones.server.files.ClientFiles;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.fonts.Fonts;
import goodbones.server.pictures.Pictures;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.PageSettings;
import goodbones.server.sites.Sites;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Publishes sites to the simulated host; only what changed is written. */
@Service
class Publishing {
  private final SiteFiles.Sources from;
  private final FinishesStore finishes;
  private final PublishedFileRepository files;
  private final PublicationRepository publications;

  Publishing(
      Sites sites,
      PageSettings settings,
      ClientDetails details,
      Framing framing,
      SiteLinks links,
      Pictures pictures,
      ClientFiles clientFiles,
      Fonts fonts,
      FinishesStore finishes,
      PublishedFileRepository files,
      PublicationRepository publications,
      Clock clock) {
    this.from =
        new SiteFiles.Sources(
            sites, settings, details, framing, links, pictures, clientFiles, fonts, clock);
    this.finishes = finishes;
    this.files = files;
    this.publications = publications;
  }

  /**
   * @param published when, or null if never
   * @param written files that were written the last time, because they had changed
   * @param pagesChanged whether a page, or a part that they share, was written since
   */
  record PublicationView(
      String address, @Nullable Instant published, int pages, int written, boolean pagesChanged) {}

  @Transactional(readOnly = true)
  PublicationView state(String siteId) {
    String address = "/hosted/" + from.sites().get(siteId).id() + "/";
    return publications
        .findById(siteId)
        .map(
            p ->
                new PublicationView(
                    address,
                    p.published(),
                    p.pages(),
                    p.written(),
                    from.sites().lastChanged(siteId).filter(p.published()::isBefore).isPresent()))
        .orElseGet(() -> new PublicationView(address, null, 0, 0, false));
  }

  @Transactional
  PublicationView publish(String siteId) {
    // One after the other: each keeps the addresses of sections that it gave out.
    from.sites().hold(siteId);
    SiteFiles site = new SiteFiles(from, finishes.forSite(siteId), siteId);
    Map<String, SiteFiles.Content> made = site.make();
    from.settings().keepSections(siteId, site.sections());
    Map<String, PublishedFile> there =
        files.findByIdSiteId(siteId).stream()
            .collect(Collectors.toMap(PublishedFile::path, Function.identity()));
    int written = 0;
    for (Map.Entry<String, SiteFiles.Content> file : made.entrySet()) {
      PublishedFile old = there.remove(file.getKey());
      if (old == null || !Arrays.equals(old.bytes(), file.getValue().bytes())) {
        files.save(
            new PublishedFile(
                new PublishedFile.Key(siteId, file.getKey()),
                file.getValue().mediaType(),
                file.getValue().bytes()));
        written++;
      }
    }
    files.deleteAll(there.values());
    int pages = (int) made.keySet().stream().filter(path -> path.endsWith(".html")).count();
    publications.save(new Publication(siteId, from.clock().instant(), pages, written));
    return state(siteId);
  }

  @Transactional(readOnly = true)
  Optional<PublishedFile> file(String siteId, String path) {
    return files.findById(new PublishedFile.Key(siteId, path));
  }

  @Transactional(readOnly = true)
  List<String> paths(String siteId) {
    return files.findByIdSiteId(siteId).stream().map(PublishedFile::path).sorted().toList();
  }
}
