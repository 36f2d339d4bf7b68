package goodbones.library;

/** What a piece is for on a page, in the words of the trade. */
public enum Purpose {
  OPENING("opening", "Opening"),
  PICTURE_WITH_TEXT("picture-with-text", "Picture with text"),
  CARDS("cards", "Cards"),
  REASONS("reasons", "Reasons"),
  STATISTICS("statistics", "Statistics"),
  STEPS("steps", "Steps"),
  TEAM("team", "Team"),
  TESTIMONIALS("testimonials", "Testimonials"),
  QUOTE("quote", "Quote"),
  QUESTIONS("questions", "Questions and answers"),
  PRICES("prices", "Prices"),
  CALL_TO_ACTION("call-to-action", "Call to action"),
  NEWSLETTER("newsletter", "Newsletter"),
  GALLERY("gallery", "Gallery"),
  NEWS("news", "News"),
  CONTACT("contact", "Contact"),
  HOURS("hours", "Opening hours"),
  HEADER("header", "Header"),
  FOOTER("footer", "Footer"),
  TEXT("text", "Text"),
  SKELETON("skeleton", "Skeleton"),
  NOTICE("notice", "Notice"),
  SMALL_PART("small-part", "Small part"),
  OTHER("other", "Other");

  private final String word;
  private final String title;

  Purpose(String word, String title) {
    this.word = word;
    this.title = title;
  }

  public String word() {
    return word;
  }

  public String title() {
    return title;
  }

  /**
   * @throws IllegalArgumentException if no purpose goes by that word
   */
  public static Purpose ofWord(String word) {
    for (Purpose purpose : values()) {
      if (purpose.word.equals(word)) {
        return purpose;
      }
    }
    throw new IllegalArgumentException("“" + word + "” is no purpose of a piece");
  }
}
