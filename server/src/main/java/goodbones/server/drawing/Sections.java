package goodbones.server.drawing;

import goodbones.document.Kind;
import goodbones.library.Shown;
import goodbones.site.Addresses;
import java.util.List;

/** What of a page a link can lead to: the sections that stand straight on it. */
public final class Sections {
  private Sections() {}

  /** Each by the page's own node or placement that it comes from, and by what it is called. */
  public static List<Addresses.Named> of(Shown page) {
    return page.root().children().stream()
        .filter(node -> node.kind() == Kind.SECTION)
        .map(node -> new Addresses.Named(node.id().outer().value(), Wording.title(node)))
        .toList();
  }
}
