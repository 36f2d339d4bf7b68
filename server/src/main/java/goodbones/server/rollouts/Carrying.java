package goodbones.server.rollouts;

import goodbones.library.Adopted;
import goodbones.server.library.Pieces;
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

  /** What carrying the current revision of a piece brings, at each site to which it brings any. */
  List<Load> of(String pieceId) {
    Map<String, Integer> followUps = pieces.followUps(pieceId);
    Set<String> concerned = new TreeSet<>(followUps.keySet());
    concerned.add(pieceId);
    return pieces.sitesUsing(concerned).stream()
        .map(site -> at(site, pieceId, followUps))
        .filter(load -> !load.isEmpty())
        .toList();
  }

  private Load at(String site, String pieceId, Map<String, Integer> followUps) {
    Adopted adopted = sites.adopted(site);
    Map<String, Integer> release = new TreeMap<>();
    int current = pieces.current(pieceId);
    if (pieces.placements(site, List.of(pieceId)) > 0
        && (adopted.of(pieceId) != current || pieces.isWaiting(site, pieceId, current))) {
      release.put(pieceId, current);
    }
    List<Along> along = new ArrayList<>();
    followUps.forEach(
        (container, to) -> {
          int from = adopted.revisions().getOrDefault(container, 0);
          if (from > 0 && from < to && pieces.placements(site, List.of(container)) > 0) {
            along.add(new Along(container, from, to, brings(container, pieceId, from, to)));
          }
        });
    return new Load(site, release, along);
  }

  /** The revisions on the way that are not follow-ups of the piece. */
  private List<RevisionInfo> brings(String container, String pieceId, int from, int to) {
    return pieces.revisions(container).stream()
        .filter(r -> r.number() > from && r.number() <= to && !r.goneBackOn())
        .filter(r -> !r.followedPiece().equals(pieceId))
        .toList();
  }

  /**
   * Whether all that a site would get of a piece are follow-ups, which come with what they follow.
   */
  boolean onlyFollows(String siteId, String pieceId) {
    int from = sites.adopted(siteId).revisions().getOrDefault(pieceId, 0);
    List<RevisionInfo> newer =
        pieces.revisions(pieceId).stream().filter(r -> r.number() > from).toList();
    return !newer.isEmpty() && newer.stream().allMatch(RevisionInfo::isFollowUp);
  }
}
