package goodbones.propagation;

import goodbones.library.Adopted;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What carrying the current revision of a piece brings to a site: the piece itself, where it is
 * placed, and the follow-ups of the pieces that contain it.
 *
 * @param release the piece and its revision; empty if the site shows it already, or has the piece
 *     only inside others
 */
public record Load(Map<String, Integer> release, List<Along> along) {
  public Load {
    release = Map.copyOf(release);
    along = List.copyOf(along);
  }

  /**
   * A follow-up that comes along at a site.
   *
   * @param brings the revisions of the containing piece on the way that do not follow from the
   *     piece; where there are any the follow-up is only offered, for it brings them too
   */
  public record Along(String pieceId, int from, int to, List<Integer> brings) {
    public Along {
      brings = List.copyOf(brings);
    }

    public boolean isOffered() {
      return !brings.isEmpty();
    }
  }

  /** How revisions came to be. */
  public interface Histories {
    /** The revisions of a piece after one up to another, the newest first. */
    List<Came> between(String pieceId, int from, int to);
  }

  /**
   * How a revision came to be.
   *
   * @param followed the piece that it follows from; empty if it was released itself
   */
  public record Came(int number, String followed, boolean goneBackOn) {}

  /**
   * What comes to a site.
   *
   * @param current the revision that is carried
   * @param placed the pieces that are placed at the site themselves
   * @param waits whether a placement of the piece waits for an answer on another revision
   * @param followUps the newest revision that follows from the piece, in each that contains it
   */
  public static Load at(
      String pieceId,
      int current,
      Adopted adopted,
      Set<String> placed,
      boolean waits,
      Map<String, Integer> followUps,
      Histories histories) {
    Map<String, Integer> shown = adopted.revisions();
    boolean behind = shown.getOrDefault(pieceId, 0) != current;
    List<Along> along = new ArrayList<>();
    new TreeMap<>(followUps)
        .forEach(
            (container, to) -> {
              int from = shown.getOrDefault(container, 0);
              if (from > 0 && from < to && placed.contains(container)) {
                List<Integer> brings =
                    histories.between(container, from, to).stream()
                        .filter(came -> !came.goneBackOn() && !came.followed().equals(pieceId))
                        .map(Came::number)
                        .toList();
                along.add(new Along(container, from, to, brings));
              }
            });
    return new Load(
        placed.contains(pieceId) && (behind || waits) ? Map.of(pieceId, current) : Map.of(), along);
  }

  /** All that is adopted if those are accepted. */
  public Map<String, Integer> revisions(Set<String> accepted) {
    Map<String, Integer> revisions = new TreeMap<>(release);
    along.stream()
        .filter(one -> !one.isOffered() || accepted.contains(one.pieceId()))
        .forEach(one -> revisions.put(one.pieceId(), one.to()));
    return revisions;
  }

  /**
   * Whether nothing comes that a site has not been offered before: of everything that comes along
   * unasked it shows what was current when the carried revisions were made.
   *
   * @param before the revisions that were current then
   */
  public boolean isNextAt(Adopted adopted, Map<String, Integer> before) {
    Map<String, Integer> coming = revisions(Set.of());
    return !coming.isEmpty()
        && coming.keySet().stream()
            .allMatch(id -> adopted.revisions().getOrDefault(id, 0).equals(before.get(id)));
  }

  /** All pieces that it may be about. */
  public Set<String> pieces() {
    Set<String> all = new TreeSet<>(release.keySet());
    along.forEach(one -> all.add(one.pieceId()));
    return all;
  }

  public boolean isEmpty() {
    return release.isEmpty() && along.isEmpty();
  }
}
