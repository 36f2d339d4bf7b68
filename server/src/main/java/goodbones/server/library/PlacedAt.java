package goodbones.server.library;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How often a piece is placed on the pages of a site.
 *
 * @param waiting how many of those wait for an answer on another revision than the current one
 */
public record PlacedAt(String siteId, String pieceId, int placements, int waiting) {
  /** In no order. */
  static List<PlacedAt> of(List<Use> onPages, Map<String, Integer> currents) {
    Map<String, Map<String, PlacedAt>> found = new HashMap<>();
    for (Use use : onPages) {
      boolean waits = use.waits(currents.getOrDefault(use.pieceId(), 0));
      found
          .computeIfAbsent(use.siteId(), id -> new HashMap<>())
          .merge(
              use.pieceId(),
              new PlacedAt(use.siteId(), use.pieceId(), 1, waits ? 1 : 0),
              PlacedAt::and);
    }
    List<PlacedAt> all = new ArrayList<>();
    found.values().forEach(site -> all.addAll(site.values()));
    return all;
  }

  private PlacedAt and(PlacedAt other) {
    return new PlacedAt(siteId, pieceId, placements + other.placements, waiting + other.waiting);
  }
}
