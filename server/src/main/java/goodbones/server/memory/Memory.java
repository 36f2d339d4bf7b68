package goodbones.server.memory;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.ToIntFunction;

/**
 * What was read or worked out lately, by a key that says all that it depends on; bounded by weight.
 *
 * <p>A transaction that writes may yet be taken back, so what it finds is remembered for itself
 * alone, and for everybody once it has been committed.
 */
public final class Memory<K, V> {
  private final Cache<K, V> kept;
  private final OfTransaction<Map<K, V>> own;

  /**
   * @param most the weight that is kept in all
   * @param weight what one value weighs; at least 1 is counted
   */
  public Memory(long most, ToIntFunction<V> weight) {
    kept =
        Caffeine.newBuilder()
            .maximumWeight(most)
            .weigher((K key, V value) -> Math.max(1, weight.applyAsInt(value)))
            .executor(Runnable::run)
            .build();
    own = new OfTransaction<>(HashMap::new, kept::putAll);
  }

  /** What is remembered under a key, or what the work brings, which is remembered then. */
  public V get(K key, Supplier<? extends V> work) {
    Optional<V> known = known(key);
    if (known.isPresent()) {
      return known.get();
    }
    V made = work.get();
    put(key, made);
    return made;
  }

  /** What is remembered under a key. */
  public Optional<V> known(K key) {
    Map<K, V> mine = OfTransaction.isWriting() ? own.get() : Map.of();
    return Optional.ofNullable(mine.get(key)).or(() -> Optional.ofNullable(kept.getIfPresent(key)));
  }

  /** Remembers what is worked out already. */
  public void put(K key, V value) {
    if (OfTransaction.isWriting()) {
      own.get().put(key, value);
    } else {
      kept.put(key, value);
    }
  }
}
