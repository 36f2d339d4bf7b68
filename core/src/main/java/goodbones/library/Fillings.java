package goodbones.library;

import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * Placements of a page that were filled before. A placement that is the same object and shows the
 * same revision is not filled again, so that what it shows stays the same object too.
 *
 * <p>One of these serves one page and one thread at a time.
 */
public final class Fillings {
  private static final int LIMIT = 400;

  /**
   * What a placement shows, and where each of its nodes comes from.
   *
   * @param keep whether it hangs on nothing but the placement and the revision
   * @param member the placement with what it shows below it
   */
  record Filling(
      int revision,
      SiteFillings ofSite,
      boolean keep,
      Node member,
      Map<NodeId, Origin> origins,
      int depth) {}

  private final Map<Node, Filling> known = new IdentityHashMap<>();
  private final Map<Node, Node> drawn = new IdentityHashMap<>();

  Filling of(Node placement, int revision, SiteFillings ofSite, Supplier<Filling> fresh) {
    Filling filling = known.get(placement);
    if (filling == null || filling.revision() != revision || !filling.ofSite().equals(ofSite)) {
      if (known.size() >= LIMIT) {
        known.clear();
        drawn.clear();
      }
      filling = fresh.get();
      if (filling.keep()) {
        known.put(placement, filling);
      }
    }
    return filling;
  }

  /** The tree as it is drawn; what is known already stays the same object. */
  Node drawn(Node node) {
    if (node.placement().isPresent()) {
      return drawn.computeIfAbsent(node, Members::withoutMembers);
    }
    return Members.drawn(node, this::drawn);
  }
}
