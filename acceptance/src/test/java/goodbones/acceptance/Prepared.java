package goodbones.acceptance;

import java.io.IOException;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Consumer;

/** Something that takes long to make, and may be made before it is asked for. */
final class Prepared<T> {
  private final Making<T> making;
  private Optional<CompletableFuture<T>> coming = Optional.empty();

  /** How it is made. */
  interface Making<T> {
    T make() throws IOException;
  }

  Prepared(Making<T> making) {
    this.making = making;
  }

  /** Begins to make it, if that has not been done. */
  synchronized CompletableFuture<T> prepare() {
    CompletableFuture<T> made = coming.orElseGet(() -> CompletableFuture.supplyAsync(this::make));
    coming = Optional.of(made);
    return made;
  }

  /** The same for all who ask. */
  T get() throws IOException {
    try {
      return prepare().join();
    } catch (CompletionException e) {
      throw new IOException("it could not be prepared", e.getCause());
    }
  }

  /** The same for nobody else: who asks after this gets another. */
  T take() throws IOException {
    T taken = get();
    synchronized (this) {
      coming = Optional.empty();
    }
    return taken;
  }

  /** Does away with what was made and never taken. */
  synchronized void drop(Consumer<T> how) {
    coming.ifPresent(made -> made.thenAccept(how).join());
    coming = Optional.empty();
  }

  private T make() {
    try {
      return making.make();
    } catch (IOException e) {
      throw new CompletionException(e);
    }
  }
}
