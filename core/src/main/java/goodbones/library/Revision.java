package goodbones.library;

import goodbones.document.Node;

/**
 * An immutable, numbered state of a piece.
 *
 * @param finishes the house finishes' revision that it needs at least
 * @param goneBackOn whether the library went back on it, or on what it is bound to: what it says
 *     counts for nothing on the way past it
 */
public record Revision(
    String pieceId, int number, Node root, String note, int finishes, boolean goneBackOn) {
  public Revision(String pieceId, int number, Node root, String note, int finishes) {
    this(pieceId, number, root, note, finishes, false);
  }
}
