package goodbones.server.rollouts;

import goodbones.library.Adopted;
import goodbones.propagation.Load;
import goodbones.server.library.Pieces;
import goodbones.server.library.PlacedAt;
import goodbones.server.library.RevisionInfo;
import goodbones.server.library.UsageIndex;
import goodbones.server.sites.Sites;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** What carrying releases brings to the sites as they stand. */
@Component
class Carrying {
  private final Pieces pieces;
  private final UsageIndex usage;
  private final Sites sites;

  Carrying(Pieces pieces, UsageIndex usage, Sites sites) {
    this.pieces = pieces;
    this.usage = usage;
    this.sites = sites;
  }

  /** What comes to a site. */
  record ToSite(String siteId, Load load) {}

  /** What is placed and adopted where at one moment, read once. */
  final class Now {
    private final Map<String, Map<String, PlacedAt>> placed = new TreeMap<>();
    private final Map<String, Adopted> adopted = sites.adopted();
    private final Map<String, Map<String, Integer>> followUps = pieces.followUps();
    private final Map<String, Integer> currents = pieces.currents();

    private Now() {
      for (PlacedAt at : usage.placedAt(currents)) {
        placed.computeIfAbsent(at.siteId(), id -> new TreeMap<>()).put(at.pieceId(), at);
      }
    }

    /**
     * What carrying the current revision of a piece brings, at each site to which it brings any.
     */
    List<ToSite> of(String pieceId) {
      return placed.keySet().stream()
          .map(site -> new ToSite(site, load(site, pieceId)))
          .filter(one -> !one.load().isEmpty())
          .toList();
    }

    private Load load(String site, String pieceId) {
      Map<String, PlacedAt> here = here(site);
      PlacedAt itself = here.get(pieceId);
      return Load.at(
          pieceId,
          currents.getOrDefault(pieceId, 0),
          adopted(site),
          here.keySet(),
          itself != null && itself.waiting() > 0,
          followUps.getOrDefault(pieceId, Map.of()),
          Carrying.this::between);
    }

    private Map<String, PlacedAt> here(String site) {
      return placed.getOrDefault(site, Map.of());
    }

    private Adopted adopted(String site) {
      return adopted.getOrDefault(site, new Adopted(Map.of()));
    }

    /** How many placements a load is about. */
    int placements(ToSite one) {
      return one.load().pieces().stream()
          .map(here(one.siteId())::get)
          .filter(at -> at != null)
          .mapToInt(PlacedAt::placements)
          .sum();
    }

    /**
     * Whether all that a site would get of a piece are follow-ups, which come with what they
     * follow.
     */
    boolean onlyFollows(String siteId, String pieceId) {
      int from = adopted(siteId).revisions().getOrDefault(pieceId, 0);
      List<Load.Came> newer = between(pieceId, from, Integer.MAX_VALUE);
      return !newer.isEmpty() && newer.stream().noneMatch(came -> came.followed().isEmpty());
    }
  }

  private List<Load.Came> between(String pieceId, int from, int to) {
    return pieces.revisions(pieceId).stream()
        .filter(r -> r.number() > from && r.number() <= to)
        .map(r -> new Load.Came(r.number(), r.followedPiece(), r.goneBackOn()))
        .toList();
  }

  Now now() {
    return new Now();
  }

  /** What carrying the current revision of a piece brings, at each site to which it brings any. */
  List<ToSite> of(String pieceId) {
    return now().of(pieceId);
  }

  /** Revisions of a piece in words, by their numbers. */
  List<String> told(String pieceId, List<Integer> numbers) {
    return pieces.revisions(pieceId).stream()
        .filter(r -> numbers.contains(r.number()))
        .map(r -> r.number() + ": " + told(r))
        .toList();
  }

  private String told(RevisionInfo revision) {
    return revision.isFollowUp()
        ? "with " + pieces.get(revision.followedPiece()).name() + " " + revision.followedRevision()
        : revision.note();
  }
}
