package goodbones.propagation;

import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.library.SiteFillings;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;

/**
 * What a rollout would do at a site.
 *
 * @param placements in the order of the pages and their trees
 * @param questions asked once for the site, answered or not
 * @param filled slots of the whole site that it would fill
 * @param outOfSight what fills the site and would be seen less, as its place is gone
 */
public record RolloutPlan(
    List<PlacementPlan> placements,
    List<SiteQuestion> questions,
    SortedMap<LocalKey, Optional<FieldValue>> filled,
    List<OutOfSight> outOfSight) {
  public RolloutPlan {
    placements = List.copyOf(placements);
    questions = List.copyOf(questions);
    outOfSight = List.copyOf(outOfSight);
  }

  /** What is filled for the whole site, before and after. */
  public List<Rollout.FilledStep> filledSteps(String siteId, SiteFillings before) {
    return filled.entrySet().stream()
        .map(
            e ->
                new Rollout.FilledStep(
                    siteId,
                    e.getKey(),
                    Optional.ofNullable(before.filled().get(e.getKey())),
                    e.getValue()))
        .toList();
  }
}
