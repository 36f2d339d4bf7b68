package goodbones.server.library;

import goodbones.server.memory.OfTransaction;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * How often each piece is placed on each page, held in memory: read once, and then again for the
 * pages that were written since. Only what has been committed is remembered.
 */
@Component
class PlacedPages {
  private final PlacedRepository placed;
  private final Map<String, List<PlacedOn>> byPage = new HashMap<>();
  private final Set<String> written = new HashSet<>();
  private final OfTransaction<Set<String>> mine = new OfTransaction<>(HashSet::new, this::forget);
  private boolean isRead;

  PlacedPages(PlacedRepository placed) {
    this.placed = placed;
  }

  /** All of them; a transaction that writes is told what it has written itself. */
  List<PlacedOn> all() {
    synchronized (byPage) {
      Map<String, List<PlacedOn>> pages = OfTransaction.isWriting() ? asWritten() : readAnew();
      List<PlacedOn> all = new ArrayList<>();
      pages.values().forEach(all::addAll);
      return all;
    }
  }

  /**
   * Forgets first and reads then: a page that is committed between the two is forgotten once more,
   * and read when somebody asks the next time.
   */
  private Map<String, List<PlacedOn>> readAnew() {
    Set<String> pages = new HashSet<>();
    synchronized (written) {
      pages.addAll(written);
      written.clear();
    }
    read(byPage, pages);
    isRead = true;
    return byPage;
  }

  /** What is remembered, with all that was written since, here too; nothing of it is remembered. */
  private Map<String, List<PlacedOn>> asWritten() {
    Map<String, List<PlacedOn>> seen = new HashMap<>(byPage);
    Set<String> pages = new HashSet<>(mine.get());
    synchronized (written) {
      pages.addAll(written);
    }
    read(seen, pages);
    return seen;
  }

  private void read(Map<String, List<PlacedOn>> into, Set<String> pages) {
    pages.forEach(into::remove);
    List<PlacedOn> rows =
        !isRead ? placed.placedOn() : pages.isEmpty() ? List.of() : placed.placedOn(pages);
    Map<String, List<PlacedOn>> fresh = new HashMap<>();
    rows.forEach(row -> fresh.computeIfAbsent(row.pageId(), id -> new ArrayList<>()).add(row));
    into.putAll(fresh);
  }

  /** A page is written in this transaction. */
  void writes(String pageId) {
    mine.get().add(pageId);
  }

  private void forget(Set<String> pages) {
    synchronized (written) {
      written.addAll(pages);
    }
  }
}
