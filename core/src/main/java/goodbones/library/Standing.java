package goodbones.library;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Where everything of a revision stands under a placement's local changes, what is removed
 * included. Making one takes as long as there are changes, not as long as the revision is large;
 * neither is modified.
 */
public final class Standing {
  private final RevisionIndex revision;
  private final Map<NodeId, Node> inserted = new HashMap<>();
  private final Map<NodeId, NodeId> insertedUnder = new HashMap<>();
  private final Map<NodeId, NodeId> placedUnder = new LinkedHashMap<>();
  private @Nullable Map<NodeId, List<NodeId>> placed;
  private @Nullable Set<NodeId> loops;

  /**
   * @param changes those of the placement
   */
  public Standing(RevisionIndex revision, Map<LocalKey, LocalValue> changes) {
    this.revision = revision;
    for (LocalValue value : changes.values()) {
      if (value instanceof LocalValue.PlacedUnder under && under.inserted().isPresent()) {
        under.inserted().get().walk(this::insert);
      }
    }
    for (Map.Entry<LocalKey, LocalValue> change : changes.entrySet()) {
      NodeId node = change.getKey().node();
      if (change.getValue() instanceof LocalValue.PlacedUnder under
          && has(under.parent())
          && has(node)) {
        placedUnder.put(node, under.parent());
      }
    }
  }

  /** What the revision has too is the revision's. */
  private void insert(Node node) {
    if (!revision.has(node.id()) && inserted.putIfAbsent(node.id(), node) == null) {
      node.children().forEach(child -> insertedUnder.putIfAbsent(child.id(), node.id()));
    }
  }

  /** Whether a node is of the revision or of something inserted here. */
  public boolean has(NodeId id) {
    return revision.has(id) || inserted.containsKey(id);
  }

  /** The node as the revision has it, or as it was inserted here. */
  public Optional<Node> node(NodeId id) {
    return revision.node(id).or(() -> Optional.ofNullable(inserted.get(id)));
  }

  /** What a node stands under; empty for the root, and for what is not here. */
  public Optional<NodeId> parent(NodeId id) {
    NodeId placed = placedUnder.get(id);
    return placed != null
        ? Optional.of(placed)
        : revision.parent(id).or(() -> Optional.ofNullable(insertedUnder.get(id)));
  }

  /** Whether a node, or anything that it stands under, is like that. */
  public boolean isUnder(NodeId from, Predicate<NodeId> wanted) {
    if (!loops().isEmpty()) {
      return upwards(from).stream().anyMatch(wanted);
    }
    for (Optional<NodeId> at = Optional.of(from); at.isPresent(); at = parent(at.get())) {
      if (wanted.test(at.get())) {
        return true;
      }
    }
    return false;
  }

  /** A node and what it stands under, from the inside out; a loop of parents ends it. */
  public Set<NodeId> upwards(NodeId from) {
    Set<NodeId> line = new LinkedHashSet<>();
    Optional<NodeId> at = Optional.of(from);
    while (at.isPresent() && line.add(at.get())) {
      at = parent(at.get());
    }
    return line;
  }

  /** The nodes of the revision that stand below one of them here. */
  public Set<NodeId> below(NodeId top) {
    Set<NodeId> below = new HashSet<>();
    Deque<NodeId> open = new ArrayDeque<>(List.of(top));
    while (!open.isEmpty()) {
      NodeId at = open.pop();
      for (NodeId child : placedIn(at)) {
        if (below.add(child)) {
          open.push(child);
        }
      }
      Node node = node(at).orElse(null);
      for (Node own : node == null ? List.<Node>of() : node.children()) {
        if (parent(own.id()).filter(at::equals).isPresent() && below.add(own.id())) {
          open.push(own.id());
        }
      }
    }
    below.removeIf(id -> id.equals(top) || !revision.has(id));
    return below;
  }

  private List<NodeId> placedIn(NodeId parent) {
    Map<NodeId, List<NodeId>> made = placed;
    if (made == null) {
      made = new HashMap<>();
      for (Map.Entry<NodeId, NodeId> each : placedUnder.entrySet()) {
        made.computeIfAbsent(each.getValue(), p -> new ArrayList<>()).add(each.getKey());
      }
      placed = made;
    }
    return made.getOrDefault(parent, List.of());
  }

  /** What local changes place, with what they place it under; in the order of ids. */
  Map<NodeId, NodeId> placedUnder() {
    return placedUnder;
  }

  /**
   * The nodes that local moves and the revision together make their own ancestors; such moves have
   * no effect on what is shown.
   *
   * @return an empty set if there are none
   */
  public Set<NodeId> loops() {
    Set<NodeId> known = loops;
    if (known == null) {
      known = findLoops();
      loops = known;
    }
    return known;
  }

  private Set<NodeId> findLoops() {
    Set<NodeId> looping = new HashSet<>();
    for (NodeId start : placedUnder.keySet()) {
      if (!looping.contains(start)) {
        Set<NodeId> line = upwards(start);
        NodeId outermost = start;
        for (NodeId each : line) {
          outermost = each;
        }
        if (parent(outermost).filter(start::equals).isPresent()) {
          looping.addAll(line);
        }
      }
    }
    return looping;
  }
}
