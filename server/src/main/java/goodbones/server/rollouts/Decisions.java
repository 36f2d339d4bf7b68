package goodbones.server.rollouts;

import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Question;
import goodbones.propagation.Settlement;
import goodbones.propagation.SiteQuestion;
import goodbones.server.problems.BadInput;
import goodbones.server.rollouts.RolloutViews.Decision;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** How open questions are settled, as the interface says it. */
final class Decisions {
  private static final String EACH = "each";
  private static final String BETWEEN = "|site|";

  private Decisions() {}

  /** The key of a question that is asked once for a site. */
  static String key(String siteId, SiteQuestion question) {
    return siteId + BETWEEN + question.id();
  }

  /** How an answer to a question that is asked once for a site is said: a choice's place. */
  static String answer(int choice) {
    return choice == SiteQuestion.EACH ? EACH : String.valueOf(choice);
  }

  /**
   * Answers to what is asked once for a site, by the ids of the questions.
   *
   * @throws BadInput if one is no choice
   */
  static Map<String, Integer> ofSite(String siteId, List<Decision> decisions) {
    Map<String, Integer> answers = new HashMap<>();
    for (Decision decision : decisions) {
      if (decision.key().startsWith(siteId + BETWEEN)) {
        boolean each = decision.settle().equals(EACH);
        if (!each && !decision.settle().matches("[0-9]{1,4}")) {
          throw new BadInput(
              "decisions",
              "“" + decision.settle() + "” is no choice: say the number of one, or each");
        }
        answers.put(
            decision.key().substring(siteId.length() + BETWEEN.length()),
            each ? SiteQuestion.EACH : Integer.parseInt(decision.settle()));
      }
    }
    return answers;
  }

  /**
   * @return by the keys of the questions at placements
   * @throws BadInput if one settles nothing
   */
  static Map<String, Settlement> read(List<Decision> decisions) {
    return decisions.stream()
        .filter(decision -> !decision.key().contains(BETWEEN))
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
