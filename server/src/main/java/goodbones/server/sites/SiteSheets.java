package goodbones.server.sites;

import goodbones.server.documents.DocumentJson;
import goodbones.server.problems.Stale;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what is said of sites as wholes; whoever writes says on which version. */
@Component
public class SiteSheets {
  private final SiteSheetRepository sheets;

  SiteSheets(SiteSheetRepository sheets) {
    this.sheets = sheets;
  }

  /** What is kept, and its version; 0 while nothing was written. */
  public record Kept<T>(T said, long version) {}

  @Transactional(readOnly = true)
  public <T> Kept<T> read(String siteId, String about, Class<T> type, T nothing) {
    return sheets
        .findById(new SiteSheet.Key(siteId, about))
        .map(sheet -> new Kept<>(DocumentJson.read(sheet.document(), type), sheet.stamp()))
        .orElse(new Kept<>(nothing, 0));
  }

  /** What is said about one thing, of all sites of which something is. */
  @Transactional(readOnly = true)
  public <T> List<T> all(String about, Class<T> type) {
    return sheets.about(about).stream()
        .map(sheet -> DocumentJson.read(sheet.document(), type))
        .toList();
  }

  /**
   * @param version on which this was made; see {@link Kept}
   * @param title what it is called if it was changed meanwhile
   * @throws Stale if it was written since
   */
  @Transactional
  public void write(String siteId, String about, long version, Object said, String title) {
    SiteSheet.Key key = new SiteSheet.Key(siteId, about);
    Optional<SiteSheet> known = sheets.findById(key);
    if (known.map(sheet -> sheet.stamp()).orElse(0L) != version) {
      throw new Stale(title);
    }
    SiteSheet sheet = known.orElseGet(() -> new SiteSheet(key));
    sheet.write(DocumentJson.write(said));
    sheets.save(sheet);
  }
}
