package goodbones.server.memory;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.ToIntFunction;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What was read or worked out lately, by a key that says all that it depends on; bounded by weight.
 *
 * <p>A transaction that writes may yet be taken back, so what it finds is remembered for itself
 * alone, and for everybody once it has been committed.
 */
public final class Memory<K, V> {
  private final Cache<K, V> kept;

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
    Map<K, V> own = isWriting() ? own() : Map.of();
    return Optional.ofNullable(own.get(key)).or(() -> Optional.ofNullable(kept.getIfPresent(key)));
  }

  /** Remembers what is worked out already. */
  public void put(K key, V value) {
    if (isWriting()) {
      own().put(key, value);
    } else {
      kept.put(key, value);
    }
  }

  private static boolean isWriting() {
    return TransactionSynchronizationManager.isSynchronizationActive()
        && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
  }

  /** What this transaction remembers for itself. */
  @SuppressWarnings("unchecked")
  private Map<K, V> own() {
    Object bound = TransactionSynchronizationManager.getResource(this);
    if (bound == null) {
      Map<K, V> own = new HashMap<>();
      TransactionSynchronizationManager.bindResource(this, own);
      TransactionSynchronizationManager.registerSynchronization(new Ends(own));
      return own;
    }
    return (Map<K, V>) bound;
  }

  private final class Ends implements TransactionSynchronization {
    private final Map<K, V> own;

    Ends(Map<K, V> own) {
      this.own = own;
    }

    @Override
    public void suspend() {
      TransactionSynchronizationManager.unbindResource(Memory.this);
    }

    @Override
    public void resume() {
      TransactionSynchronizationManager.bindResource(Memory.this, own);
    }

    @Override
    public void afterCompletion(int status) {
      TransactionSynchronizationManager.unbindResource(Memory.this);
      if (status == STATUS_COMMITTED) {
        kept.putAll(own);
      }
    }
  }
}
