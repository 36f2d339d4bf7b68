package goodbones.server.library;

/** What documents refer to, besides the pieces that are placed in them. */
public enum Referred {
  TOKEN,
  STYLE,
  SCHEME,
  PICTURE,
  /** A revision that something in a revision is bound to, as {@code piece@number}. */
  BOUND;

  /**
   * @throws IllegalArgumentException if it is none of the words {@code token}, {@code style},
   *     {@code scheme}, {@code picture}
   */
  public static Referred ofWord(String word) {
    for (Referred kind : values()) {
      if (kind != BOUND && kind.word().equals(word)) {
        return kind;
      }
    }
    throw new IllegalArgumentException("“" + word + "” is nothing that documents refer to");
  }

  String word() {
    return name().toLowerCase();
  }
}
