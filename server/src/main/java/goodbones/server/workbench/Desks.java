package goodbones.server.workbench;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import goodbones.document.References;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import goodbones.server.library.UsageIndex;
import goodbones.server.sites.Sites;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Lays pages and pieces on the desk. */
@Component
class Desks {
  private static final int KEPT = 40;
  private final Sites sites;
  private final Pieces pieces;
  private final UsageIndex usage;
  private final FinishesStore finishes;
  private final WorkbenchViews views;
  private final LoadingCache<String, DeskMemo> memos =
      Caffeine.newBuilder().maximumSize(KEPT).build(key -> new DeskMemo());

  Desks(
      Sites sites, Pieces pieces, UsageIndex usage, FinishesStore finishes, WorkbenchViews views) {
    this.sites = sites;
    this.pieces = pieces;
    this.usage = usage;
    this.finishes = finishes;
    this.views = views;
  }

  Sites sites() {
    return sites;
  }

  Pieces pieces() {
    return pieces;
  }

  UsageIndex usage() {
    return usage;
  }

  FinishesStore finishes() {
    return finishes;
  }

  WorkbenchViews views() {
    return views;
  }

  /** What is kept of a document between two edits. */
  DeskMemo memo(String key) {
    return memos.get(key);
  }

  static String pieceKey(String id, String site, String form) {
    return "piece:" + id + "@" + site + (form.isEmpty() ? "" : "#" + form);
  }

  Desk page(String id) {
    return new PageDesk(this, sites.page(id));
  }

  /** How far a document has come; asked every few seconds, so nothing is read for it. */
  record Now(long version, long stamp) {}

  Now now(String key) {
    if (key.startsWith("page:")) {
      String page = key.substring("page:".length());
      return new Now(sites.pageVersion(page), sites.stampOf(page));
    }
    String piece = key.substring("piece:".length(), key.indexOf('@'));
    return new Now(pieces.version(piece), 0);
  }

  /** A page that nobody else changes, nor what its site has adopted, until the transaction ends. */
  Desk pageHeld(String id) {
    sites.hold(sites.siteOf(id));
    return page(id);
  }

  /**
   * @param form the form that it is looked at in; empty for its own
   */
  Desk piece(String id, String siteId, String form) {
    return new PieceDesk(this, pieces.get(id), sites.get(siteId), form);
  }

  /** Keeps a piece that an edit places. */
  void keep(ReadEdit.Kept kept) {
    pieces.keep(
        kept.id(),
        kept.said(),
        kept.root(),
        "The first drawing",
        finishes.needed(References.of(kept.root())));
    pieces.follow(kept.id(), asked -> Optional.empty());
  }
}
