package goodbones.server.library;

/** A piece by its name, with the number of its newest revision. */
record PieceName(String id, String name, int current) {}
