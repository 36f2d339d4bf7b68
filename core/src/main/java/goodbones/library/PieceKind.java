package goodbones.library;

import goodbones.document.Kind;

/** What sort of piece it is in the library. */
public enum PieceKind {
  SECTION_TEMPLATE("section-template", "Section template"),
  SAVED_BLOCK("saved-block", "Saved block"),
  HEADER("header", "Header"),
  FOOTER("footer", "Footer");

  private final String word;
  private final String title;

  PieceKind(String word, String title) {
    this.word = word;
    this.title = title;
  }

  public String word() {
    return word;
  }

  public String title() {
    return title;
  }

  /** Whether a piece with such an outermost node can be of this kind. */
  public boolean mayBe(Kind root) {
    return this == SAVED_BLOCK || root == Kind.SECTION;
  }

  /**
   * @throws IllegalArgumentException if no kind of piece goes by that word
   */
  public static PieceKind ofWord(String word) {
    for (PieceKind kind : values()) {
      if (kind.word.equals(word)) {
        return kind;
      }
    }
    throw new IllegalArgumentException("“" + word + "” is no kind of piece");
  }
}
