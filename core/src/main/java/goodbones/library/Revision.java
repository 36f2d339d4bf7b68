package goodbones.library;

import goodbones.document.Node;

/**
 * An immutable, numbered state of a piece.
 *
 * @param finishes the house finishes' revision that it needs at least
 */
public record Revision(String pieceId, int number, Node root, String note, int finishes) {}
