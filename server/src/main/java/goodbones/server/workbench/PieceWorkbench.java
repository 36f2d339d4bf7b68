package goodbones.server.workbench;

import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Editor;
import goodbones.document.NodeId;
import goodbones.document.References;
import goodbones.document.State;
import goodbones.library.Shown;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.history.History;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.Stale;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesStep;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A piece on the workbench, in the look of a client: its draft, and the edits made there. */
@Service
class PieceWorkbench {
  private final Pieces pieces;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Pictures pictures;
  private final History history;
  private final Frames frames;
  private final WorkbenchViews views;

  PieceWorkbench(
      Pieces pieces,
      Sites sites,
      FinishesStore finishes,
      Pictures pictures,
      History history,
      Frames frames,
      WorkbenchViews views) {
    this.pieces = pieces;
    this.sites = sites;
    this.finishes = finishes;
    this.pictures = pictures;
    this.history = history;
    this.frames = frames;
    this.views = views;
  }

  @Transactional(readOnly = true)
  List<Views.PieceCard> cards() {
    return pieces.all().stream()
        .map(
            piece ->
                new Views.PieceCard(
                    piece.id(),
                    piece.name(),
                    piece.purpose(),
                    piece.current(),
                    piece.draft(),
                    pieces.reach(piece.id()),
                    behind(piece)))
        .toList();
  }

  private List<String> behind(PieceState piece) {
    return pieces.sitesUsing(piece.id()).stream()
        .filter(site -> sites.adopted(site).of(piece.id()) != piece.current())
        .map(site -> sites.get(site).name())
        .toList();
  }

  @Transactional(readOnly = true)
  Views.Workbench view(String pieceId, String siteId) {
    PieceState piece = pieces.get(pieceId);
    SiteInfo site = sites.get(siteId);
    Shown shown = Frames.alone(piece.root());
    return new Views.Workbench(
        piece.id(),
        piece.name(),
        site.id(),
        site.name(),
        piece.version(),
        history.toUndo(historyId(pieceId)).orElse(""),
        history.toRedo(historyId(pieceId)).orElse(""),
        frames.html(shown, finishes.draftFor(siteId), site, piece.name()),
        views.nodes(shown),
        List.of(),
        new Views.PieceDraft(piece.current(), piece.draft(), pieces.reach(pieceId), behind(piece)));
  }

  /** The current revision as it looks at a client's, in the finishes that are worked on. */
  @Transactional(readOnly = true)
  String frame(String pieceId, String siteId) {
    PieceState piece = pieces.get(pieceId);
    Shown shown = Frames.alone(pieces.revision(pieceId, piece.current()).root());
    return frames.html(shown, finishes.draftFor(siteId), sites.get(siteId), piece.name());
  }

  @Transactional(readOnly = true)
  Views.Ladder ladder(String pieceId, String siteId, NodeId node, Device device, State state) {
    PieceState piece = pieces.get(pieceId);
    return new Ladders(
            Frames.alone(piece.root()),
            finishes.draftFor(siteId),
            id -> pieces.get(id).name(),
            true)
        .of(node, device, state);
  }

  @Transactional
  Views.Workbench edit(String pieceId, String siteId, EditRequest request) {
    PieceState piece = current(pieceId, request.version());
    SiteFinishes look = finishes.draftFor(siteId);
    EditReader.Read read =
        new EditReader(Frames.alone(piece.root()), look, look.house().namedStyles(), pictures)
            .read(request);
    read.made()
        .ifPresent(
            style ->
                finishes.edit(
                    new FinishesStep.House(
                        new FinishesEdit.PutNamedStyle(style.id(), Optional.of(style), -1)),
                    "add the style " + style.name()));
    Edited edited = Editor.apply(piece.root(), read.edit());
    if (!edited.root().equals(piece.root())) {
      history.made(historyId(pieceId), read.label(), edited.inverse());
      pieces.edit(pieceId, request.version(), edited.root());
    }
    return view(pieceId, siteId);
  }

  @Transactional
  Views.Workbench turn(String pieceId, String siteId, long version, History.Way way) {
    PieceState piece = current(pieceId, version);
    history.turn(
        way,
        historyId(pieceId),
        Edit.class,
        edit -> {
          Edited edited = Editor.apply(piece.root(), edit);
          pieces.edit(pieceId, version, edited.root());
          return edited.inverse();
        });
    return view(pieceId, siteId);
  }

  @Transactional
  Views.Workbench release(String pieceId, String siteId, long version, String note) {
    References wanted = References.of(pieces.get(pieceId).root());
    pieces.release(pieceId, version, note, finishes.needed(wanted));
    return view(pieceId, siteId);
  }

  private PieceState current(String pieceId, long version) {
    PieceState piece = pieces.get(pieceId);
    if (piece.version() != version) {
      throw new Stale("“" + piece.name() + "”");
    }
    return piece;
  }

  private static String historyId(String pieceId) {
    return "piece:" + pieceId;
  }
}
