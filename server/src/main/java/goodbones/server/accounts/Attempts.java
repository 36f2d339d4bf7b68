package goodbones.server.accounts;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
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

  private static final Limit ACCOUNT = new Limit(4, 12);

  /** Many people may share an address. */
  private static final Limit ADDRESS = new Limit(20, 60);

  private record Failed(int times, Instant last) {}

  private final Cache<String, Failed> failed =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(FORGOTTEN_AFTER).build();
  private final Clock clock;

  Attempts(Clock clock) {
    this.clock = clock;
  }

  private static String account(String name) {
    return "account " + Person.key(name);
  }

  private static String address(String address) {
    return "address " + address;
  }

  /** How long the next attempt has to wait; zero if it need not. */
  Duration wait(String name, String from) {
    Duration account = left(account(name), ACCOUNT);
    Duration address = left(address(from), ADDRESS);
    return account.compareTo(address) > 0 ? account : address;
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

  void failed(String name, String from) {
    for (String key : List.of(account(name), address(from))) {
      failed
          .asMap()
          .merge(
              key,
              new Failed(1, clock.instant()),
              (old, one) -> new Failed(old.times() + 1, one.last()));
    }
  }

  /** Who came in is trusted again; the address is not, others may be trying from there. */
  void succeeded(String name) {
    failed.invalidate(account(name));
  }
}
