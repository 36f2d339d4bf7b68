package goodbones.propagation;

import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Placements;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * What a rollout did: what stood before and after, at every place that it wrote.
 *
 * @param pieceId the piece whose release was carried, with the follow-ups of what contains it
 * @param revision its revision
 * @param adopted the sites' adopted revisions
 * @param written the placements that were written; one that simply follows is not among them
 * @param filled the slots of the whole site that were filled
 * @param by the piece that was put in its place everywhere; empty where its release was carried
 * @param released the pieces that got a revision with that in it
 */
public record Rollout(
    String pieceId,
    int revision,
    List<AdoptedStep> adopted,
    List<WrittenStep> written,
    List<FilledStep> filled,
    String by,
    List<ReleasedStep> released) {
  public Rollout(
      String pieceId, int revision, List<AdoptedStep> adopted, List<WrittenStep> written) {
    this(pieceId, revision, adopted, written, List.of());
  }

  public Rollout(
      String pieceId,
      int revision,
      List<AdoptedStep> adopted,
      List<WrittenStep> written,
      List<FilledStep> filled) {
    this(pieceId, revision, adopted, written, filled, "", List.of());
  }

  public Rollout {
    String carried = pieceId;
    adopted =
        adopted.stream().map(step -> step.pieceId() == null ? step.of(carried) : step).toList();
    written = List.copyOf(written);
    // Records from before have none.
    filled = filled == null ? List.of() : List.copyOf(filled);
    by = by == null ? "" : by;
    released = released == null ? List.of() : List.copyOf(released);
  }

  /**
   * A site's adopted revision of a piece, before and after.
   *
   * @param pieceId null in records from before one rollout carried several pieces
   */
  public record AdoptedStep(
      String siteId, @org.jspecify.annotations.Nullable String pieceId, int before, int after) {
    AdoptedStep of(String piece) {
      return new AdoptedStep(siteId, piece, before, after);
    }

    /** The piece; every step of a rollout has one. */
    public String piece() {
      return java.util.Objects.requireNonNull(pieceId, "a step names its piece");
    }
  }

  /**
   * A placement, before and after.
   *
   * @param placementId its path on the page
   */
  public record WrittenStep(
      String siteId, String pageId, NodeId placementId, Placement before, Placement after) {}

  /** What differs of a page's own placements; what stands in an insert goes with that. */
  public static List<WrittenStep> written(String siteId, String pageId, Node before, Node after) {
    Map<NodeId, Placement> now = Placements.of(after);
    List<WrittenStep> steps = new ArrayList<>();
    Placements.of(before)
        .forEach(
            (path, was) -> {
              Placement is = now.get(path);
              if (!path.isInside() && is != null && !is.equals(was)) {
                steps.add(new WrittenStep(siteId, pageId, path, was, is));
              }
            });
    return steps;
  }

  /**
   * A slot of the whole site, before and after.
   *
   * @param slot what it goes by at the site
   */
  public record FilledStep(
      String siteId, LocalKey slot, Optional<FieldValue> before, Optional<FieldValue> after) {}

  /** A piece's current revision, before and after another piece was put into it. */
  public record ReleasedStep(String pieceId, int before, int after) {}

  /** The same with places that it got to later: on a page that was away when it was applied. */
  public Rollout alsoWritten(List<WrittenStep> later) {
    List<WrittenStep> all = new ArrayList<>(written);
    all.addAll(later);
    return new Rollout(pieceId, revision, adopted, all, filled, by, released);
  }

  /** The slots of a site that it filled. */
  public List<FilledStep> filled(String siteId) {
    return filled.stream().filter(step -> step.siteId().equals(siteId)).toList();
  }

  /** The sites that it reached. */
  public List<String> siteIds() {
    return Stream.concat(
            adopted.stream().map(AdoptedStep::siteId), written.stream().map(WrittenStep::siteId))
        .distinct()
        .toList();
  }

  /**
   * The pieces of which placements at a site show another revision by it, or are themselves new.
   */
  public Set<String> pieces(String siteId) {
    Set<String> pieces = new TreeSet<>(after(siteId).keySet());
    written.stream()
        .filter(step -> step.siteId().equals(siteId))
        .forEach(step -> pieces.add(step.after().pieceId()));
    return pieces;
  }

  /** The pieces that it carried to a site, with the revision that was shown there before. */
  public Map<String, Integer> before(String siteId) {
    return revisions(siteId, false);
  }

  /** The pieces that it carried to a site, with the revision that was shown there after. */
  public Map<String, Integer> after(String siteId) {
    return revisions(siteId, true);
  }

  private Map<String, Integer> revisions(String siteId, boolean after) {
    Map<String, Integer> revisions = new TreeMap<>();
    for (AdoptedStep step : adopted) {
      if (step.siteId().equals(siteId)) {
        revisions.put(step.piece(), after ? step.after() : step.before());
      }
    }
    return revisions;
  }
}
