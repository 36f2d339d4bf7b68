package goodbones.propagation;

import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a rollout would do at one placement.
 *
 * @param from the revision shown now
 * @param rebased verdicts and questions; empty for a placement that is held
 * @param atSite the questions that are asked once for the site, and how that settles them; empty
 *     inside as long as they are open
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
    Map<String, Optional<Settlement>> atSite,
    List<NodeChange> changes) {
  public PlacementPlan {
    atSite = Map.copyOf(atSite);
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

  /** What is asked here, without what is asked once for the site. */
  public List<Question> questions() {
    return rebased.stream()
        .flatMap(r -> r.allQuestions().stream())
        .filter(question -> !atSite.containsKey(question.id()))
        .toList();
  }

  /** Whether a question that is asked once for the site is about this placement too. */
  public boolean isAskedBy(SiteQuestion question) {
    SiteQuestion.Place place = new SiteQuestion.Place(pageId, placementId);
    return !atSite.isEmpty()
        && question.choices().stream().anyMatch(choice -> choice.places().contains(place));
  }

  /**
   * Whether a rollout has to record what it did here. Where nothing was written it need not, for
   * changes made on later revisions are what was done since; but those that were taken back here
   * before are on later revisions already.
   */
  public boolean isToRecord(Placement after) {
    return !after.equals(placement)
        || placement.changes().values().stream().anyMatch(change -> change.madeOn() > from);
  }

  /** The placement as it stands after the rollout is applied with these decisions. */
  public Placement after(Map<String, Settlement> decisions) {
    Map<String, Settlement> all = new HashMap<>(decisions);
    atSite.forEach((id, settled) -> settled.ifPresent(s -> all.put(id, s)));
    return rebased
        .map(r -> r.settled(all))
        .orElseGet(() -> placement.withPin(Optional.of(new Pin(from, Pin.Reason.HELD))));
  }
}
