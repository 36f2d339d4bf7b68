package goodbones.server.rollouts;

import goodbones.library.Adopted;
import goodbones.server.library.Pieces;
import goodbones.server.library.PlacedAt;
import goodbones.server.library.RevisionInfo;
import goodbones.server.sites.Sites;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.stereotype.Component;

/**
 * What carrying a release brings to a site: the release, where its piece is placed, and the
 * follow-ups of the pieces that contain it.
 */
@Component
class Carrying {
  private final Pieces pieces;
  private final Sites sites;

  Carrying(Pieces pieces, Sites sites) {
    this.pieces = pieces;
    this.sites = sites;
  }

  /**
   * A follow-up that comes along at a site.
   *
   * @param brings the releases of the containing piece that come with it; where there are any it is
   *     only offered
   */
  record Along(String pieceId, int from, int to, List<RevisionInfo> brings) {
    boolean isOffered() {
      return !brings.isEmpty();
    }
  }

  /**
   * What comes to a site.
   *
   * @param release the revision of the piece itself; empty if the site shows it already, or has the
   *     piece only inside others
   */
  record Load(String siteId, Map<String, Integer> release, List<Along> along) {
    /** All that is adopted if those are accepted. */
    Map<String, Integer> revisions(Set<String> accepted) {
      Map<String, Integer> revisions = new TreeMap<>(release);
      along.stream()
          .filter(one -> !one.isOffered() || accepted.contains(one.pieceId()))
          .forEach(one -> revisions.put(one.pieceId(), one.to()));
      return revisions;
    }

    /** All that it may be about. */
    Set<String> pieces() {
      Set<String> all = new TreeSet<>(release.keySet());
      along.forEach(one -> all.add(one.pieceId()));
      return all;
    }

    boolean isEmpty() {
      return release.isEmpty() && along.isEmpty();
    }
  }

  /** What is placed and adopted where at one moment, read once. */
  final class Now {
    private final Map<String, Map<String, PlacedAt>> placed = new TreeMap<>();
    private final Map<String, Adopted> adopted = sites.adopted();
    private final Map<String, Map<String, Integer>> followUps = pieces.followUps();
    private final Map<String, Integer> currents = pieces.currents();

    private Now() {
      for (PlacedAt at : pieces.placedAt()) {
        placed.computeIfAbsent(at.siteId(), id -> new TreeMap<>()).put(at.pieceId(), at);
      }
    }

    /**
     * What carrying the current revision of a piece brings, at each site to which it brings any.
     */
    List<Load> of(String pieceId) {
      return placed.keySet().stream()
          .map(site -> at(site, pieceId))
          .filter(load -> !load.isEmpty())
          .toList();
    }

    private Load at(String site, String pieceId) {
      Map<String, PlacedAt> here = placed.getOrDefault(site, Map.of());
      Map<String, Integer> shown = adopted.getOrDefault(site, new Adopted(Map.of())).revisions();
      Map<String, Integer> release = new TreeMap<>();
      int current = currents.getOrDefault(pieceId, 0);
      PlacedAt itself = here.get(pieceId);
      if (itself != null && (shown.getOrDefault(pieceId, 0) != current || itself.waiting() > 0)) {
        release.put(pieceId, current);
      }
      List<Along> along = new ArrayList<>();
      followUps
          .getOrDefault(pieceId, Map.of())
          .forEach(
              (container, to) -> {
                int from = shown.getOrDefault(container, 0);
                if (from > 0 && from < to && here.containsKey(container)) {
                  along.add(new Along(container, from, to, brings(container, pieceId, from, to)));
                }
              });
      return new Load(site, release, along);
    }

    /** How many placements a load is about. */
    int placements(Load load) {
      Map<String, PlacedAt> here = placed.getOrDefault(load.siteId(), Map.of());
      return load.pieces().stream()
          .filter(here::containsKey)
          .mapToInt(piece -> here.get(piece).placements())
          .sum();
    }

    /**
     * Whether all that a site would get of a piece are follow-ups, which come with what they
     * follow.
     */
    boolean onlyFollows(String siteId, String pieceId) {
      int from =
          adopted.getOrDefault(siteId, new Adopted(Map.of())).revisions().getOrDefault(pieceId, 0);
      List<RevisionInfo> newer =
          pieces.revisions(pieceId).stream().filter(r -> r.number() > from).toList();
      return !newer.isEmpty() && newer.stream().allMatch(RevisionInfo::isFollowUp);
    }
  }

  Now now() {
    return new Now();
  }

  /** What carrying the current revision of a piece brings, at each site to which it brings any. */
  List<Load> of(String pieceId) {
    return now().of(pieceId);
  }

  /** The revisions on the way that are not follow-ups of the piece. */
  private List<RevisionInfo> brings(String container, String pieceId, int from, int to) {
    return pieces.revisions(container).stream()
        .filter(r -> r.number() > from && r.number() <= to && !r.goneBackOn())
        .filter(r -> !r.followedPiece().equals(pieceId))
        .toList();
  }
}
