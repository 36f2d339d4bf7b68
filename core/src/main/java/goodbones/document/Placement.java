package goodbones.document;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A use of a piece: which one, and what differs here.
 *
 * <p>A placement that follows stores no revision; its site's adopted revision decides. The local
 * changes are a map without order. For each parent with locally placed children, {@code order}
 * lists the ids of its children as seen here.
 */
public record Placement(
    String pieceId,
    Optional<Pin> pin,
    SortedMap<LocalKey, LocalValue> changes,
    SortedMap<NodeId, List<NodeId>> order) {

  public Placement {
    Objects.requireNonNull(pieceId, "pieceId");
    Objects.requireNonNull(pin, "pin");
    changes = Sorted.map(changes);
    TreeMap<NodeId, List<NodeId>> lists = new TreeMap<>();
    order.forEach((parent, ids) -> lists.put(parent, List.copyOf(ids)));
    order = Sorted.map(lists);
  }

  public static Placement of(String pieceId) {
    return new Placement(
        pieceId, Optional.empty(), Collections.emptySortedMap(), Collections.emptySortedMap());
  }

  public Placement withPin(Optional<Pin> newPin) {
    return new Placement(pieceId, newPin, changes, order);
  }

  public Placement withChange(LocalKey key, Optional<LocalValue> value) {
    return new Placement(
        pieceId,
        pin,
        value.map(v -> Sorted.with(changes, key, v)).orElseGet(() -> Sorted.without(changes, key)),
        order);
  }

  public Placement withChanges(Map<LocalKey, LocalValue> newChanges) {
    return new Placement(pieceId, pin, Sorted.map(newChanges), order);
  }

  public Placement withOrder(NodeId parent, List<NodeId> ids) {
    return new Placement(
        pieceId,
        pin,
        changes,
        ids.isEmpty() ? Sorted.without(order, parent) : Sorted.with(order, parent, ids));
  }

  public Placement withOrder(Map<NodeId, List<NodeId>> newOrder) {
    return new Placement(pieceId, pin, changes, Sorted.map(newOrder));
  }
}
