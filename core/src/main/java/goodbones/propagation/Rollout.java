package goodbones.propagation;

import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.List;
import java.util.OptionalInt;

/**
 * What a rollout did: what stood before and after, at every place that it wrote.
 *
 * @param adopted the sites' adopted revisions of the piece
 * @param written the placements that were written; one that simply follows is not among them
 */
public record Rollout(
    String pieceId, int revision, List<AdoptedStep> adopted, List<WrittenStep> written) {
  public Rollout {
    adopted = List.copyOf(adopted);
    written = List.copyOf(written);
  }

  /** A site's adopted revision of the piece, before and after. */
  public record AdoptedStep(String siteId, int before, int after) {}

  /** A placement, before and after. */
  public record WrittenStep(
      String siteId, String pageId, NodeId placementId, Placement before, Placement after) {}

  /** The sites that it reached. */
  public List<String> siteIds() {
    return adopted.stream().map(AdoptedStep::siteId).toList();
  }

  /** The revision that a site showed before; empty if the rollout did not reach it. */
  public OptionalInt before(String siteId) {
    return adopted.stream()
        .filter(step -> step.siteId().equals(siteId))
        .mapToInt(AdoptedStep::before)
        .findFirst();
  }
}
