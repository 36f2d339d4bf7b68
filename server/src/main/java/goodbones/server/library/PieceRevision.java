package goodbones.server.library;

/** A revision of a piece, by its number. */
record PieceRevision(String pieceId, int number) {}
