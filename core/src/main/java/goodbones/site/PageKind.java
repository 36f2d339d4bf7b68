package goodbones.site;

/** What a page is for its readers; rules and links can name all pages of a kind. */
public enum PageKind {
  PAGE("page", "Page"),
  HOME("home", "Home"),
  ABOUT("about", "About"),
  SERVICES("services", "Services"),
  SERVICE("service", "One service"),
  PRICES("prices", "Prices"),
  CONTACT("contact", "Contact"),
  NEWS("news", "News"),
  ARTICLE("article", "Article"),
  LEGAL("legal", "Legal"),
  LANDING("landing", "Landing page"),
  ERROR("error", "Error page");

  private final String word;
  private final String title;

  PageKind(String word, String title) {
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
   * @throws IllegalArgumentException if no kind goes by that word
   */
  public static PageKind ofWord(String word) {
    for (PageKind kind : values()) {
      if (kind.word.equals(word)) {
        return kind;
      }
    }
    throw new IllegalArgumentException("“" + word + "” is not a kind of page");
  }
}
