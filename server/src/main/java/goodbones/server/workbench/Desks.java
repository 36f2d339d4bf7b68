package goodbones.server.workbench;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.Placement;
import goodbones.document.References;
import goodbones.library.Adopted;
import goodbones.library.Library;
import goodbones.library.PageEditor;
import goodbones.library.Placements;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.library.VariantEditor;
import goodbones.propagation.MadeBefore;
import goodbones.propagation.Rebasing;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Stale;
import goodbones.server.shelf.Behind;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.server.workbench.Views.PieceDraft;
import goodbones.server.workbench.Views.PlacementView;
import goodbones.server.workbench.Views.StyleChoice;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesStep;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
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

  static String pieceKey(String id, String site, String form) {
    return "piece:" + id + "@" + site + (form.isEmpty() ? "" : "#" + form);
  }

  Desk page(String id) {
    return new PageDesk(sites.page(id));
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
    return new PieceDesk(pieces.get(id), sites.get(siteId), form);
  }

  private void keep(ReadEdit.Kept kept) {
    pieces.keep(
        kept.id(),
        kept.name(),
        kept.purpose(),
        kept.root(),
        "The first drawing",
        finishes.needed(References.of(kept.root())));
    pieces.follow(kept.id(), asked -> Optional.empty());
  }

  private final class PageDesk implements Desk {
    private final PageState page;
    private final SiteInfo site;
    private final SiteFinishes look;
    private final Adopted adopted;
    private final long stamp;
    private final PageEditor editor;
    private final Shown shown;

    PageDesk(PageState page) {
      this.page = page;
      this.site = sites.get(page.siteId());
      this.look = finishes.forSite(page.siteId());
      this.adopted = sites.adopted(page.siteId());
      this.stamp = sites.stamp(page.siteId());
      this.editor =
          new PageEditor(adopted, pieces, new Rebasing(pieces, adopted), memo().fillings());
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
    public long stamp() {
      return stamp;
    }

    @Override
    public Showing showing() {
      return adopted;
    }

    @Override
    public Library library() {
      return pieces;
    }

    @Override
    public Placement placing(String pieceId) {
      int revision = adopted.revisions().getOrDefault(pieceId, pieces.current(pieceId));
      int needed = pieces.revision(pieceId, revision).finishes();
      if (needed > finishes.adopted(site.id())) {
        throw new BadInput(
            "piece",
            "Revision "
                + revision
                + " of “"
                + pieces.get(pieceId).name()
                + "” needs revision "
                + needed
                + " of the finishes, and "
                + site.name()
                + " shows an older one: bring the site to it in Finishes first");
      }
      return Placement.of(pieceId).withSettled(revision);
    }

    @Override
    public void requireHolds(Edited edited, long then) {
      if (then == stamp) {
        return;
      }
      Set<LocalKey> since = sites.filledSince(site.id(), then);
      if (edited.fillings().keySet().stream().anyMatch(since::contains)) {
        throw new Stale("What is filled for the whole site");
      }
      Node after = edited.root();
      MadeBefore.asks(page.root(), after, sites.adopted(site.id(), then), adopted, pieces)
          .ifPresent(
              path -> {
                Placement placement = Objects.requireNonNull(Placements.of(after).get(path));
                throw new Stale("“" + pieces.get(placement.pieceId()).name() + "”");
              });
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
    public Edited apply(Edit edit, boolean everyItem, boolean over) {
      return editor(over).apply(page.root(), edit);
    }

    @Override
    public Edited reapply(Edit inverse, boolean over) {
      return editor(over).reapply(page.root(), inverse);
    }

    private PageEditor editor(boolean over) {
      return over ? editor.withPagesOwn() : editor;
    }

    @Override
    public Desk write(Edited edited) {
      if (!edited.fillings().isEmpty()) {
        sites.fill(site.id(), edited.fillings());
      }
      return edited.root().equals(page.root())
          ? new PageDesk(page)
          : new PageDesk(sites.write(page.id(), page.version(), edited.root()));
    }

    @Override
    public void keep(NamedStyle style) {
      finishes.edit(
          FinishesStep.style(site.id(), style.id(), Optional.of(style)),
          "add the style " + style.name());
    }

    @Override
    public void keep(ReadEdit.Kept kept) {
      Desks.this.keep(kept);
    }

    @Override
    public List<PlacementView> placements() {
      return views.placements(page.root(), shown, look);
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
    private final String form;
    private final SiteFinishes look;
    private final PageEditor editor;
    private final Optional<VariantEditor> inForm;
    private final Shown shown;

    PieceDesk(PieceState piece, SiteInfo site, String form) {
      this.piece = piece;
      this.site = site;
      // A form that was taken away meanwhile is shown as the piece itself.
      this.form = piece.root().options().named(form).isPresent() ? form : "";
      this.look = finishes.draftFor(site.id());
      this.editor =
          new PageEditor(
              Showing.BOUND, pieces, new Rebasing(pieces, Showing.BOUND), memo().fillings());
      this.inForm =
          this.form.isEmpty()
              ? Optional.empty()
              : Optional.of(new VariantEditor(piece.root(), form, pieces));
      this.shown =
          inForm
              .map(f -> Shown.of(Frames.around(f.document()), Showing.BOUND, f.library()))
              .orElseGet(() -> editor.shown(Frames.around(piece.root())));
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
    public long stamp() {
      return 0;
    }

    @Override
    public Showing showing() {
      return Showing.BOUND;
    }

    @Override
    public Library library() {
      return inForm.map(VariantEditor::library).orElse(pieces);
    }

    @Override
    public Placement placing(String pieceId) {
      return Placement.of(pieceId).withSettled(pieces.current(pieceId));
    }

    @Override
    public void requireHolds(Edited edited, long then) {
      // What stands in a piece is bound: no site decides what it shows.
    }

    @Override
    public String historyId() {
      return "piece:" + piece.id();
    }

    @Override
    public Node stored() {
      return inForm.map(VariantEditor::document).orElseGet(piece::root);
    }

    @Override
    public Node kept() {
      return piece.root();
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
      return look.house().namedStyles();
    }

    @Override
    public Edited apply(Edit edit, boolean everyItem, boolean over) {
      // Variants are of the piece as a whole; what is done to them is done to it.
      boolean ofPiece = edit instanceof Edit.SetVariant;
      if (inForm.isPresent() && !ofPiece) {
        return inForm.get().apply(edit, library -> new Rebasing(library, Showing.BOUND));
      }
      PageEditor asked = editor(over);
      return everyItem ? asked.applyToEvery(piece.root(), edit) : asked.apply(piece.root(), edit);
    }

    @Override
    public Edited reapply(Edit inverse, boolean over) {
      return editor(over).reapply(piece.root(), inverse);
    }

    private PageEditor editor(boolean over) {
      return over ? editor.withPagesOwn() : editor;
    }

    @Override
    public Desk write(Edited edited) {
      pieces.edit(piece.id(), piece.version(), edited.root());
      return new PieceDesk(pieces.get(piece.id()), site, form);
    }

    @Override
    public void keep(NamedStyle style) {
      finishes.edit(
          new FinishesStep.House(
              new FinishesEdit.PutNamedStyle(style.id(), Optional.of(style), -1)),
          "add the style " + style.name());
    }

    @Override
    public void keep(ReadEdit.Kept kept) {
      Desks.this.keep(kept);
    }

    @Override
    public List<PlacementView> placements() {
      return views.placements(stored(), shown, look);
    }

    @Override
    public PieceDraft piece() {
      return new PieceDraft(
          piece.current(),
          piece.draft(),
          pieces.reach(piece.id()),
          new Behind(pieces, sites).of(piece),
          piece.root().options().variants().stream()
              .map(each -> new StyleChoice(each.id(), each.name()))
              .toList(),
          form);
    }

    @Override
    public DeskMemo memo() {
      return Desks.this.memo(pieceKey(piece.id(), site.id(), form));
    }
  }
}
