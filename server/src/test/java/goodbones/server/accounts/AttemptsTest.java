package goodbones.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class AttemptsTest {
  private Instant now = Instant.parse("2026-11-26T08:00:00Z");
  private final Attempts attempts =
      new Attempts(
          new Clock() {
            @Override
            public ZoneId getZone() {
              return ZoneOffset.UTC;
            }

            @Override
            public Clock withZone(ZoneId zone) {
              return this;
            }

            @Override
            public Instant instant() {
              return now;
            }
          });

  private void fail(int times, String name, String from) {
    for (int i = 0; i < times; i++) {
      attempts.failed(name, from);
    }
  }

  @Test
  void afterSomeAttemptsEachHasToWaitTwiceAsLong() {
    fail(4, "iris", "10.0.0.1");
    assertThat(attempts.wait("iris", "10.0.0.1")).isZero();
    fail(1, "Iris ", "10.0.0.1");
    assertThat(attempts.wait("iris", "10.0.0.2")).isEqualTo(Duration.ofSeconds(1));
    fail(2, "iris", "10.0.0.1");
    assertThat(attempts.wait("iris", "10.0.0.2")).isEqualTo(Duration.ofSeconds(4));
    now = now.plusSeconds(3);
    assertThat(attempts.wait("IRIS", "10.0.0.2")).isEqualTo(Duration.ofSeconds(1));
    now = now.plusSeconds(2);
    assertThat(attempts.wait("iris", "10.0.0.1")).isZero();
    assertThat(attempts.wait("tom", "10.0.0.1")).isZero();
  }

  @Test
  void manyLockAnAccountForAQuarterOfAnHourAndComingInClearsIt() {
    fail(12, "iris", "10.0.0.1");
    assertThat(attempts.wait("iris", "10.0.0.9")).isEqualTo(Duration.ofMinutes(15));
    now = now.plus(Duration.ofMinutes(15));
    assertThat(attempts.wait("iris", "10.0.0.9")).isZero();
    attempts.succeeded("iris");
    fail(1, "iris", "10.0.0.1");
    assertThat(attempts.wait("iris", "10.0.0.9")).isZero();
  }

  /** Trying one password on many names is slowed down by the address. */
  @Test
  void anAddressIsSlowedDownWhateverNamesItTries() {
    for (int i = 0; i < 60; i++) {
      fail(1, "somebody" + i, "10.0.0.7");
    }
    assertThat(attempts.wait("a new name", "10.0.0.7")).isEqualTo(Duration.ofMinutes(15));
    assertThat(attempts.wait("a new name", "10.0.0.8")).isZero();
  }
}
