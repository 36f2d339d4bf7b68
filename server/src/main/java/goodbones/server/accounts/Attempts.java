package goodbones.server.accounts;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Attempts to come in that failed, by account and by address. After some of them the next has to
 * wait, twice as long each time, and after many for a quarter of an hour.
 */
@Component
class Attempts {
  private static final int MOST_KEPT = 50_000;
  private static final Duration FORGOTTEN_AFTER = Duration.ofHours(1);
  private static final Duration KNOWN_FOR = Duration.ofDays(30);
  private static final Duration LONGEST_DELAY = Duration.ofSeconds(60);
  private static final Duration LOCKED = Duration.ofMinutes(15);

  /** How often something may fail before it has to wait, and before it is locked. */
  private record Limit(int free, int locked) {
    Duration delay(int failures) {
      if (failures <= free) {
        return Duration.ZERO;
      } else if (failures >= locked) {
        return LOCKED;
      }
      Duration doubled = Duration.ofSeconds(1L << Math.min(20, failures - free - 1));
      return doubled.compareTo(LONGEST_DELAY) < 0 ? doubled : LONGEST_DELAY;
    }
  }

  /** At one name from one address, so that nobody can lock out others by failing in their name. */
  private static final Limit PAIR = new Limit(4, 12);

  /** Many people may share an address. */
  private static final Limit ADDRESS = new Limit(20, 60);

  /** At one name from wherever, but for addresses from which its owner came in before. */
  private static final Limit NAME = new Limit(100, 400);

  private record Failed(int times, Instant last) {}

  private record Counted(String key, Limit limit) {}

  private final Cache<String, Failed> failed =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(FORGOTTEN_AFTER).build();
  private final Cache<String, Boolean> known =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(KNOWN_FOR).build();
  private final Clock clock;

  Attempts(Clock clock) {
    this.clock = clock;
  }

  private static String pair(String name, String from) {
    return Person.key(name) + "\n" + from;
  }

  private List<Counted> counted(String name, String from) {
    List<Counted> counted = new ArrayList<>();
    counted.add(new Counted("pair " + pair(name, from), PAIR));
    counted.add(new Counted("address " + from, ADDRESS));
    if (known.getIfPresent(pair(name, from)) == null) {
      counted.add(new Counted("name " + Person.key(name), NAME));
    }
    return counted;
  }

  /**
   * Counts an attempt, before anything is compared: of many at once no more get through than of as
   * many one after the other.
   *
   * @return how long it has to wait; zero if it may be made
   */
  synchronized Duration begin(String name, String from) {
    Duration longest =
        counted(name, from).stream()
            .map(each -> left(each.key(), each.limit()))
            .max(Comparator.naturalOrder())
            .orElse(Duration.ZERO);
    if (longest.isZero()) {
      counted(name, from).forEach(each -> count(each.key(), 1));
    }
    return longest;
  }

  /**
   * Makes an attempt if it need not wait.
   *
   * @param wrong what is thrown where the attempt fails; all else was no attempt
   * @throws TooManyAttempts if it has to wait
   */
  void guarded(
      String name, String from, Class<? extends RuntimeException> wrong, Runnable attempt) {
    Duration left = begin(name, from);
    if (!left.isZero()) {
      throw new TooManyAttempts(left);
    }
    try {
      attempt.run();
    } catch (RuntimeException failed) {
      if (!wrong.isInstance(failed)) {
        withdrawn(name, from);
      }
      throw failed;
    }
    succeeded(name, from);
  }

  private Duration left(String key, Limit limit) {
    Failed before = failed.getIfPresent(key);
    if (before == null) {
      return Duration.ZERO;
    }
    Duration left =
        Duration.between(clock.instant(), before.last().plus(limit.delay(before.times())));
    return left.isNegative() ? Duration.ZERO : left;
  }

  private void count(String key, int by) {
    failed
        .asMap()
        .compute(
            key,
            (k, before) -> {
              int times = (before == null ? 0 : before.times()) + by;
              return times <= 0 ? null : new Failed(times, clock.instant());
            });
  }

  /**
   * Who came in is trusted again, and known at that address; the address itself is not, others may
   * be trying from there.
   */
  synchronized void succeeded(String name, String from) {
    withdrawn(name, from);
    failed.invalidate("pair " + pair(name, from));
    known.put(pair(name, from), true);
  }

  /** An attempt that was none: what was given was not even compared. */
  synchronized void withdrawn(String name, String from) {
    counted(name, from).forEach(each -> count(each.key(), -1));
  }
}
