package goodbones.server.finishes;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.server.finishes.FinishesViews.Cell;
import goodbones.server.finishes.FinishesViews.TokenRow;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** However often and in whichever order readers ask: each one's table is the whole one. */
class ToldRowsTest {
  private static TokenRow row(int id, int worth) {
    Cell cell = new Cell(worth + "px", worth + "px", false, false, List.of());
    return new TokenRow("t" + id, "t", "dimension", "", "", "", false, cell, Map.of(), 0);
  }

  /** A reader that puts together what it is told, as the interface does. */
  private static final class Reader {
    private String had = "";
    private List<TokenRow> table = List.of();

    void read(ToldRows told, List<TokenRow> now) {
      ToldRows.News news = told.tell(had, now);
      Map<String, TokenRow> known = new HashMap<>();
      table.forEach(row -> known.put(row.id(), row));
      news.rows().forEach(row -> known.put(row.id(), row));
      List<String> order =
          news.order() == null ? table.stream().map(TokenRow::id).toList() : news.order();
      table = order.stream().map(known::get).toList();
      had = news.telling();
    }
  }

  @Test
  void everyReaderHasTheWholeTable() {
    for (int seed = 0; seed < 200; seed++) {
      Random random = new Random(seed);
      ToldRows told = new ToldRows();
      List<Reader> readers = List.of(new Reader(), new Reader(), new Reader());
      List<TokenRow> now = new ArrayList<>();
      for (int step = 0; step < 40; step++) {
        if (now.isEmpty() || random.nextInt(3) == 0) {
          now.add(random.nextInt(now.size() + 1), row(step, 0));
        } else if (random.nextInt(4) == 0) {
          now.remove(random.nextInt(now.size()));
        } else {
          int at = random.nextInt(now.size());
          now.set(at, row(Integer.parseInt(now.get(at).id().substring(1)), random.nextInt(3)));
        }
        Reader reader = readers.get(random.nextInt(3));
        reader.read(told, List.copyOf(now));
        assertThat(reader.table).as("seed %s, step %s", seed, step).isEqualTo(now);
      }
    }
  }

  @Test
  void whoeverHadNoTellingOfTheseIsToldEverything() {
    ToldRows told = new ToldRows();
    List<TokenRow> rows = List.of(row(1, 1), row(2, 1));
    String first = told.tell("", rows).telling();
    assertThat(told.tell(first, rows).rows()).isEmpty();
    assertThat(told.tell(first, rows).order()).isNull();
    for (String had : List.of(first + "000", new ToldRows().tell("", rows).telling(), "-1", "x")) {
      assertThat(told.tell(had, rows).rows()).isEqualTo(rows);
    }
  }
}
