package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;

/**
 * Where nodes of one revision stand in another one, if their paths changed. Keeping a part of a
 * piece as a piece of its own puts a placement around it, unlinking takes one away; neither changes
 * what is seen, and local changes go along. Where another piece was put in, what is said of a node
 * that has a match in it goes to that.
 *
 * <p>Nothing of this needs to be recorded: ids are globally unique and stay with a part that is
 * kept, the ids of a copy that is made by unlinking are derived from those that it copies, and an
 * exchange keeps the id of the placement.
 */
public final class Relocations {
  /** Nothing moved. */
  public static final Relocations NONE = new Relocations(Map.of(), Map.of());

  private final Map<NodeId, NodeId> paths;
  private final Map<NodeId, NodeId> asChild;

  private Relocations(Map<NodeId, NodeId> paths, Map<NodeId, NodeId> asChild) {
    this.paths = paths;
    this.asChild = asChild;
  }

  /**
   * The id that unlinking a placement gives a node in it.
   *
   * @param placement its path in the document
   * @param inside the node's address as seen from inside the placement
   */
  public static NodeId unlinked(NodeId placement, NodeId inside) {
    byte[] name = ("unlinked\n" + placement + "\n" + inside).getBytes(StandardCharsets.UTF_8);
    return NodeId.of(UUID.nameUUIDFromBytes(name).toString());
  }

  /**
   * From a revision to the next one of the same piece. That may also undo what an earlier step did:
   * the library goes back by going forward.
   */
  static Relocations between(RevisionIndex before, RevisionIndex after) {
    List<NodeId> missing = missing(before, after);
    if (missing.isEmpty()) {
      return NONE;
    }
    Relocations found = new Search(before, after).relocations(missing);
    return found.paths.keySet().containsAll(missing)
        ? found
        : found.and(new Search(after, before).relocations(missing(after, before)).inverse());
  }

  private static List<NodeId> missing(RevisionIndex before, RevisionIndex after) {
    List<NodeId> missing = new ArrayList<>();
    before
        .root()
        .walk(
            node -> {
              if (!after.has(node.id())) {
                missing.add(node.id());
              }
            });
    return missing;
  }

  /** A revision's tree with the paths that nodes have after some relocations. */
  public static RevisionIndex index(Expanded shown, List<Relocations> later) {
    if (later.stream().allMatch(Relocations::isEmpty)) {
      return shown.index();
    }
    Node tree = shown.root();
    for (Relocations each : later) {
      tree = each.isEmpty() ? tree : each.tree(tree);
    }
    return new RevisionIndex(tree);
  }

  /** From one revision of a piece to the one after it, or before it. */
  static Relocations from(Library library, String pieceId, int from, int to) {
    return from(library.expanded(pieceId, from), library.expanded(pieceId, to), to - from);
  }

  /**
   * @param step 1 where the second is the one after the first, -1 where it is the one before
   */
  static Relocations from(Expanded here, Expanded there, int step) {
    return step > 0 ? there.since(here) : here.since(there).inverse();
  }

  public boolean isEmpty() {
    return paths.isEmpty() && asChild.isEmpty();
  }

  /** The other way round. */
  public Relocations inverse() {
    return isEmpty() ? this : new Relocations(inverted(paths), inverted(asChild));
  }

  /** These, and those of others that touch nothing that is among them. */
  private Relocations and(Relocations others) {
    return new Relocations(joined(paths, others.paths), joined(asChild, others.asChild));
  }

  private static Map<NodeId, NodeId> joined(Map<NodeId, NodeId> some, Map<NodeId, NodeId> others) {
    Map<NodeId, NodeId> all = new HashMap<>(some);
    others.forEach(
        (from, to) -> {
          if (!some.containsValue(to)) {
            all.putIfAbsent(from, to);
          }
        });
    return all;
  }

  /** These, and those of others for what is not among them. */
  public Relocations or(Relocations others) {
    if (others.isEmpty() || isEmpty()) {
      return isEmpty() ? others : this;
    }
    Map<NodeId, NodeId> all = new HashMap<>(others.paths);
    all.keySet().removeAll(asChild.keySet());
    all.putAll(paths);
    Map<NodeId, NodeId> children = new HashMap<>(others.asChild);
    children.putAll(asChild);
    return new Relocations(all, children);
  }

