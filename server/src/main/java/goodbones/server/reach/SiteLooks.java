package goodbones.server.reach;

import goodbones.document.Kind;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Adopted;
import goodbones.library.Shown;
import goodbones.server.library.Pieces;
import goodbones.server.memory.Memory;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import goodbones.style.NamedStyle;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.survey.PageLook;
import goodbones.survey.SiteLook;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * The pages of sites with their styles resolved; kept for as long as nothing changes which wins.
 */
@Component
public class SiteLooks {
  /** Of the pages that are remembered. */
  private static final int MOST_NODES = 1_000_000;

  private final Sites sites;
  private final Pieces pieces;
  private final Memory<Key, PageLook> kept = new Memory<>(MOST_NODES, PageLook::size);

  /** Everything that decides which value wins; what tokens are worth does not. */
  private record Key(
      String pageId,
      long version,
      Adopted adopted,
      List<NamedStyle> styles,
      List<Scheme> schemes,
      Map<Kind, Map<StyleKey, StyleValue>> defaults) {}

  SiteLooks(Sites sites, Pieces pieces) {
    this.sites = sites;
    this.pieces = pieces;
  }

  public SiteLook of(String siteId, SiteFinishes finishes) {
    Adopted adopted = sites.adopted(siteId);
    return new SiteLook(
        sites.documents(siteId).stream().map(page -> look(page, adopted, finishes)).toList());
  }

  private PageLook look(PageState page, Adopted adopted, SiteFinishes finishes) {
    Key key =
        new Key(
            page.id(),
            page.version(),
            adopted,
            finishes.namedStyles(),
            finishes.house().schemes(),
            finishes.house().defaults());
    return kept.get(
        key, () -> PageLook.of(page.id(), Shown.of(page.root(), adopted, pieces), finishes));
  }

  /** Page id to what it shows. */
  public Map<String, Shown> shown(String siteId) {
    Adopted adopted = sites.adopted(siteId);
    Map<String, Shown> shown = new LinkedHashMap<>();
    for (PageState page : sites.documents(siteId)) {
      shown.put(page.id(), Shown.of(page.root(), adopted, pieces));
    }
    return shown;
  }
}
