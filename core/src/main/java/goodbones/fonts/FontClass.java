package goodbones.fonts;

/** What sort of typeface a family is, with the generic family that browsers fall back to. */
public enum FontClass {
  SERIF("serif", "serif"),
  SANS("sans", "sans-serif"),
  SLAB("slab", "serif"),
  MONO("mono", "monospace"),
  DISPLAY("display", "serif"),
  SCRIPT("script", "cursive");

  private final String word;
  private final String generic;

  FontClass(String word, String generic) {
    this.word = word;
    this.generic = generic;
  }

  public String word() {
    return word;
  }

  /** The generic family of CSS Fonts 4, section 2.1.3. */
  public String generic() {
    return generic;
  }
}
