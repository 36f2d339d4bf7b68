package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.RevisionIndex;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;

/**
 * Copies that a placement kept of what a rollout took from the library. Their ids are made of those
 * that they copy, so that it is known which stands for which when the rollout is taken back: what
 * was edited in a copy is said of its node then, and a copy that was deleted is a removal.
 */
final class KeptCopies {
  private final Map<NodeId, NodeId> originals = new HashMap<>();
  private final RevisionIndex before;
  private final Layer stood;
  private final SortedMap<LocalKey, LocalValue> said = new TreeMap<>();
  private final SortedMap<NodeId, List<NodeId>> order = new TreeMap<>();

  /**
   * @param seed of the rollout's step at the placement
   * @param before the revision from which the copies were taken
   * @param stood what the placement said on it
   */
  KeptCopies(String seed, RevisionIndex before, Layer stood) {
    this.before = before;
    this.stood = stood;
    before.root().walk(node -> originals.put(id(seed, node.id()), node.id()));
  }

  /** What makes the ids of copies unique to a placement and a step. */
  static String seed(NodeId placement, int shown) {
    return placement + "\n" + shown;
  }

  /** Ids are never reused, and the same settlement gives the same ids. */
  static NodeId id(String seed, NodeId original) {
    byte[] name = (seed + "\n" + original).getBytes(StandardCharsets.UTF_8);
    return NodeId.of(UUID.nameUUIDFromBytes(name).toString());
  }

  /** Whether a key puts a copy in. */
  boolean isCopy(LocalKey key) {
    return key.aspect() instanceof Aspect.Placed && originals.containsKey(key.node());
  }

  /** What a node is a copy of; the node itself if it is none. */
  NodeId original(NodeId id) {
    return originals.getOrDefault(id, id);
  }

  /** What is said of the originals, as the revision has them from which they were copied. */
  SortedMap<LocalKey, LocalValue> said() {
    return said;
  }

  /** The children of originals into which something was put. */
  SortedMap<NodeId, List<NodeId>> order() {
    return order;
  }

  /** Notes what became of a copy since; empty if it was deleted. */
  void became(LocalValue after, Optional<LocalValue> now) {
    Node was = tree(after).orElseThrow();
    Optional<Node> is = now.flatMap(KeptCopies::tree);
    if (is.isEmpty()) {
      remove(was.id());
    } else {
      Map<NodeId, Node> there = new HashMap<>();
      Map<NodeId, NodeId> parents = new HashMap<>();
      is.get()
          .walk(
              node -> {
                there.put(node.id(), node);
                node.children().forEach(child -> parents.put(child.id(), node.id()));
              });
      Set<NodeId> before = new HashSet<>();
      was.walk(node -> before.add(node.id()));
      compare(was, there, parents);
      added(is.get(), before);
    }
  }

  private static Optional<Node> tree(LocalValue value) {
    return value instanceof LocalValue.PlacedUnder placed ? placed.inserted() : Optional.empty();
  }

  private void remove(NodeId copy) {
    Optional<NodeId> item =
        before
            .parent(original(copy))
            .filter(id -> before.node(id).filter(n -> n.kind() == Kind.ITEM).isPresent());
    Optional<NodeId> list = item.flatMap(before::parent);
    if (list.isPresent()) {
      leaveOut(item.get().own(), list.get());
      return;
    }
    said.put(new LocalKey(original(copy), Aspect.REMOVED), new LocalValue.IsRemoved());
  }

  /** An item without what it shows is none. */
  private void leaveOut(NodeId item, NodeId list) {
    LocalKey key = new LocalKey(list, Aspect.ITEMS);
    Optional<LocalValue> now = Optional.ofNullable(said.get(key)).or(() -> stood.at(key));
    LocalValue.ItemsAre items =
        now.map(value -> (LocalValue.ItemsAre) value)
            .orElseGet(() -> LocalValue.ItemsAre.of(before.node(list).orElseThrow()));
    List<NodeId> ids = new ArrayList<>(items.ids());
    ids.remove(item);
    Set<NodeId> own = new TreeSet<>(items.own());
    own.remove(item);
    said.put(key, new LocalValue.ItemsAre(ids, own));
  }

  private void compare(Node was, Map<NodeId, Node> there, Map<NodeId, NodeId> parents) {
    Node is = there.get(was.id());
    if (is == null) {
      remove(was.id());
      return;
    }
    Set<Aspect> aspects = new TreeSet<>(Aspect.of(was));
    aspects.addAll(Aspect.of(is));
    for (Aspect aspect : aspects) {
      Optional<LocalValue> now = aspect.read(is);
      if (now.isPresent() && !now.equals(aspect.read(was))) {
        said.put(new LocalKey(original(was.id()), aspect), now.get());
      }
    }
    was.placement()
        .ifPresent(
            before ->
                is.placement()
                    .ifPresent(
                        placed ->
                            placed
                                .changes()
                                .forEach(
                                    (key, change) -> {
                                      if (!change.equals(before.changes().get(key))) {
                                        said.put(
                                            new LocalKey(
                                                key.node().within(original(was.id())),
                                                key.aspect()),
                                            change.value());
                                      }
                                    })));
    for (Node child : was.children()) {
      NodeId parent = parents.get(child.id());
      if (parent != null && !parent.equals(was.id())) {
        said.put(
            new LocalKey(original(child.id()), Aspect.PLACED),
            new LocalValue.PlacedUnder(original(parent), Optional.empty()));
        order.put(original(parent), children(there.get(parent)));
      }
      compare(child, there, parents);
    }
  }

  /** What was put into a copy since is put into its original. */
  private void added(Node parent, Set<NodeId> before) {
    for (Node child : parent.children()) {
      if (before.contains(child.id())) {
        added(child, before);
      } else {
        said.put(
            new LocalKey(child.id(), Aspect.PLACED),
            new LocalValue.PlacedUnder(original(parent.id()), Optional.of(child)));
        order.put(original(parent.id()), children(parent));
      }
    }
  }

  private List<NodeId> children(Node parent) {
    List<NodeId> ids = new ArrayList<>();
    parent.children().forEach(child -> ids.add(original(child.id())));
    return ids;
  }
}
