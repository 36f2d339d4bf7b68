package goodbones.document;

/** What a node is. The {@link Catalogue} says what each may hold. */
public enum Kind {
  PAGE("page", "Page"),
  SECTION("section", "Section"),
  ROW("row", "Row"),
  COLUMN("column", "Column"),
  BOX("box", "Box"),
  HEADING("heading", "Heading"),
  TEXT("text", "Text"),
  LABEL("label", "Label"),
  BUTTON("button", "Button"),
  PICTURE("picture", "Picture"),
  /** A small drawing from the set that ships, as large as text and in its colour. */
  ICON("icon", "Icon"),
  /** The client's logo, which leads home. */
  LOGO("logo", "Logo"),
  /** One of the site's menus. */
  MENU("menu", "Menu"),
  /** The client's addresses at other services. */
  SOCIAL("social", "Social links"),
  DIVIDER("divider", "Divider"),
  /** Where a piece is used; it draws no box of its own. */
  PLACEMENT("placement", "Placement"),
  /** What every item of a list is made from; it stands first in the list and is not drawn. */
  PATTERN("pattern", "Pattern"),
  /** One of the like things in a list, made from its pattern; it draws no box of its own. */
  ITEM("item", "Item");

  private final String word;
  private final String title;

  Kind(String word, String title) {
    this.word = word;
    this.title = title;
  }

  public String word() {
    return word;
  }

  public String title() {
    return title;
  }

  /** How a sentence about any of them begins, such as “An icon”. */
  public String oneOfIt() {
    return ("aeiou".indexOf(word.charAt(0)) < 0 ? "A " : "An ") + word;
  }

  /** Whether other nodes stand in it; what is left are the elements, and placements. */
  public boolean holdsOthers() {
    return this == PAGE || this == SECTION || this == ROW || this == COLUMN || this == BOX;
  }

  /** Whether it is laid out with its content inside another container: not a page or a section. */
  public boolean isElement() {
    return !holdsOthers() && !isMember();
  }

  /** Whether it is only there to be addressed, and draws no box of its own. */
  public boolean isMember() {
    return this == PLACEMENT || this == PATTERN || this == ITEM;
  }

  /**
   * @throws IllegalArgumentException if no kind goes by that word
   */
  public static Kind ofWord(String word) {
    for (Kind kind : values()) {
      if (kind.word.equals(word)) {
        return kind;
      }
    }
    throw new IllegalArgumentException("“" + word + "” is not a kind of node");
  }
}