  private static Map<NodeId, NodeId> inverted(Map<NodeId, NodeId> map) {
    Map<NodeId, NodeId> inverted = new HashMap<>();
    map.forEach((from, to) -> inverted.put(to, from));
    return inverted;
  }

  /** Where a node stands. */
  public NodeId node(NodeId id) {
    return paths.getOrDefault(id, id);
  }

  /** What stands among the children of its parent in the place of a node. */
  NodeId child(NodeId id) {
    NodeId child = asChild.get(id);
    return child == null ? node(id) : child;
  }

  /** A key: what is said of a node's place goes to what stands there. */
  public LocalKey key(LocalKey key) {
    boolean place =
        key.aspect() instanceof Aspect.Removed
            || key.aspect() instanceof Aspect.Placed
            || key.aspect() instanceof Aspect.Switched;
    NodeId id = place ? child(key.node()) : node(key.node());
    return new LocalKey(id, key.aspect());
  }

  /** What is laid on a tree, by where its nodes stand. */
  public Layer layer(Layer layer) {
    if (isEmpty() || layer.isEmpty()) {
      return layer;
    }
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>();
    layer.changes().forEach((key, value) -> changes.put(key(key), value(value)));
    TreeMap<NodeId, List<NodeId>> order = new TreeMap<>();
    layer
        .order()
        .forEach((parent, ids) -> order.put(node(parent), ids.stream().map(this::child).toList()));
    return new Layer(changes, order);
  }

  /** What is chosen, by where it is chosen now. */
  public Picks picks(Picks picks) {
    if (isEmpty() || picks.isEmpty()) {
      return picks;
    }
    TreeMap<LocalKey, LocalValue> moved = new TreeMap<>();
    picks.said().forEach((key, value) -> moved.put(key(key), value));
    return new Picks(moved);
  }

  /** A value: a parent that it names is where that stands. */
  LocalValue value(LocalValue value) {
    return value instanceof LocalValue.PlacedUnder placed
        ? new LocalValue.PlacedUnder(node(placed.parent()), placed.inserted())
        : value;
  }

  /** A tree as it would have stood with the other paths. */
  Node tree(Node node) {
    NodeId child = child(node.id());
    NodeId at = node(node.id());
    boolean unlinked = node.kind().isMember() && !child.equals(at);
    if (unlinked && !node.children().isEmpty()) {
      return tree(node.children().get(0));
    }
    Node moved = node.withId(at).withChildren(node.children().stream().map(this::tree).toList());
    boolean kept = !unlinked && !child.equals(at);
    return kept ? Node.placing(child, "", "").withChildren(List.of(moved)) : moved;
  }

  /** Looks for nodes that are missing in the later of two revisions. */
  private static final class Search {
    private final RevisionIndex before;
    private final RevisionIndex after;
    private final Map<String, List<NodeId>> comeByOwnId = new HashMap<>();
    private final Map<NodeId, NodeId> paths = new HashMap<>();
    private final Map<NodeId, NodeId> asChild = new HashMap<>();

    Search(RevisionIndex before, RevisionIndex after) {
      this.before = before;
      this.after = after;
      after
          .root()
          .walk(
              node -> {
                if (!before.has(node.id())) {
                  comeByOwnId
                      .computeIfAbsent(own(node.id()), id -> new ArrayList<>())
                      .add(node.id());
                }
              });
    }

    Relocations relocations(List<NodeId> missing) {
      before.root().walk(this::exchanged);
      for (NodeId id : missing) {
        if (paths.containsKey(id)) {
          continue;
        }
        withItsPlacement(id)
            .or(() -> unlinkedFrom(id))
            .or(() -> kept(id))
            .ifPresent(to -> paths.put(id, to));
      }
      paths.forEach(this::wrap);
      for (NodeId id : missing) {
        boolean member = before.node(id).filter(n -> n.kind().isMember()).isPresent();
        if (member && !paths.containsKey(id)) {
          before.node(id).stream()
              .flatMap(around -> around.children().stream())
              .map(root -> paths.get(root.id()))
              .filter(to -> to != null)
              .forEach(to -> asChild.put(id, to));
        }
      }
      return new Relocations(paths, asChild);
    }

