package goodbones.server.workbench;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Editor;
import goodbones.document.Node;
import goodbones.library.Adopted;
import goodbones.library.PageEditor;
import goodbones.library.Shown;
import goodbones.propagation.Rebasing;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.server.workbench.Views.PieceDraft;
import goodbones.server.workbench.Views.PlacementView;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesStep;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Lays pages and pieces on the desk. */
@Component
class Desks {
  private static final int KEPT = 40;
  private final Sites sites;
  private final Pieces pieces;
  private final FinishesStore finishes;
  private final WorkbenchViews views;
  private final LoadingCache<String, DeskMemo> memos =
      Caffeine.newBuilder().maximumSize(KEPT).build(key -> new DeskMemo());

  Desks(Sites sites, Pieces pieces, FinishesStore finishes, WorkbenchViews views) {
    this.sites = sites;
    this.pieces = pieces;
    this.finishes = finishes;
    this.views = views;
  }

  /** What is kept of a document between two edits. */
  DeskMemo memo(String key) {
    return memos.get(key);
  }

  static String pageKey(String id) {
    return "page:" + id;
  }

  static String pieceKey(String id, String site) {
    return "piece:" + id + "@" + site;
  }

  Desk page(String id) {
    return new PageDesk(sites.page(id));
  }

  Desk piece(String id, String siteId) {
    return new PieceDesk(pieces.get(id), sites.get(siteId));
  }

  /** The sites that use a piece and show an older revision than the current one. */
  List<String> behind(PieceState piece) {
    return pieces.sitesUsing(piece.id()).stream()
        .filter(site -> sites.adopted(site).of(piece.id()) != piece.current())
        .map(site -> sites.get(site).name())
        .toList();
  }

  private final class PageDesk implements Desk {
    private final PageState page;
    private final SiteInfo site;
    private final SiteFinishes look;
    private final Adopted adopted;
    private final PageEditor editor;
    private final Shown shown;

    PageDesk(PageState page) {
      this.page = page;
      this.site = sites.get(page.siteId());
      this.look = finishes.forSite(page.siteId());
      this.adopted = sites.adopted(page.siteId());
      this.editor = new PageEditor(adopted, pieces, new Rebasing(pieces), memo().fillings());
      this.shown = editor.shown(page.root());
    }

    @Override
    public String id() {
      return page.id();
    }

    @Override
    public String title() {
      return page.title();
    }

    @Override
    public SiteInfo site() {
      return site;
    }

    @Override
    public long version() {
      return page.version();
    }

    @Override
    public String historyId() {
      return pageKey(page.id());
    }

    @Override
    public Node stored() {
      return page.root();
    }

    @Override
    public Shown shown() {
      return shown;
    }

    @Override
    public SiteFinishes look() {
      return look;
    }

    @Override
    public List<NamedStyle> namedStyles() {
      return look.namedStyles();
    }

    @Override
    public Edited apply(Edit edit) {
      return editor.apply(page.root(), edit);
    }

    @Override
    public Edited reapply(Edit inverse) {
      return editor.reapply(page.root(), inverse);
    }

    @Override
    public Desk write(Node root) {
      return new PageDesk(sites.write(page.id(), page.version(), root));
    }

    @Override
    public void keep(NamedStyle style) {
      finishes.edit(
          FinishesStep.style(site.id(), style.id(), Optional.of(style)),
          "add the style " + style.name());
    }

    @Override
    public List<PlacementView> placements() {
      return views.placements(page.root(), adopted, look);
    }

    @Override
    public @Nullable PieceDraft piece() {
      return null;
    }

    @Override
    public DeskMemo memo() {
      return Desks.this.memo(pageKey(page.id()));
    }
  }

  private final class PieceDesk implements Desk {
    private final PieceState piece;
    private final SiteInfo site;
    private final SiteFinishes look;

    PieceDesk(PieceState piece, SiteInfo site) {
      this.piece = piece;
      this.site = site;
      this.look = finishes.draftFor(site.id());
    }

    @Override
    public String id() {
      return piece.id();
    }

    @Override
    public String title() {
      return piece.name();
    }

    @Override
    public SiteInfo site() {
      return site;
    }

    @Override
    public long version() {
      return piece.version();
    }

    @Override
    public String historyId() {
      return "piece:" + piece.id();
    }

    @Override
    public Node stored() {
      return piece.root();
    }

    @Override
    public Shown shown() {
      return Frames.alone(piece.root());
    }

    @Override
    public SiteFinishes look() {
      return look;
    }

    @Override
    public List<NamedStyle> namedStyles() {
      return look.house().namedStyles();
    }

    @Override
    public Edited apply(Edit edit) {
      return Editor.apply(piece.root(), edit);
    }

    @Override
    public Edited reapply(Edit inverse) {
      return Editor.apply(piece.root(), inverse);
    }

    @Override
    public Desk write(Node root) {
      pieces.edit(piece.id(), piece.version(), root);
      return new PieceDesk(pieces.get(piece.id()), site);
    }

    @Override
    public void keep(NamedStyle style) {
      finishes.edit(
          new FinishesStep.House(
              new FinishesEdit.PutNamedStyle(style.id(), Optional.of(style), -1)),
          "add the style " + style.name());
    }

    @Override
    public List<PlacementView> placements() {
      return List.of();
    }

    @Override
    public PieceDraft piece() {
      return new PieceDraft(
          piece.current(), piece.draft(), pieces.reach(piece.id()), behind(piece));
    }

    @Override
    public DeskMemo memo() {
      return Desks.this.memo(pieceKey(piece.id(), site.id()));
    }
  }
}
