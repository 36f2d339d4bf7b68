package goodbones.propagation;

import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a rollout did: what stood before and after, at every place that it wrote.
 *
 * @param pieceId the piece whose release was carried, with the follow-ups of what contains it
 * @param revision its revision
 * @param adopted the sites' adopted revisions
 * @param written the placements that were written; one that simply follows is not among them
 */
public record Rollout(
    String pieceId, int revision, List<AdoptedStep> adopted, List<WrittenStep> written) {
  public Rollout {
    String carried = pieceId;
    adopted =
        adopted.stream().map(step -> step.pieceId() == null ? step.of(carried) : step).toList();
    written = List.copyOf(written);
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

  /** The sites that it reached. */
  public List<String> siteIds() {
    return adopted.stream().map(AdoptedStep::siteId).distinct().toList();
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
