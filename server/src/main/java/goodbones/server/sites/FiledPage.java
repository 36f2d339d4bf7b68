package goodbones.server.sites;

import goodbones.site.PageKind;
import goodbones.site.SitePage;

/** A page as the tree of its site has it, read without anything else. */
record FiledPage(
    String id,
    String title,
    String address,
    String kind,
    String parent,
    boolean ready,
    String description,
    String picture) {
  SitePage page() {
    return new SitePage(
        id, title, address, PageKind.ofWord(kind), parent, ready, description, picture);
  }
}
