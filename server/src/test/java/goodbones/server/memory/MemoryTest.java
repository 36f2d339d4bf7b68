package goodbones.server.memory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.AbstractPlatformTransactionManager;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/** What a transaction found is everybody's only once it has been committed. */
class MemoryTest {
  private final AtomicInteger read = new AtomicInteger();
  private final Memory<String, String> memory = new Memory<>(10, String::length);
  private final TransactionTemplate writing = new TransactionTemplate(new Transactions());

  private String get(String key) {
    return memory.get(key, () -> "read " + read.incrementAndGet());
  }

  @Test
  void whatWasReadIsRememberedWithoutATransactionAndInOneThatOnlyReads() {
    assertThat(get("a")).isEqualTo(get("a")).isEqualTo("read 1");
    TransactionTemplate reading = new TransactionTemplate(new Transactions());
    reading.setReadOnly(true);
    memory.put("b", "kept");
    String seen = reading.execute(status -> get("b"));
    assertThat(seen).isEqualTo("kept");
  }

  @Test
  void whatARolledBackTransactionFoundIsForgotten() {
    writing.executeWithoutResult(
        status -> {
          assertThat(get("a")).isEqualTo("read 1");
          assertThat(get("a")).as("remembered for itself").isEqualTo("read 1");
          memory.put("b", "phantom");
          status.setRollbackOnly();
        });
    assertThat(get("a")).isEqualTo("read 2");
    assertThat(memory.known("b")).isEmpty();
  }

  @Test
  void whatACommittedTransactionFoundIsKept() {
    writing.executeWithoutResult(status -> get("a"));
    assertThat(get("a")).isEqualTo("read 1");
    assertThat(TransactionSynchronizationManager.getResourceMap()).isEmpty();
  }

  @Test
  void aTransactionInsideAnotherRemembersForItself() {
    TransactionTemplate inner = new TransactionTemplate(new Transactions());
    inner.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    writing.executeWithoutResult(
        status -> {
          memory.put("a", "outer");
          inner.executeWithoutResult(
              other -> {
                assertThat(memory.known("a")).isEmpty();
                memory.put("a", "inner");
              });
          assertThat(memory.known("a")).contains("outer");
          status.setRollbackOnly();
        });
    assertThat(memory.known("a")).contains("inner");
  }

  @Test
  void noMoreThanItsWeightIsKept() {
    for (int i = 0; i < 100; i++) {
      memory.put("key " + i, "five!");
    }
    long kept =
        java.util.stream.IntStream.range(0, 100)
            .filter(i -> memory.known("key " + i).isPresent())
            .count();
    assertThat(kept).isBetween(1L, 2L);
  }

  /** Transactions of nothing: only whether they end well is real. */
  private static final class Transactions extends AbstractPlatformTransactionManager {
    private static final long serialVersionUID = 1L;
    private static final ThreadLocal<Integer> OPEN = ThreadLocal.withInitial(() -> 0);

    @Override
    protected Object doGetTransaction() {
      return new Object();
    }

    @Override
    protected boolean isExistingTransaction(Object transaction) {
      return OPEN.get() > 0;
    }

    @Override
    protected void doBegin(Object transaction, TransactionDefinition definition) {
      OPEN.set(OPEN.get() + 1);
    }

    @Override
    protected Object doSuspend(Object transaction) {
      return transaction;
    }

    @Override
    protected void doResume(Object transaction, Object suspended) {}

    @Override
    protected void doCommit(DefaultTransactionStatus status) {}

    @Override
    protected void doRollback(DefaultTransactionStatus status) {}

    @Override
    protected void doCleanupAfterCompletion(Object transaction) {
      OPEN.set(OPEN.get() - 1);
    }
  }
}
