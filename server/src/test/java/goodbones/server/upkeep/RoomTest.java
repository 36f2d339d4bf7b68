package goodbones.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import goodbones.server.problems.NoRoom;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.Status;
import org.springframework.transaction.TransactionExecution;

class RoomTest {
  private static final long MB = 1024 * 1024;

  private static TransactionExecution transaction(boolean readOnly) {
    TransactionExecution transaction = mock(TransactionExecution.class);
    when(transaction.isReadOnly()).thenReturn(readOnly);
    return transaction;
  }

  private static DataSource database(boolean valid) throws SQLException {
    Connection connection = mock(Connection.class);
    when(connection.isValid(2)).thenReturn(valid);
    DataSource database = mock(DataSource.class);
    when(database.getConnection()).thenReturn(connection);
    return database;
  }

  @Test
  void readingGoesOnWhereWritingIsRefused() throws SQLException {
    Room little = new Room(() -> 7 * MB, 48 * MB);
    little.beforeBegin(transaction(true));
    assertThatThrownBy(() -> little.beforeBegin(transaction(false)))
        .isInstanceOf(NoRoom.class)
        .hasMessageContaining("only 7 MB left; 48 MB have to be free")
        .hasMessageContaining("make room");
    Health health = new DataHealthIndicator(database(true), little).health();
    assertThat(health.getStatus()).isEqualTo(Status.DOWN);
    assertThat(String.valueOf(health.getDetails().get("reason"))).contains("only 7 MB left");
  }

  @Test
  void withRoomBothGoOn() throws SQLException {
    Room enough = new Room(() -> 48 * MB, 48 * MB);
    enough.beforeBegin(transaction(false));
    assertThat(new DataHealthIndicator(database(true), enough).health().getStatus())
        .isEqualTo(Status.UP);
  }

  @Test
  void aDiskThatIsAwayAndADatabaseThatDoesNotAnswerAreDown() throws SQLException {
    Room away =
        new Room(
            () -> {
              throw new IOException("gone");
            },
            MB);
    assertThat(new DataHealthIndicator(database(true), away).health().getStatus())
        .isEqualTo(Status.DOWN);
    Room enough = new Room(() -> MB, MB);
    assertThat(new DataHealthIndicator(database(false), enough).health().getStatus())
        .isEqualTo(Status.DOWN);
  }
}
