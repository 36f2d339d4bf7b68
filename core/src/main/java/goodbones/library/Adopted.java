package goodbones.library;

import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.Pin;
import goodbones.document.Placement;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * The one revision of each piece that a site shows.
 *
 * @param fillings what fills the slots of the whole site
 */
public record Adopted(Map<String, Integer> revisions, SiteFillings fillings) implements Showing {
  public Adopted {
    revisions = Map.copyOf(revisions);
  }

  public Adopted(Map<String, Integer> revisions) {
    this(revisions, SiteFillings.NONE);
  }

  @Override
  public boolean isOfSite() {
    return true;
  }

  /**
   * The revision that a placement shows: the one that it is pinned to, or else the adopted one; of
   * a piece of which the site has adopted none, the one that it is bound to.
   *
   * @throws UnknownPiece if nothing of this says one
   */
  @Override
  public int shownBy(Placement placement) {
    return placement.pin().map(Pin::revision).orElseGet(() -> following(placement));
  }

  private int following(Placement placement) {
    Integer adopted = revisions.get(placement.pieceId());
    return adopted == null && placement.bound() > 0 ? placement.bound() : of(placement.pieceId());
  }

  /** The same but for some pieces, of which other revisions are adopted. */
  public Adopted with(Map<String, Integer> others) {
    Map<String, Integer> all = new HashMap<>(revisions);
    all.putAll(others);
    return new Adopted(all, fillings);
  }

  /** The same with some slots of the whole site filled otherwise. */
  public Adopted filled(Map<LocalKey, Optional<FieldValue>> changes) {
    return changes.isEmpty() ? this : new Adopted(revisions, fillings.with(changes));
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
