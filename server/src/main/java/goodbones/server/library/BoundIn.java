package goodbones.server.library;

/** That a revision shows another one inside, as {@code piece@number}. */
record BoundIn(String pieceId, int revision, String bound) {
  static String name(String pieceId, int revision) {
    return pieceId + "@" + revision;
  }

  String holder() {
    return name(pieceId, revision);
  }
}
