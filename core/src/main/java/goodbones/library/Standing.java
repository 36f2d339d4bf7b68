package goodbones.library;

import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Where everything of a revision stands under a placement's local changes, what is removed
 * included. Making one takes as long as there are changes, not as long as the revision is large;
 * neither is modified.
 */
public final class Standing {
  private final RevisionIndex revision;
  private final Map<NodeId, Node> inserted = new HashMap<>();
  private final Map<NodeId, NodeId> insertedUnder = new HashMap<>();
  private final Map<NodeId, NodeId> placedUnder = new TreeMap<>();

  public Standing(RevisionIndex revision, Placement placement) {
    this.revision = revision;
    for (LocalValue value : placement.changes().values()) {
      if (value instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(tree -> tree.walk(this::insert));
      }
    }
    placement
        .changes()
        .forEach(
            (key, value) -> {
              if (value instanceof LocalValue.PlacedUnder placed
                  && has(placed.parent())
                  && has(key.node())) {
                placedUnder.put(key.node(), placed.parent());
              }
            });
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
    Map<NodeId, List<NodeId>> placed = new HashMap<>();
    placedUnder.forEach(
        (child, parent) -> placed.computeIfAbsent(parent, p -> new ArrayList<>()).add(child));
    Set<NodeId> below = new HashSet<>();
    Deque<NodeId> open = new ArrayDeque<>(List.of(top));
    while (!open.isEmpty()) {
      NodeId at = open.pop();
      Stream<NodeId> own = node(at).stream().flatMap(n -> n.children().stream()).map(Node::id);
      Stream.concat(
              own.filter(child -> parent(child).filter(at::equals).isPresent()),
              placed.getOrDefault(at, List.of()).stream())
          .filter(below::add)
          .forEach(open::push);
    }
    below.removeIf(id -> id.equals(top) || !revision.has(id));
    return below;
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
