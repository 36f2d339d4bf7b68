package goodbones.server.problems;

import java.sql.SQLException;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What the database says of a value that is longer than it keeps. */
final class TooLong {
  /** String data, right truncation (ISO/IEC 9075-2). */
  private static final String STATE = "22001";

  private static final Pattern COLUMN =
      Pattern.compile("column \"(\\w+) CHARACTER VARYING\\((\\d+)\\)");

  private TooLong() {}

  /** How to mend it; empty if something else went wrong. */
  static Optional<String> said(Throwable failure) {
    for (Throwable at = failure; at != null; at = at.getCause()) {
      if (at instanceof SQLException sql && STATE.equals(sql.getSQLState())) {
        Matcher column = COLUMN.matcher(String.valueOf(sql.getMessage()));
        return Optional.of(
            column.find()
                ? "The "
                    + column.group(1).toLowerCase(Locale.ROOT).replace('_', ' ')
                    + " may have at most "
                    + column.group(2)
                    + " characters; shorten it. Nothing was changed"
                : "One of the values is too long to be kept; shorten it. Nothing was changed");
      }
    }
    return Optional.empty();
  }
}
