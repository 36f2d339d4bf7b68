package goodbones.server.problems;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.Test;

/** What is too long for the database is told as that, and not as the work of somebody else. */
class TooLongTest {
  @Test
  void theColumnAndItsLimitAreNamed() throws SQLException {
    try (Connection database = DriverManager.getConnection("jdbc:h2:mem:long");
        Statement sql = database.createStatement()) {
      sql.execute("create table one (title varchar(8), other int not null)");
      assertThat(TooLong.said(failure(sql, "insert into one values ('far too long', 1)")))
          .contains("The title may have at most 8 characters; shorten it. Nothing was changed");
      assertThat(TooLong.said(failure(sql, "insert into one values ('short', null)"))).isEmpty();
    }
  }

  private static Throwable failure(Statement sql, String what) {
    try {
      sql.execute(what);
      throw new AssertionError("it was taken");
    } catch (SQLException refused) {
      return new IllegalStateException(refused);
    }
  }
}
