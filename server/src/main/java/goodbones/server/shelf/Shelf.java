package goodbones.server.shelf;

import goodbones.document.References;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import goodbones.server.sites.Sites;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pieces as the library lists and shows them, and their release. */
@Service
public class Shelf {
  private final Pieces pieces;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Frames frames;

  Shelf(Pieces pieces, Sites sites, FinishesStore finishes, Frames frames) {
    this.pieces = pieces;
    this.sites = sites;
    this.finishes = finishes;
    this.frames = frames;
  }

  @Transactional(readOnly = true)
  List<PieceCard> cards() {
    Behind behind = new Behind(pieces, sites);
    return pieces.all().stream()
        .map(
            piece ->
                new PieceCard(
                    piece.id(),
                    piece.name(),
                    piece.purpose(),
                    pieces.expanded(piece.id(), piece.current()).drawn().kind().word(),
                    piece.current(),
                    piece.draft(),
                    pieces.reach(piece.id()),
                    behind.of(piece)))
        .toList();
  }

  /** The current revision as it looks at a client's, in the finishes that are worked on. */
  @Transactional(readOnly = true)
  String frame(String pieceId, String siteId) {
    int current = pieces.get(pieceId).current();
    return frames.html(
        Shown.of(Frames.around(pieces.revision(pieceId, current).root()), Showing.BOUND, pieces),
        finishes.draftFor(siteId),
        sites.get(siteId),
        pieces.get(pieceId).name());
  }

  /** Turns the draft into the next revision. */
  @Transactional
  public void release(String pieceId, long version, String note) {
    References wanted = References.of(pieces.get(pieceId).root());
    pieces.release(pieceId, version, note, finishes.needed(wanted));
  }
}
