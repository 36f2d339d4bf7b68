package goodbones.site;

import goodbones.layout.Room;

/**
 * A place around a page's own content that shared parts are given to, in the order in which a page
 * is read.
 */
public enum Region {
  HEADER("header", "Header", "above the content"),
  SIDE("side", "Side column", "beside the content, on a wide screen"),
  BAND_ABOVE("band-above", "Band above the content", "below the header"),
  BAND_BELOW("band-below", "Band below the content", "above the footer"),
  FOOTER("footer", "Footer", "at the end of the page");

  private final String word;
  private final String title;
  private final String where;

  Region(String word, String title, String where) {
    this.word = word;
    this.title = title;
    this.where = where;
  }

  public String word() {
    return word;
  }

  public String title() {
    return title;
  }

  /** Where on the page it is, in words. */
  public String where() {
    return where;
  }

  /**
   * How much of a page's width it has.
   *
   * @param side whether the page has a side column
   */
  public Room room(boolean side) {
    if (this == SIDE) {
      return Room.SIDE_COLUMN;
    }
    return isBand() ? roomOfContent(side) : Room.WHOLE;
  }

  /**
   * How much of a page's width its own content has.
   *
   * @param side whether the page has a side column
   */
  public static Room roomOfContent(boolean side) {
    return side ? Room.BESIDE_COLUMN : Room.WHOLE;
  }

  /** Whether it is read before the page's own content. */
  public boolean isBeforeContent() {
    return compareTo(BAND_BELOW) < 0;
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
