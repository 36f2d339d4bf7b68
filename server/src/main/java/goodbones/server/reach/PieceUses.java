package goodbones.server.reach;

import goodbones.library.Adopted;
import goodbones.server.library.Pieces;
import goodbones.server.library.PlacedIn;
import goodbones.server.library.Referred;
import goodbones.server.library.Referrer;
import goodbones.server.library.UsageIndex;
import goodbones.server.library.Use;
import goodbones.server.sites.Sites;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where a piece is used, through every level; no document is read for it. */
@Service
class PieceUses {
  private static final int MOST_PLACES = 200;

  private final Pieces pieces;
  private final UsageIndex usage;
  private final Sites sites;

  PieceUses(Pieces pieces, UsageIndex usage, Sites sites) {
    this.pieces = pieces;
    this.usage = usage;
    this.sites = sites;
  }

  /**
   * A placement on a page.
   *
   * @param revision of the piece that is shown there
   * @param behind whether that is not the current one
   * @param changes how many local changes it has
   */
  record OnPage(
      String pageId,
      String title,
      String siteId,
      String siteName,
      String path,
      int revision,
      boolean behind,
      int changes,
      boolean held) {}

  /**
   * Where a piece is used.
   *
   * @param drafted whether it stands in a draft here and in no release yet
   * @param pages placements on pages, by site and page
   * @param more how many placements on pages are not listed
   * @param pieces the pieces in which it stands, and where those are used
   */
  record UsedIn(
      String pieceId,
      String name,
      int current,
      boolean drafted,
      List<OnPage> pages,
      int more,
      List<UsedIn> pieces) {}

  /** What is asked for again and again while a tree is made. */
  private final class Known {
    private final Map<String, Adopted> adopted = sites.adopted();
    private final Map<String, String> siteNames = new HashMap<>();
    private final Map<String, String> names = pieces.names();
    private final Map<String, Integer> currents = pieces.currents();
    private final Map<String, PlacedIn> uses;
    private final Map<String, String> titles;

    /**
     * @param from the pieces with which trees begin
     * @param pages more pages that are named
     */
    Known(Collection<String> from, List<Referrer> pages) {
      sites.all().forEach(site -> siteNames.put(site.id(), site.name()));
      uses = usage.upwards(from);
      Set<String> named = new HashSet<>();
      pages.forEach(page -> named.add(page.ownerId()));
      uses.values().forEach(in -> listed(in).forEach(use -> named.add(use.ownerId())));
      titles = sites.pageTitles(named);
    }

    PlacedIn uses(String pieceId) {
      return uses.getOrDefault(pieceId, new PlacedIn());
    }

    String title(String pageId) {
      return titles.getOrDefault(pageId, pageId);
    }

    int revision(Use use, String pieceId) {
      return use.shown() > 0
          ? use.shown()
          : adopted
              .getOrDefault(use.siteId(), new Adopted(Map.of()))
              .revisions()
              .getOrDefault(pieceId, 0);
    }

    InPage inPage(Referrer page) {
      return new InPage(
          page.ownerId(),
          title(page.ownerId()),
          page.siteId(),
          siteNames.getOrDefault(page.siteId(), ""));
    }

    OnPage onPage(Use use, String pieceId, int current) {
      int revision = revision(use, pieceId);
      return new OnPage(
          use.ownerId(),
          title(use.ownerId()),
          use.siteId(),
          siteNames.getOrDefault(use.siteId(), ""),
          use.path(),
          revision,
          revision != current,
          use.changes(),
          use.held());
    }
  }

  /**
   * Where something is used that documents refer to.
   *
   * @param pages that refer to it themselves, by site and title
   * @param more how many pages are not listed
   * @param pieces that refer to it, and where those are used
   */
  record ReferredIn(List<InPage> pages, int more, List<UsedIn> pieces) {}

  record InPage(String pageId, String title, String siteId, String siteName) {}

  @Transactional(readOnly = true)
  UsedIn of(String pieceId) {
    pieces.siteOf(pieceId);
    return of(pieceId, false, new Known(List.of(pieceId), List.of()));
  }

  /** The placements on pages that are listed. */
  private static List<Use> listed(PlacedIn in) {
    return in.onPages().subList(0, Math.min(MOST_PLACES, in.onPages().size()));
  }

  /** Where a token, a named style, a scheme or a picture is used, through every level. */
  @Transactional(readOnly = true)
  ReferredIn of(Referred kind, String id) {
    List<Referrer> referring = usage.referring(kind, id);
    Map<String, Integer> currents = pieces.currents();
    Map<String, Boolean> inPieces = new TreeMap<>();
    for (Referrer referrer : referring) {
      if (referrer.ownerKind().equals("draft")) {
        inPieces.putIfAbsent(referrer.ownerId(), true);
      } else if (!referrer.isPage()
          && referrer.revision() == currents.getOrDefault(referrer.ownerId(), 0)) {
        inPieces.put(referrer.ownerId(), false);
      }
    }
    List<Referrer> onPages = referring.stream().filter(Referrer::isPage).toList();
    List<Referrer> listed = onPages.subList(0, Math.min(MOST_PLACES, onPages.size()));
    Known known = new Known(inPieces.keySet(), listed);
    List<InPage> pages = new ArrayList<>(listed.stream().map(known::inPage).toList());
    pages.sort(Comparator.comparing(InPage::siteName).thenComparing(InPage::title));
    List<UsedIn> inside = new ArrayList<>();
    inPieces.forEach((piece, onlyDraft) -> inside.add(of(piece, onlyDraft, known)));
    return new ReferredIn(pages, onPages.size() - pages.size(), inside);
  }

  private UsedIn of(String pieceId, boolean drafted, Known known) {
    int current = known.currents.getOrDefault(pieceId, 0);
    PlacedIn in = known.uses(pieceId);
    List<OnPage> pages = new ArrayList<>();
    listed(in).forEach(use -> pages.add(known.onPage(use, pieceId, current)));
    pages.sort(
        Comparator.comparing(OnPage::siteName)
            .thenComparing(OnPage::title)
            .thenComparing(OnPage::path));
    List<UsedIn> inside = new ArrayList<>();
    in.inPieces().forEach((container, onlyDraft) -> inside.add(of(container, onlyDraft, known)));
    return new UsedIn(
        pieceId,
        known.names.getOrDefault(pieceId, pieceId),
        current,
        drafted,
        pages,
        in.onPages().size() - pages.size(),
        inside);
  }
}
