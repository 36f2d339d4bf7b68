package goodbones.server.rollouts;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the interface is told about rollouts, and what it sends. */
final class RolloutViews {
  private RolloutViews() {}

  record Overview(List<Waiting> waiting, List<Done> history) {}

  /** A piece with sites that do not show its current revision everywhere. */
  record Waiting(
      String pieceId,
      String name,
      int revision,
      String note,
      List<String> sites,
      int placements,
      int toDecide) {}

  /**
   * @param takenBack when, or null while it holds
   */
  record Done(
      long id,
      String pieceId,
      String name,
      int revision,
      Instant applied,
      String by,
      List<String> sites,
      @Nullable Instant takenBack) {}

  record Plan(
      String pieceId, String name, int revision, String note, long millis, List<SitePlan> sites) {}

  record SitePlan(String id, String name, List<RolloutPlacement> placements) {}

  /**
   * @param status clean, stand, to_decide, held or nothing_to_see
   * @param fillings slots that are filled here; none is touched
   */
  record RolloutPlacement(
      String pageId,
      String pageTitle,
      long pageVersion,
      String placementId,
      String status,
      int from,
      int fillings,
      List<VerdictView> verdicts,
      List<QuestionView> questions,
      List<ChangeView> changes) {}

  /** A local change and what becomes of it; fillings that simply stand are not listed. */
  record VerdictView(String verdict, String node, String label, String value) {}

  /**
   * @param key names the question in a decision
   * @param choices stay, take
   */
  record QuestionView(
      String key,
      String verdict,
      String node,
      String nodeTitle,
      String label,
      String before,
      String page,
      String library,
      List<String> choices) {}

  /**
   * @param type added, removed or changed
   */
  record ChangeView(
      String node, String title, String type, List<String> devices, List<String> what) {}

  /**
   * @param key from the question
   * @param settle stay or take
   */
  record Decision(String key, String settle) {}

  record PreviewRequest(String pieceId, int revision, String pageId, List<Decision> decisions) {}

  record Preview(String before, String after, List<ChangeView> changes) {}

  record PageVersion(String pageId, long version) {}

  /**
   * @param sites the sites to apply it to
   * @param pages the versions that the plan was made with
   */
  record ApplyRequest(
      String pieceId,
      int revision,
      List<String> sites,
      List<Decision> decisions,
      List<PageVersion> pages) {}

  /**
   * What taking back would do.
   *
   * @param together later rollouts that go back with it, newest first
   * @param questions everything that there is to decide, those of the later ones included
   */
  record TakeBackPlan(long id, List<Done> together, List<QuestionView> questions) {}

  record TakeBackRequest(List<Decision> decisions) {}
}