    /** Where another piece was put in, what has a match there is that now. */
    private void exchanged(Node node) {
      after
          .node(node.id())
          .filter(other -> !piece(node).isEmpty() && !piece(other).isEmpty())
          .filter(other -> !piece(node).equals(piece(other)))
          .ifPresent(
              other ->
                  Exchange.nodes(node, other)
                      .forEach(
                          (from, to) -> {
                            if (!after.has(from) && !before.has(to) && !paths.containsValue(to)) {
                              paths.putIfAbsent(from, to);
                            }
                          }));
    }

    private static String piece(Node node) {
      return node.kind() == Kind.PLACEMENT
          ? node.placement().map(Placement::pieceId).orElse("")
          : "";
    }

    /** What stood around the outermost of a kept part stands around its placement now. */
    private void wrap(NodeId from, NodeId to) {
      after
          .parent(to)
          .filter(parent -> !before.has(parent) && !paths.containsValue(parent))
          .filter(parent -> after.node(parent).filter(n -> n.kind() == Kind.PLACEMENT).isPresent())
          .ifPresent(parent -> asChild.put(from, parent));
    }

    private static String own(NodeId id) {
      return id.value().substring(id.value().lastIndexOf('/') + 1);
    }

    private static Optional<NodeId> around(NodeId id) {
      int slash = id.value().lastIndexOf('/');
      return slash < 0 ? Optional.empty() : Optional.of(NodeId.of(id.value().substring(0, slash)));
    }

    /** Where the placement that it stands in went, it went too. */
    private Optional<NodeId> withItsPlacement(NodeId id) {
      return around(id)
          .map(paths::get)
          .map(NodeId.of(own(id))::within)
          .filter(to -> after.has(to) && !before.has(to));
    }

    /** A copy that unlinking made of it, where the placement stood. */
    private Optional<NodeId> unlinkedFrom(NodeId id) {
      return copies(id).stream().map(Copy::address).filter(after::has).findFirst();
    }

    /**
     * A part that is kept keeps its ids, inside a placement; a part of what stands in a placement
     * is copied for that.
     */
    private Optional<NodeId> kept(NodeId id) {
      List<NodeId> candidates = new ArrayList<>();
      comeByOwnId.getOrDefault(own(id), List.of()).stream()
          .filter(to -> to.value().length() > id.value().length())
          .filter(to -> around(id).map(prefix -> isIn(to, prefix)).orElse(true))
          .forEach(candidates::add);
      for (Copy copy : copies(id)) {
        comeByOwnId.getOrDefault(copy.id().value(), List.of()).stream()
            .filter(to -> copy.holder().map(holder -> isIn(to, holder)).orElse(true))
            .forEach(candidates::add);
      }
      return candidates.stream().filter(to -> !paths.containsValue(to)).findFirst();
    }

    private static boolean isIn(NodeId id, NodeId placement) {
      return id.value().startsWith(placement.value() + "/");
    }

    /**
     * What lifting a node out of a placement calls it.
     *
     * @param holder the placement whose local changes hold the copy; empty where it stands in the
     *     document's own tree
     */
    private record Copy(Optional<NodeId> holder, NodeId id) {
      NodeId address() {
        return holder.map(id::within).orElse(id);
      }
    }

    /** What it may have been copied as, with each of the placements that it stood in. */
    private List<Copy> copies(NodeId id) {
      List<Copy> copies = new ArrayList<>();
      Optional<NodeId> at = before.parent(id);
      while (at.isPresent()) {
        NodeId around = at.get();
        boolean member = before.node(around).filter(n -> n.kind().isMember()).isPresent();
        if (member) {
          addCopies(around.value(), id.value(), copies);
        }
        at = before.parent(around);
      }
      return copies;
    }

    /** It was lifted in the document itself, or in one of the pieces around. */
    private static void addCopies(String placement, String path, List<Copy> copies) {
      for (int from = 0; from >= 0; ) {
        String outside = placement.substring(0, from);
        if (path.startsWith(outside)) {
          NodeId named = NodeId.of(placement.substring(from));
          String seen = path.substring(from);
          String prefix = named.value() + "/";
          NodeId inside =
              NodeId.of(seen.startsWith(prefix) ? seen.substring(prefix.length()) : seen);
          String holder = outside + (named.isInside() ? named.outer() : "");
          copies.add(
              new Copy(
                  holder.isEmpty()
                      ? Optional.empty()
                      : Optional.of(NodeId.of(holder.replaceFirst("/$", ""))),
                  unlinked(named, inside)));
        }
        int next = placement.indexOf('/', from);
        from = next < 0 ? -1 : next + 1;
      }
    }
  }
}
