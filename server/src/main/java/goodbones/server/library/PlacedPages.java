package goodbones.server.library;

import goodbones.server.memory.OfTransaction;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * What is placed on each page, held in memory: read once, and then again for the pages that were
 * written since. Only what has been committed is remembered.
 */
@Component
class PlacedPages {
  private final PlacedRepository placed;
  private final Map<String, List<Use>> byPage = new TreeMap<>();
  private final Set<String> written = new HashSet<>();
  private final OfTransaction<Set<String>> mine = new OfTransaction<>(HashSet::new, this::forget);
  private boolean isRead;

  PlacedPages(PlacedRepository placed) {
    this.placed = placed;
  }

  /**
   * All of them, by page and path; a transaction that writes is told what it has written itself.
   */
  List<Use> all() {
    synchronized (byPage) {
      Map<String, List<Use>> pages = OfTransaction.isWriting() ? asWritten() : readAnew();
      List<Use> all = new ArrayList<>();
      pages.values().forEach(all::addAll);
      return all;
    }
  }

  /**
   * Forgets first and reads then: a page that is committed between the two is forgotten once more,
   * and read when somebody asks the next time.
   */
  private Map<String, List<Use>> readAnew() {
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
  private Map<String, List<Use>> asWritten() {
    Map<String, List<Use>> seen = new TreeMap<>(byPage);
    Set<String> pages = new HashSet<>(mine.get());
    synchronized (written) {
      pages.addAll(written);
    }
    read(seen, pages);
    return seen;
  }

  private void read(Map<String, List<Use>> into, Set<String> pages) {
    pages.forEach(into::remove);
    List<Use> rows =
        !isRead ? placed.placedOn() : pages.isEmpty() ? List.of() : placed.placedOn(pages);
    Map<String, List<Use>> fresh = new HashMap<>();
    rows.forEach(row -> fresh.computeIfAbsent(row.ownerId(), id -> new ArrayList<>()).add(row));
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
