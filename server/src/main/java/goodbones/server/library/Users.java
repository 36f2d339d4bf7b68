package goodbones.server.library;

/** In how many places something is referred to. */
record Users(String id, long count) {}
