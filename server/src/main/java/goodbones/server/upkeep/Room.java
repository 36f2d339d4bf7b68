package goodbones.server.upkeep;

import goodbones.server.problems.NoRoom;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;
import org.springframework.util.unit.DataSize;

/**
 * How much room there is where the data is kept. A database that meets the end of the disk closes
 * itself; so writing is refused while little is left, and reading goes on.
 */
@Component
class Room implements TransactionExecutionListener {
  /** Bytes that can still be written. */
  @FunctionalInterface
  interface Left {
    long bytes() throws IOException;
  }

  private static final long MB = 1024 * 1024;
  private final Left left;
  private final long least;

  @Autowired
  Room(
      @Value("${goodbones.data}") String data,
      @Value("${goodbones.least-room:48MB}") DataSize least) {
    this(() -> Files.getFileStore(present(Path.of(data))).getUsableSpace(), least.toBytes());
  }

  Room(Left left, long least) {
    this.left = left;
    this.least = least;
  }

  private static Path present(Path folder) {
    Path at = folder.toAbsolutePath();
    while (!Files.exists(at) && at.getParent() != null) {
      at = at.getParent();
    }
    return at;
  }

  /** Why nothing can be written now; empty while there is room. */
  Optional<String> lacking() {
    try {
      long bytes = left.bytes();
      return bytes >= least
          ? Optional.empty()
          : Optional.of(
              "The disk with the data has only "
                  + bytes / MB
                  + " MB left; "
                  + least / MB
                  + " MB have to be free to write");
    } catch (IOException unknown) {
      return Optional.of("The disk with the data cannot be reached");
    }
  }

  @Override
  public void beforeBegin(TransactionExecution transaction) {
    if (!transaction.isReadOnly()) {
      lacking()
          .ifPresent(
              reason -> {
                throw new NoRoom(reason);
              });
    }
  }
}
