package goodbones.site;

/**
 * A page as its site knows it.
 *
 * @param address where it stands in its site, such as {@code /} or {@code /fares}
 * @param parent the id of the page that it is filed under; empty at the top
 * @param ready whether it is for visitors; otherwise it is still worked on
 * @param description for search results, and its summary where other pages show it
 * @param picture the id of the picture that stands for it; empty for none
 */
public record SitePage(
    String id,
    String title,
    String address,
    PageKind kind,
    String parent,
    boolean ready,
    String description,
    String picture) {
  /** A page of which no more is said. */
  public SitePage(
      String id, String title, String address, PageKind kind, String parent, boolean ready) {
    this(id, title, address, kind, parent, ready, "", "");
  }
}
