package goodbones.library;

import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A document with everything in it that its placements show. A placement stays a member of the
 * tree, with what it shows as its only child, so that it can be addressed; it draws no box. Nodes
 * that come out of a placement are addressed {@code placement/node}, to any depth.
 *
 * <p>What a revision of a piece shows is bound and never changes, so its expansion can be kept.
 */
public final class Expanded {
  /** How many placements may stand in each other on a page. */
  public static final int NESTING_LIMIT = 6;

  private final Node root;
  private final Map<NodeId, Origin> origins;
  private final int depth;
  private @Nullable RevisionIndex index;
  private @Nullable Node drawn;
  private volatile @Nullable Since since;

  /** Asked again and again for the revision before, and only for that. */
  private record Since(Expanded before, Relocations relocations) {}

  Expanded(Node root, Map<NodeId, Origin> origins, int depth) {
    this.root = root;
    this.origins = origins;
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
    Expansion expansion = new Expansion(showing, library, fillings);
    Node root = expansion.expand(document);
    return new Expanded(root, expansion.origins, expansion.depth);
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

  Map<NodeId, Origin> origins() {
    return origins;
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

  /** Expands the placements of one document. */
  private static final class Expansion {
    private final Showing showing;
    private final Library library;
    private final Fillings fillings;
    private final Map<NodeId, Origin> origins = new HashMap<>();
    private int depth;

    Expansion(Showing showing, Library library, Fillings fillings) {
      this.showing = showing;
      this.library = library;
      this.fillings = fillings;
    }

    Node expand(Node node) {
      if (node.placement().isEmpty()) {
        return Members.mapChildren(node, this::expand);
      }
      Placement placement = node.placement().get();
      int number = showing.shownBy(placement);
      Fillings.Filling filling = fillings.of(node, number, () -> filled(node, placement, number));
      origins.putAll(filling.origins());
      depth = Math.max(depth, filling.depth());
      return filling.member();
    }

    private Fillings.Filling filled(Node node, Placement placement, int number) {
      Expanded piece = library.expanded(placement.pieceId(), number);
      Expansion inserts = new Expansion(showing, library, new Fillings());
      Placement expanded = Placements.withInserts(placement, inserts::expand);
      Map<NodeId, Set<LocalKey>> changed = new HashMap<>();
      for (LocalKey key : placement.changes().keySet()) {
        changed.computeIfAbsent(key.node(), id -> new LinkedHashSet<>()).add(key);
      }
      Node shown = Overlay.show(piece.root(), expanded);
      RevisionIndex index = piece.index();
      Map<NodeId, Origin> from = new HashMap<>();
      shown.walk(
          each -> {
            Optional<Node> beneath = index.node(each.id());
            Optional<Origin> inner =
                beneath.isPresent()
                    ? piece.origin(each.id())
                    : Optional.ofNullable(inserts.origins.get(each.id()));
            from.put(
                each.id().within(node.id()),
                new Origin(
                    node.id(),
                    placement.pieceId(),
                    number,
                    beneath,
                    changed.getOrDefault(each.id(), Set.of()),
                    inner));
          });
      int deep = Math.max(piece.depthAt(node.id()), 1 + inserts.depth);
      if (deep > NESTING_LIMIT) {
        throw Refused.at(
            node,
            "Pieces would stand in each other more than "
                + NESTING_LIMIT
                + " deep here; put one of them in directly instead");
      }
      Node member = node.withChildren(List.of(shown.mapIds(id -> id.within(node.id()))));
      boolean keep = inserts.depth == 0;
      return new Fillings.Filling(number, keep, member, Map.copyOf(from), deep);
    }
  }
}
