package goodbones.propagation;

import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a rollout would do at one placement.
 *
 * @param from the revision shown now
 * @param rebased verdicts and questions; empty for a placement that is held
 * @param changes what would look different, with every question settled for the page
 */
public record PlacementPlan(
    String siteId,
    String pageId,
    NodeId placementId,
    Placement placement,
    int from,
    int to,
    Status status,
    Optional<Rebased> rebased,
    List<NodeChange> changes) {
  public PlacementPlan {
    changes = List.copyOf(changes);
  }

  /** How a placement stands in a plan. */
  public enum Status {
    /** Nothing local is concerned. */
    CLEAN,
    /** Local changes stand; nothing to decide. */
    STAND,
    TO_DECIDE,
    HELD,
    NOTHING_TO_SEE
  }

  public List<Question> questions() {
    return rebased.map(Rebased::allQuestions).orElse(List.of());
  }

  /** The placement as it stands after the rollout is applied with these decisions. */
  public Placement after(Map<String, Settlement> decisions) {
    return rebased
        .map(r -> r.settled(decisions))
        .orElseGet(() -> placement.withPin(Optional.of(new Pin(from, Pin.Reason.HELD))));
  }
}
