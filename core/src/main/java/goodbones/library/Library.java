package goodbones.library;

/** Where revisions are looked up. */
@FunctionalInterface
public interface Library {
  /**
   * @throws UnknownPiece if there is no such piece, or it has no revision of that number
   */
  Revision revision(String pieceId, int number);

  /**
   * A revision with everything in it that its placements show. It is the same for ever, so whoever
   * looks revisions up may keep it.
   *
   * @throws UnknownPiece if there is no such piece, or it has no revision of that number
   */
  default Expanded expanded(String pieceId, int number) {
    return Expanded.of(revision(pieceId, number).root(), Showing.BOUND, this);
  }

  /**
   * A revision with something chosen about it before it is expanded.
   *
   * @throws UnknownPiece if there is no such piece, or it has no revision of that number
   */
  default Expanded expanded(String pieceId, int number, Picks picks) {
    Expanded own = expanded(pieceId, number);
    return picks.isEmpty()
        ? own
        : own.picked(
            picks,
            chosen ->
                Expansion.of(
                    revision(pieceId, number).root(), Showing.BOUND, this, new Fillings(), chosen));
  }
}
