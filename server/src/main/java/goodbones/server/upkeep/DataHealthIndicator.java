package goodbones.server.upkeep;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import javax.sql.DataSource;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Whether the data can be read and written; if not, the answer says why. */
@Component
class DataHealthIndicator implements HealthIndicator {
  private static final int SECONDS = 2;
  private final DataSource database;
  private final Room room;

  DataHealthIndicator(DataSource database, Room room) {
    this.database = database;
    this.room = room;
  }

  @Override
  public Health health() {
    Optional<String> reason = room.lacking().or(this::unreachable);
    return reason
        .map(why -> Health.down().withDetail("reason", why).build())
        .orElseGet(() -> Health.up().build());
  }

  private Optional<String> unreachable() {
    try (Connection connection = database.getConnection()) {
      return connection.isValid(SECONDS)
          ? Optional.empty()
          : Optional.of("The database does not answer");
    } catch (SQLException failed) {
      return Optional.of("The database cannot be opened");
    }
  }
}
