package goodbones.library;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * A document with everything in it that its placements show. A placement stays a member of the
 * tree, with what it shows as its only child, so that it can be addressed; it draws no box. Nodes
 * that come out of a placement are addressed {@code placement/node}, to any depth.
 *
 * <p>What a revision of a piece shows is bound and never changes, so its expansion can be kept.
 */
public final class Expanded {
  /** How many placements and items may stand in each other on a page. */
  public static final int NESTING_LIMIT = 8;

  /** A piece has a few forms; what a page has of a list's items is its own. */
  private static final int PICKED_LIMIT = 40;

  private final Node root;
  private final Map<NodeId, Origin> origins;
  private final Map<NodeId, Varied> varied;
  private final Map<Picks, Expanded> picked = new LinkedHashMap<>();
  private final int depth;
  private @Nullable RevisionIndex index;
  private @Nullable Node drawn;
  private volatile @Nullable Since since;

  /** Asked again and again for the revision before, and only for that. */
  private record Since(Expanded before, Relocations relocations) {}

  Expanded(Node root, Map<NodeId, Origin> origins, Map<NodeId, Varied> varied, int depth) {
    this.root = root;
    this.origins = origins;
    this.varied = varied;
    this.depth = depth;
  }

  /**
   * Expands a document.
   *
   * @param showing which revisions its own placements show
   * @throws UnknownPiece if a placed piece, or the revision to show, does not exist
   * @throws Refused if pieces stand in each other more than {@link #NESTING_LIMIT} deep
   */
  public static Expanded of(Node document, Showing showing, Library library) {
    return of(document, showing, library, new Fillings());
  }

  static Expanded of(Node document, Showing showing, Library library, Fillings fillings) {
    return Expansion.of(document, showing, library, fillings, Picks.NONE);
  }

  /** The tree with its members. */
  public Node root() {
    return root;
  }

  /** The tree as it is drawn: without members. */
  public Node drawn() {
    Node made = drawn;
    if (made == null) {
      made = Members.withoutMembers(root);
      drawn = made;
    }
    return made;
  }

  /** Where a node comes from; empty if it is the document's own. */
  public Optional<Origin> origin(NodeId id) {
    return Optional.ofNullable(origins.get(id));
  }

  /** What the variant that is shown does to a node, if it does anything. */
  Optional<Varied> varied(NodeId id) {
    return Optional.ofNullable(varied.get(id));
  }

  /** The same document with something chosen about it; a few of these are kept. */
  synchronized Expanded picked(Picks picks, Function<Picks, Expanded> fresh) {
    Expanded known = picked.get(picks);
    if (known == null) {
      if (picked.size() >= PICKED_LIMIT) {
        picked.clear();
      }
      known = fresh.apply(picks);
      picked.put(picks, known);
    }
    return known;
  }

  Map<NodeId, Origin> origins() {
    return origins;
  }

  /** Whether it has fields that are filled once for the whole site. */
  public boolean mayFillSite() {
    return !index().siteSlots().isEmpty();
  }

  /** How many placements stand in each other here at most; 0 where there are none. */
  public int depth() {
    return depth;
  }

  /** How many placements stand in each other, with the one in which this is placed at a path. */
  public int depthAt(NodeId path) {
    int around = (int) path.value().chars().filter(c -> c == '/').count();
    return around + 1 + depth;
  }

  /** Where nodes of the revision before stand here, if their paths changed. */
  public Relocations since(Expanded before) {
    Since known = since;
    if (known == null || known.before() != before) {
      known = new Since(before, Relocations.between(before.index(), index()));
      since = known;
    }
    return known.relocations();
  }

  /** The tree made quick to ask, once. */
  public RevisionIndex index() {
    RevisionIndex made = index;
    if (made == null) {
      made = new RevisionIndex(root);
      index = made;
    }
    return made;
  }
}
