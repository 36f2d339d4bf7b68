package goodbones.library;

/** Where revisions are looked up. */
public interface Library {
  /**
   * @throws UnknownPiece if there is no such piece, or it has no revision of that number
   */
  Revision revision(String pieceId, int number);
}
