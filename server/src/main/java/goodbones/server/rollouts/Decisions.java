package goodbones.server.rollouts;

import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Question;
import goodbones.propagation.Settlement;
import goodbones.server.problems.BadInput;
import goodbones.server.rollouts.RolloutViews.Decision;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** How open questions are settled, as the interface says it. */
final class Decisions {
  private Decisions() {}

  /**
   * @return by the keys of the questions
   * @throws BadInput if one settles nothing
   */
  static Map<String, Settlement> read(List<Decision> decisions) {
    return decisions.stream()
        .collect(
            Collectors.toMap(
                Decision::key,
                d ->
                    switch (d.settle()) {
                      case "stay" -> Settlement.STAY;
                      case "take" -> Settlement.TAKE;
                      default ->
                          throw new BadInput(
                              "decisions",
                              "“" + d.settle() + "” settles nothing: say stay or take");
                    },
                (a, b) -> b));
  }

  /** Those for the questions at one placement, by the ids of the questions. */
  static Map<String, Settlement> of(PlacementPlan plan, Map<String, Settlement> decided) {
    Map<String, Settlement> decisions = new HashMap<>();
    for (Question question : plan.questions()) {
      Settlement settlement =
          decided.get(Describing.key(plan.pageId(), plan.placementId().value(), question));
      if (settlement != null) {
        decisions.put(question.id(), settlement);
      }
    }
    return decisions;
  }
}
