package goodbones.site;

/**
 * A page as its site knows it.
 *
 * @param address where it stands in its site, such as {@code /} or {@code /fares}
 * @param parent the id of the page that it is filed under; empty at the top
 * @param ready whether it is for visitors; otherwise it is still worked on
 */
public record SitePage(
    String id, String title, String address, PageKind kind, String parent, boolean ready) {}
