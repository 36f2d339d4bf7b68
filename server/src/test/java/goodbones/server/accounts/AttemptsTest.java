package goodbones.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
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
      Duration left = attempts.begin(name, from);
      assertThat(left).isZero();
      now = now.plus(Duration.ofMinutes(16));
    }
    now = now.minus(Duration.ofMinutes(16));
  }

  @Test
  void afterSomeAttemptsEachHasToWaitTwiceAsLong() {
    for (int i = 0; i < 5; i++) {
      assertThat(attempts.begin("iris", "10.0.0.1")).isZero();
    }
    assertThat(attempts.begin("Iris ", "10.0.0.1")).isEqualTo(Duration.ofSeconds(1));
    now = now.plusSeconds(1);
    assertThat(attempts.begin("iris", "10.0.0.1")).isZero();
    assertThat(attempts.begin("IRIS", "10.0.0.1")).isEqualTo(Duration.ofSeconds(2));
    assertThat(attempts.begin("tom", "10.0.0.1")).isZero();
  }

  /** However many try at once, no more get through than one after the other. */
  @Test
  void sixtyAtOnceAreAsFewAsSixtyInTurn() throws InterruptedException {
    AtomicInteger through = new AtomicInteger();
    List<Thread> threads = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      threads.add(
          new Thread(
              () -> {
                if (attempts.begin("iris", "10.0.0.1").isZero()) {
                  through.incrementAndGet();
                }
              }));
    }
    threads.forEach(Thread::start);
    for (Thread thread : threads) {
      thread.join();
    }
    assertThat(through).hasValue(5);
  }

  @Test
  void failuresOfAStrangerDoNotStopTheOwner() {
    fail(12, "iris", "10.0.0.1");
    assertThat(attempts.begin("iris", "10.0.0.1")).isEqualTo(Duration.ofMinutes(15));
    assertThat(attempts.begin("iris", "10.0.0.9")).isZero();
    attempts.succeeded("iris", "10.0.0.9");
    for (int i = 0; i < 450; i++) {
      attempts.begin("iris", "10.0." + (1 + i / 200) + "." + i % 200);
    }
    assertThat(attempts.begin("iris", "10.1.0.1")).as("guessed from everywhere").isPositive();
    assertThat(attempts.begin("iris", "10.0.0.9")).as("where iris came in before").isZero();
  }

  @Test
  void comingInClearsIt() {
    fail(11, "iris", "10.0.0.1");
    attempts.succeeded("iris", "10.0.0.1");
    assertThat(attempts.begin("iris", "10.0.0.1")).isZero();
  }

  /** Trying one password on many names is slowed down by the address. */
  @Test
  void anAddressIsSlowedDownWhateverNamesItTries() {
    for (int i = 0; i < 21; i++) {
      assertThat(attempts.begin("somebody" + i, "10.0.0.7")).isZero();
    }
    assertThat(attempts.begin("a new name", "10.0.0.7")).isPositive();
    assertThat(attempts.begin("a new name", "10.0.0.8")).isZero();
  }
}
