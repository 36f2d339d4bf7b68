package goodbones.document;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Changes to be laid on one tree, addressed as that tree is. Where they were made is not told; that
 * is what a placement keeps.
 *
 * @param changes a map without order from key to value
 * @param order for each parent with placed children the ids of all of its children
 */
public record Layer(
    SortedMap<LocalKey, LocalValue> changes, SortedMap<NodeId, List<NodeId>> order) {
  /** Nothing is changed. */
  public static final Layer NONE =
      new Layer(Collections.emptySortedMap(), Collections.emptySortedMap());

  public Layer {
    changes = Sorted.map(changes);
    order = Sorted.map(order);
  }

  public Layer withChanges(Map<LocalKey, LocalValue> others) {
    return new Layer(Sorted.map(others), order);
  }

  public Layer with(LocalKey key, LocalValue value) {
    return new Layer(Sorted.with(changes, key, value), order);
  }

  public Layer without(LocalKey key) {
    return changes.containsKey(key) ? new Layer(Sorted.without(changes, key), order) : this;
  }

  public Optional<LocalValue> at(LocalKey key) {
    return Optional.ofNullable(changes.get(key));
  }

  public boolean isEmpty() {
    return changes.isEmpty() && order.isEmpty();
  }

  /** The same with what a function makes of each value. */
  public Layer mapped(java.util.function.BiFunction<LocalKey, LocalValue, LocalValue> change) {
    TreeMap<LocalKey, LocalValue> mapped = new TreeMap<>();
    changes.forEach((key, value) -> mapped.put(key, change.apply(key, value)));
    return new Layer(mapped, order);
  }
}
