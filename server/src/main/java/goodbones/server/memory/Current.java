package goodbones.server.memory;

import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * One value made of what is stored, the same object until a transaction that changed what it is
 * made of has been committed. That transaction itself has it made anew each time.
 */
public final class Current<T> {
  private final Supplier<T> read;
  private final AtomicReference<@Nullable T> known = new AtomicReference<>();
  private final AtomicLong changes = new AtomicLong();

  /** That a transaction changed something. */
  private static final class Changed {
    private boolean something;
  }

  private final OfTransaction<Changed> changed = new OfTransaction<>(Changed::new, this::forget);

  /**
   * @param read makes it; asked within a transaction
   */
  public Current(Supplier<T> read) {
    this.read = read;
  }

  /** Says that the transaction that is under way changes what it is made of. */
  public void change() {
    changed.get().something = true;
  }

  public T get() {
    if (OfTransaction.isWriting() && changed.get().something) {
      return read.get();
    }
    T now = known.get();
    if (now == null) {
      long asked = changes.get();
      now = read.get();
      if (asked == changes.get()) {
        known.set(now);
      }
    }
    return now;
  }

  private void forget(Changed by) {
    if (by.something) {
      changes.incrementAndGet();
      known.set(null);
    }
  }
}
