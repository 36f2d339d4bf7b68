package goodbones.server.sites;

import goodbones.server.problems.Etag;
import goodbones.site.PageKind;

/**
 * What is said of a page besides what stands on it.
 *
 * @param address where it stands in its site, such as {@code /} or {@code /fares}
 * @param description for search results
 * @param picture the id of the one that stands for it where others show it; empty for none
 * @param ready whether it is for visitors; otherwise it is still worked on and is not published
 */
public record PageSaid(
    String title,
    String address,
    String description,
    String picture,
    PageKind kind,
    boolean ready) {
  String etag() {
    return Etag.of(title, address, description, picture, kind.word(), ready);
  }

  PageSaid withAddress(String other) {
    return new PageSaid(title, other, description, picture, kind, ready);
  }
}
