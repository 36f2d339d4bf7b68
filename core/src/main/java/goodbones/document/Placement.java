package goodbones.document;

import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * A use of a piece: which one, and what differs here.
 *
 * <p>A placement that follows stores no revision; its site's adopted revision decides. The local
 * changes are a map without order. For each parent with locally placed children, {@code order}
 * lists the ids of its children as seen here.
 *
 * @param settled the revision on which its local changes were made, or to which they were rebased;
 *     0 where it was not put on a page yet
 * @param dormantSince for a change that was dormant when the others were settled on a newer
 *     revision: the revision that it was made on
 * @param left what stood here before another piece was put in, one for each piece and none with
 *     some left itself: for going back, and for words that have no place now
 */
public record Placement(
    String pieceId,
    int settled,
    Optional<Pin> pin,
    SortedMap<LocalKey, LocalValue> changes,
    SortedMap<NodeId, List<NodeId>> order,
    SortedMap<LocalKey, Integer> dormantSince,
    List<Placement> left) {

  public Placement {
    Objects.requireNonNull(pieceId, "pieceId");
    Objects.requireNonNull(pin, "pin");
    changes = Sorted.map(changes);
    if (!order.isEmpty()) {
      TreeMap<NodeId, List<NodeId>> lists = new TreeMap<>();
      order.forEach((parent, ids) -> lists.put(parent, List.copyOf(ids)));
      order = lists;
    }
    order = Sorted.map(order);
    // Documents that were kept before have none.
    TreeMap<LocalKey, Integer> since =
        dormantSince == null ? new TreeMap<>() : new TreeMap<>(dormantSince);
    since.keySet().retainAll(changes.keySet());
    dormantSince = Sorted.map(since);
    left = left == null ? List.of() : List.copyOf(left);
  }

  public static Placement of(String pieceId) {
    return new Placement(
        pieceId,
        0,
        Optional.empty(),
        Collections.emptySortedMap(),
        Collections.emptySortedMap(),
        Collections.emptySortedMap(),
        List.of());
  }

  public Placement withSettled(int revision) {
    return new Placement(pieceId, revision, pin, changes, order, dormantSince, left);
  }

  public Placement withPin(Optional<Pin> newPin) {
    return new Placement(pieceId, settled, newPin, changes, order, dormantSince, left);
  }

  /** A change that is made now; whatever it was made on before does not count any more. */
  public Placement withChange(LocalKey key, Optional<LocalValue> value) {
    return new Placement(
        pieceId,
        settled,
        pin,
        value.map(v -> Sorted.with(changes, key, v)).orElseGet(() -> Sorted.without(changes, key)),
        order,
        Sorted.without(dormantSince, key),
        left);
  }

  public Placement withChanges(Map<LocalKey, LocalValue> newChanges) {
    return new Placement(pieceId, settled, pin, Sorted.map(newChanges), order, dormantSince, left);
  }

  public Placement withOrder(NodeId parent, List<NodeId> ids) {
    return withOrder(
        ids.isEmpty() ? Sorted.without(order, parent) : Sorted.with(order, parent, ids));
  }

  public Placement withOrder(Map<NodeId, List<NodeId>> newOrder) {
    return new Placement(pieceId, settled, pin, changes, Sorted.map(newOrder), dormantSince, left);
  }

  public Placement withDormantSince(Map<LocalKey, Integer> revisions) {
    return new Placement(pieceId, settled, pin, changes, order, Sorted.map(revisions), left);
  }

  public Placement withLeft(List<Placement> others) {
    return new Placement(pieceId, settled, pin, changes, order, dormantSince, others);
  }

  /**
   * Its changes and orders with the addresses of nodes as they are seen from somewhere else; what
   * is inserted keeps its ids.
   */
  public Placement readdressed(UnaryOperator<NodeId> address) {
    TreeMap<LocalKey, LocalValue> moved = new TreeMap<>();
    changes.forEach(
        (key, value) -> moved.put(key.readdressed(address), value.readdressed(address)));
    TreeMap<NodeId, List<NodeId>> orders = new TreeMap<>();
    order.forEach(
        (parent, ids) -> orders.put(address.apply(parent), ids.stream().map(address).toList()));
    TreeMap<LocalKey, Integer> since = new TreeMap<>();
    dormantSince.forEach((key, made) -> since.put(key.readdressed(address), made));
    return withChanges(moved).withOrder(orders).withDormantSince(since);
  }

  /**
   * Its changes and orders as seen from outside a placement or an item; what is inserted keeps its
   * ids and is inserted from outside then.
   */
  public Placement within(NodeId member) {
    Set<NodeId> inserted = new HashSet<>();
    for (LocalValue value : changes.values()) {
      if (value instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(tree -> tree.walk(node -> inserted.add(node.id())));
      }
    }
    return readdressed(id -> inserted.contains(id.outer()) ? id : id.within(member));
  }

  /** The revision that a change was made on, or to which it was rebased. */
  public int madeOn(LocalKey key) {
    return dormantSince.getOrDefault(key, settled);
  }
}
