package goodbones.server.accounts;

import java.time.Duration;

/** Somebody tried names, passwords or codes too often. */
final class TooManyAttempts extends RuntimeException {
  static final String TITLE = "Too many attempts";
  private static final long serialVersionUID = 1L;
  private static final int MINUTE = 60;
  private final long seconds;

  TooManyAttempts(Duration left) {
    super("This failed too often. Try again in " + words(seconds(left)));
    this.seconds = seconds(left);
  }

  private static long seconds(Duration left) {
    return Math.max(1, left.plusMillis(999).toSeconds());
  }

  private static String words(long seconds) {
    if (seconds >= 2 * MINUTE) {
      return (seconds + MINUTE - 1) / MINUTE + " minutes";
    }
    return seconds == 1 ? "a second" : seconds + " seconds";
  }

  long seconds() {
    return seconds;
  }
}
