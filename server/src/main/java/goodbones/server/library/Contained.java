package goodbones.server.library;

/** That a piece stands directly in another one. */
record Contained(String container, String piece) {}
