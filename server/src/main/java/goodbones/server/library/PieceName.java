package goodbones.server.library;

/** A piece by its name. */
record PieceName(String id, String name) {}
