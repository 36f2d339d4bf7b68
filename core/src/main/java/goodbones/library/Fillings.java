package goodbones.library;

import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.IdentityHashMap;
import java.util.Map;

/**
 * Placements of a page that were filled before. A placement that is the same object and shows the
 * same revision is not filled again, so that what it shows stays the same object too.
 *
 * <p>One of these serves one page and one thread at a time.
 */
public final class Fillings {
  private static final int LIMIT = 400;

  /** What a placement shows, and where each of its nodes comes from. */
  record Filling(int revision, Node shown, Map<NodeId, Origin> origins) {}

  private final Map<Node, Filling> known = new IdentityHashMap<>();

  Filling of(Node placement, int revision, java.util.function.Supplier<Filling> fresh) {
    Filling filling = known.get(placement);
    if (filling == null || filling.revision() != revision) {
      if (known.size() >= LIMIT) {
        known.clear();
      }
      filling = fresh.get();
      known.put(placement, filling);
    }
    return filling;
  }
}
