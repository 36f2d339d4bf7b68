package goodbones.structure;

import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** Copies of nodes: every id new, every reference kept. The originals are not modified. */
public final class Copies {
  private final Supplier<NodeId> ids;
  private final Map<NodeId, NodeId> fresh = new HashMap<>();

  /**
   * @param ids gives an id that was never used
   */
  public Copies(Supplier<NodeId> ids) {
    this.ids = ids;
  }

  /**
   * A copy of one node.
   *
   * @param ids gives an id that was never used
   */
  public static Node of(Node node, Supplier<NodeId> ids) {
    return new Copies(ids).made(node);
  }

  /** A copy of a node, as one of several. */
  public Node made(Node node) {
    collect(node);
    return copy(node);
  }

  /** What is inserted at a placement belongs to it, and so do its items; a copy has its own. */
  private void collect(Node node) {
    node.walk(
        each -> {
          fresh.put(each.id(), ids.get());
          each.placement().ifPresent(this::collect);
          each.options().variants().forEach(variant -> collect(variant.layer()));
        });
  }

  private void collect(Placement placement) {
    for (LocalValue value : placement.layer().changes().values()) {
      if (value instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(this::collect);
      } else if (value instanceof LocalValue.ItemsAre items) {
        items.own().forEach(id -> fresh.put(id, ids.get()));
      }
    }
  }

  private Node copy(Node node) {
    Node copy =
        node.withId(moved(node.id()))
            .withChildren(node.children().stream().map(this::copy).toList())
            .withOptions(
                node.options()
                    .withVariants(
                        node.options().variants().stream()
                            .map(variant -> variant.withLayer(copy(variant.layer())))
                            .toList()));
    return node.placement().map(p -> copy.withPlacement(copy(p))).orElse(copy);
  }

  private Placement copy(Placement placement) {
    return placement.readdressed(this::moved).mapped((key, value) -> Optional.of(copy(value)));
  }

  private LocalValue copy(LocalValue value) {
    if (value instanceof LocalValue.PlacedUnder placed) {
      return new LocalValue.PlacedUnder(placed.parent(), placed.inserted().map(this::copy));
    } else if (value instanceof LocalValue.ItemsAre items) {
      return new LocalValue.ItemsAre(
          moved(items.ids()), new TreeSet<>(moved(List.copyOf(items.own()))));
    }
    return value;
  }

  private List<NodeId> moved(List<NodeId> list) {
    return list.stream().map(this::moved).toList();
  }

  /** The path of something that was copied, as the copy has it; others stay as they are. */
  public NodeId moved(NodeId path) {
    if (!path.isInside()) {
      return fresh.getOrDefault(path, path);
    }
    return NodeId.of(
        Arrays.stream(path.value().split("/"))
            .map(step -> fresh.getOrDefault(NodeId.of(step), NodeId.of(step)).value())
            .collect(Collectors.joining("/")));
  }
}
