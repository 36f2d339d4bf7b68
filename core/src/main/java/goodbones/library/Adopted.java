package goodbones.library;

import goodbones.document.Node;
import goodbones.document.Pin;
import goodbones.document.Placement;
import java.util.Map;

/** The one revision of each piece that a site shows. */
public record Adopted(Map<String, Integer> revisions) {
  public Adopted {
    revisions = Map.copyOf(revisions);
  }

  /**
   * The revision that a placement shows: the one that it is pinned to, or else the adopted one.
   *
   * @throws UnknownPiece if the site has adopted no revision of the piece
   */
  public int shownBy(Placement placement) {
    return placement.pin().map(Pin::revision).orElseGet(() -> of(placement.pieceId()));
  }

  /**
   * A document in which every placement of which it is not known yet is settled on what it shows.
   *
   * @throws UnknownPiece if the site has adopted no revision of a piece in it
   */
  public Node settled(Node document) {
    Node settled = document.withChildren(document.children().stream().map(this::settled).toList());
    return document
        .placement()
        .filter(placement -> placement.settled() == 0)
        .map(placement -> settled.withPlacement(placement.withSettled(shownBy(placement))))
        .orElse(settled);
  }

  /**
   * @throws UnknownPiece if the site has adopted no revision of the piece
   */
  public int of(String pieceId) {
    Integer revision = revisions.get(pieceId);
    if (revision == null) {
      throw new UnknownPiece("This site has adopted no revision of the piece " + pieceId);
    }
    return revision;
  }
}
