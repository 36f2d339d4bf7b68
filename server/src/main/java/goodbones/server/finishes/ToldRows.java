package goodbones.server.finishes;

import goodbones.server.finishes.FinishesViews.TokenRow;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The rows of the table as they were told last, each with the telling in which it was new, so that
 * a reader is told only what is new since the telling that it had. One after the other: the rows of
 * a telling are those of the one before with the new ones in their places.
 */
final class ToldRows {
  private final String begin = UUID.randomUUID() + "-";
  private Map<String, Told> rows = Map.of();
  private List<String> order = List.of();
  private long ordered;
  private long last;

  private record Told(TokenRow row, long at) {}

  /**
   * What a reader does not have.
   *
   * @param telling what to ask with the next time
   * @param order the ids of all rows; null if they stand as in the telling that the reader had
   */
  record News(String telling, @Nullable List<String> order, List<TokenRow> rows) {}

  /**
   * Tells rows.
   *
   * @param had the telling that the reader had; whoever had none that is known is told everything
   */
  synchronized News tell(String had, List<TokenRow> now) {
    long since = number(had);
    last++;
    Map<String, Told> told = new HashMap<>();
    for (TokenRow row : now) {
      Told before = rows.get(row.id());
      told.put(row.id(), before != null && same(before.row(), row) ? before : new Told(row, last));
    }
    List<String> ids = now.stream().map(TokenRow::id).toList();
    if (!ids.equals(order)) {
      order = ids;
      ordered = last;
    }
    rows = told;
    List<TokenRow> news =
        ids.stream().map(told::get).filter(row -> row.at() > since).map(Told::row).toList();
    return new News(begin + last, ordered > since ? ids : null, news);
  }

  private static boolean same(TokenRow one, TokenRow other) {
    return one == other || one.equals(other);
  }

  /** 0 for a telling that is not known here. */
  private long number(String had) {
    if (!had.startsWith(begin) || !had.substring(begin.length()).matches("\\d{1,18}")) {
      return 0;
    }
    long number = Long.parseLong(had.substring(begin.length()));
    return number > last ? 0 : number;
  }
}
