package goodbones.server.library;

/** A revision of a piece that follows from another piece. */
record FollowingRevision(String followed, String pieceId, int number) {}
