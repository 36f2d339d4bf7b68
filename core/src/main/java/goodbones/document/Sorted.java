package goodbones.document;

import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/** Unmodifiable copies in one fixed order, so that equal documents are also equal as text. */
final class Sorted {
  private static final Class<?> UNMODIFIABLE =
      Collections.unmodifiableSortedMap(new TreeMap<String, String>()).getClass();
  private static final Class<?> UNMODIFIABLE_SET =
      Collections.unmodifiableSortedSet(new TreeSet<String>()).getClass();

  private Sorted() {}

  /**
   * One that is unmodifiable already is taken as it is, for documents share most of what they hold:
   * whoever hands one over must not change what is behind it.
   */
  static <K extends Comparable<K>, V> SortedMap<K, V> map(Map<K, V> map) {
    if (map.isEmpty()) {
      return Collections.emptySortedMap();
    }
    return isUnmodifiable(map)
        ? (SortedMap<K, V>) map
        : Collections.unmodifiableSortedMap(new TreeMap<>(map));
  }

  private static boolean isUnmodifiable(Map<?, ?> map) {
    return UNMODIFIABLE.isInstance(map) && ((SortedMap<?, ?>) map).comparator() == null;
  }

  static <K extends Comparable<K>, V> SortedMap<K, V> with(Map<K, V> map, K key, V value) {
    TreeMap<K, V> copy = new TreeMap<>(map);
    copy.put(key, value);
    return Collections.unmodifiableSortedMap(copy);
  }

  static <K extends Comparable<K>, V> SortedMap<K, V> without(Map<K, V> map, K key) {
    TreeMap<K, V> copy = new TreeMap<>(map);
    copy.remove(key);
    return Collections.unmodifiableSortedMap(copy);
  }

  static SortedSet<String> set(Collection<String> items) {
    return UNMODIFIABLE_SET.isInstance(items) && ((SortedSet<String>) items).comparator() == null
        ? (SortedSet<String>) items
        : Collections.unmodifiableSortedSet(new TreeSet<>(items));
  }

  static Set<Device> devices(Collection<Device> devices) {
    return devices.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(devices));
  }
}
