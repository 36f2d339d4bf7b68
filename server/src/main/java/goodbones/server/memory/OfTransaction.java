package goodbones.server.memory;

import java.util.function.Consumer;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Something that each transaction has for itself, and that is told of once it is committed. */
public final class OfTransaction<T> {
  private final Supplier<T> fresh;
  private final Consumer<T> committed;

  /**
   * @param fresh what a transaction begins with
   * @param committed what is done with it after the commit; never after a rollback
   */
  public OfTransaction(Supplier<T> fresh, Consumer<T> committed) {
    this.fresh = fresh;
    this.committed = committed;
  }

  /** Whether there is a transaction that may write, and so may yet be taken back. */
  public static boolean isWriting() {
    return TransactionSynchronizationManager.isSynchronizationActive()
        && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
  }

  /** What the transaction that is under way has. */
  @SuppressWarnings("unchecked")
  public T get() {
    Object bound = TransactionSynchronizationManager.getResource(this);
    if (bound != null) {
      return (T) bound;
    }
    T own = fresh.get();
    TransactionSynchronizationManager.bindResource(this, own);
    TransactionSynchronizationManager.registerSynchronization(new Ends(own));
    return own;
  }

  private final class Ends implements TransactionSynchronization {
    private final T own;

    Ends(T own) {
      this.own = own;
    }

    @Override
    public void suspend() {
      TransactionSynchronizationManager.unbindResource(OfTransaction.this);
    }

    @Override
    public void resume() {
      TransactionSynchronizationManager.bindResource(OfTransaction.this, own);
    }

    @Override
    public void afterCompletion(int status) {
      TransactionSynchronizationManager.unbindResource(OfTransaction.this);
      if (status == STATUS_COMMITTED) {
        committed.accept(own);
      }
    }
  }
}
