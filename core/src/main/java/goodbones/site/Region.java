package goodbones.site;

/** A place around a page's own content that shared parts are given to. */
public enum Region {
  HEADER("header", "Header"),
  BAND_ABOVE("band-above", "Band above the content"),
  SIDE("side", "Side column"),
  BAND_BELOW("band-below", "Band below the content"),
  FOOTER("footer", "Footer");

  private final String word;
  private final String title;

  Region(String word, String title) {
    this.word = word;
    this.title = title;
  }

  public String word() {
    return word;
  }

  public String title() {
    return title;
  }

  /** Whether several may stand there one below the other, each under a name of its own. */
  public boolean isBand() {
    return this == BAND_ABOVE || this == BAND_BELOW;
  }

  /**
   * @throws IllegalArgumentException if no region goes by that word
   */
  public static Region ofWord(String word) {
    for (Region region : values()) {
      if (region.word.equals(word)) {
        return region;
      }
    }
    throw new IllegalArgumentException("“" + word + "” is not a region of a page");
  }
}
