package goodbones.server.workbench;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Node;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.PageEditor;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.library.VariantEditor;
import goodbones.propagation.Rebasing;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.library.Reaches;
import goodbones.server.problems.BadInput;
import goodbones.server.shelf.Behind;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.server.workbench.Views.PieceDraft;
import goodbones.server.workbench.Views.PlacementView;
import goodbones.server.workbench.Views.StyleChoice;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesStep;
import goodbones.style.NamedStyle;
import java.util.List;
import java.util.Optional;

/** A piece that is worked on, in a client’s look, as it is or in one of its variants. */
final class PieceDesk extends OpenDesk {
  private final Desks desks;
  private final Sites sites;
  private final Pieces pieces;
  private final FinishesStore finishes;
  private final PieceState piece;
  private final String form;
  private final Optional<VariantEditor> inForm;
  private final Shown shown;

  PieceDesk(Desks desks, PieceState piece, SiteInfo site, String form) {
    super(
        desks,
        Desks.pieceKey(piece.id(), site.id(), known(piece, form)),
        site,
        desks.finishes().draftFor(site.id()),
        Showing.BOUND);
    this.desks = desks;
    this.sites = desks.sites();
    this.pieces = desks.pieces();
    this.finishes = desks.finishes();
    this.piece = piece;
    this.form = known(piece, form);
    this.inForm =
        this.form.isEmpty()
            ? Optional.empty()
            : Optional.of(new VariantEditor(piece.root(), form, pieces));
    this.shown =
        inForm
            .map(f -> Shown.of(Frames.around(f.document()), Showing.BOUND, f.library()))
            .orElseGet(() -> editor(false).shown(Frames.around(piece.root())));
  }

  /** A form that was taken away meanwhile is shown as the piece itself. */
  private static String known(PieceState piece, String form) {
    return piece.root().options().named(form).isPresent() ? form : "";
  }

  @Override
  public Node earlier(int revision) {
    if (!form.isEmpty()) {
      throw new BadInput("revision", "Go back in the piece itself; a variant goes along");
    }
    return pieces.earlier(piece.id(), revision);
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
  public long version() {
    return piece.version();
  }

  @Override
  public long stamp() {
    return 0;
  }

  @Override
  public Library library() {
    return inForm.map(VariantEditor::library).orElse(pieces);
  }

  @Override
  public Placement placing(String pieceId) {
    return Placement.of(pieceId).withBound(pieces.toPlace(pieceId));
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
  public List<NamedStyle> namedStyles() {
    return look().house().namedStyles();
  }

  @Override
  public Edited apply(Edit edit, boolean everyItem, boolean own) {
    // Variants are of the piece as a whole; what is done to them is done to it.
    boolean ofPiece = edit instanceof Edit.SetVariant;
    if (inForm.isPresent() && !ofPiece) {
      return inForm.get().apply(edit, library -> new Rebasing(library, Showing.BOUND));
    }
    PageEditor asked = editor(own);
    return everyItem ? asked.applyToEvery(piece.root(), edit) : asked.apply(piece.root(), edit);
  }

  @Override
  public Desk write(Edited edited) {
    pieces.edit(piece.id(), piece.version(), edited.root());
    return new PieceDesk(desks, pieces.get(piece.id()), site(), form);
  }

  @Override
  public String ownerSiteId() {
    return pieces.siteOf(piece.id());
  }

  @Override
  public void keep(NamedStyle style) {
    finishes.edit(
        new FinishesStep.House(new FinishesEdit.PutNamedStyle(style.id(), Optional.of(style), -1)),
        "add the style " + style.name());
  }

  @Override
  public List<PlacementView> placements() {
    return desks.views().placements(stored(), shown, look());
  }

  @Override
  public PieceDraft piece() {
    Reaches reaches = desks.usage().reaches();
    return new PieceDraft(
        piece.current(),
        piece.draft(),
        reaches.of(piece.id()),
        new Behind(pieces, reaches, sites).of(piece.id()),
        piece.root().options().variants().stream()
            .map(each -> new StyleChoice(each.id(), each.name()))
            .toList(),
        form);
  }
}
