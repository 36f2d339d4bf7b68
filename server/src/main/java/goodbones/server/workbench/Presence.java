package goodbones.server.workbench;

import goodbones.server.workbench.Views.Other;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Who has which document open, in which tab. It is forgotten when nobody says so again. */
@Component
class Presence {
  private static final Duration GONE_AFTER = Duration.ofSeconds(12);
  private final Clock clock;
  private final Map<String, Map<String, Seen>> documents = new ConcurrentHashMap<>();

  Presence(Clock clock) {
    this.clock = clock;
  }

  private record Seen(String who, String node, Instant at) {}

  /**
   * Notes that a tab has a document open.
   *
   * @param node what is in hand there
   * @return the other tabs that have it open
   */
  List<Other> here(String document, String tab, String who, String node) {
    Instant now = clock.instant();
    Map<String, Seen> tabs = documents.computeIfAbsent(document, id -> new ConcurrentHashMap<>());
    tabs.values().removeIf(seen -> seen.at().plus(GONE_AFTER).isBefore(now));
    tabs.put(tab, new Seen(who, node, now));
    return tabs.entrySet().stream()
        .filter(entry -> !entry.getKey().equals(tab))
        .map(entry -> new Other(entry.getValue().who(), entry.getValue().node()))
        .toList();
  }

  /** A tab was closed, or went to something else. */
  void left(String document, String tab) {
    Map<String, Seen> tabs = documents.get(document);
    if (tabs != null) {
      tabs.remove(tab);
    }
  }
}
