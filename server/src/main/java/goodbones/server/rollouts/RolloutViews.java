package goodbones.server.rollouts;

import com.fasterxml.jackson.annotation.JsonProperty;
import goodbones.server.drawing.ChangeView;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Etag;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the interface is told about rollouts, and what it sends. */
final class RolloutViews {
  private RolloutViews() {}

  /**
   * @param inside what is asked inside pieces, before anything is carried to sites
   */
  record Overview(List<Inside> inside, List<Waiting> waiting, List<Done> history) {}

  /**
   * A placement in a piece that stays bound to an older revision until its questions are answered.
   *
   * @param pieceId the piece in which it stands
   * @param placedId the piece that is placed there
   */
  record Inside(
      String pieceId,
      String name,
      String placementId,
      String placedId,
      String placedName,
      int from,
      int to,
      List<QuestionView> questions) {
    /** The tag of what is asked. */
    @JsonProperty(required = true)
    String etag() {
      return Etag.of(pieceId, from, to, questions);
    }
  }

  /** Answers to what is asked inside a piece. */
  record AnswerRequest(String pieceId, String etag, List<Decision> decisions) {}

  /** A piece with sites that do not show its current revision, or a follow-up of it, everywhere. */
  record Waiting(
      String pieceId,
      String name,
      int revision,
      String note,
      List<String> sites,
      int placements,
      int toDecide) {}

  /**
   * @param along the pieces whose follow-ups were carried with it
   * @param replacedBy the piece that was put in its place everywhere; empty where it was carried
   * @param takenBack when, or null while it holds
   * @param backTo the revision that the library can go back to, as nobody shows this one any more;
   *     0 if that is not so
   */
  record Done(
      long id,
      String pieceId,
      String name,
      int revision,
      Instant applied,
      String by,
      List<String> sites,
      List<String> along,
      String replacedBy,
      @Nullable Instant takenBack,
      int backTo,
      long pieceVersion) {}

  /**
   * @param version of the piece
   * @param revision the one to go back to
   */
  record GoBackRequest(String pieceId, long version, int revision) {}

  record Plan(
      String pieceId, String name, int revision, String note, long millis, List<SitePlan> sites) {}

  /**
   * @param stamp of what the site has adopted
   * @param questions what is asked once for the site
   */
  record SitePlan(
      String id,
      String name,
      long stamp,
      List<Along> along,
      List<SiteQuestionView> questions,
      List<OutOfSightView> outOfSight,
      List<RolloutPlacement> placements) {}

  /**
   * Something that the whole site is filled with and that would be seen less.
   *
   * @param pages where it is seen now and would not be
   */
  record OutOfSightView(String nodeTitle, String label, String value, List<String> pages) {}

  /**
   * A field that becomes one of the whole site, in which its pages show different things.
   *
   * @param key names the question in a decision
   */
  record SiteQuestionView(
      String key, String nodeTitle, String label, List<SiteChoiceView> choices) {}

  /**
   * @param settle the answer, as a decision says it
   * @param value what is shown from then on; empty where each page keeps its own
   * @param pages the titles of the pages that show it now
   * @param library whether it is what the library says
   */
  record SiteChoiceView(String settle, String value, List<String> pages, boolean library) {}

  /**
   * A piece that contains the one that is carried, and comes along.
   *
   * @param offered it comes along only if that is chosen, as it brings more than the follow-up
   * @param chosen whether the plan has it come along
   * @param brings what else it brings
   */
  record Along(
      String pieceId,
      String name,
      int from,
      int to,
      boolean offered,
      boolean chosen,
      List<String> brings) {}

  /** A piece that is offered to come along to a site. */
  record SitePiece(String siteId, String pieceId) {
    /**
     * @throws BadInput if the text is not {@code site/piece}
     */
    static SitePiece parse(String text) {
      int slash = text.indexOf('/');
      if (slash < 0) {
        throw new BadInput("along", "“" + text + "” names no piece at a site: give site/piece");
      }
      return new SitePiece(text.substring(0, slash), text.substring(slash + 1));
    }
  }

  /**
   * @param status clean, stand, to_decide, held or nothing_to_see
   * @param fillings slots that are filled here; none is touched
   * @param siteQuestions the keys of the questions for the whole site on which it waits too
   */
  record RolloutPlacement(
      String pageId,
      String pageTitle,
      long pageVersion,
      String placementId,
      String pieceId,
      String pieceName,
      String status,
      int from,
      int to,
      int fillings,
      List<VerdictView> verdicts,
      List<QuestionView> questions,
      List<String> siteQuestions,
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
   * @param key from the question
   * @param settle stay or take
   */
  record Decision(String key, String settle) {}

  record PreviewRequest(
      String pieceId,
      int revision,
      String pageId,
      List<Decision> decisions,
      List<SitePiece> accepted) {}

  record Preview(String before, String after, List<ChangeView> changes) {}

  record PageVersion(String pageId, long version) {}

  record SiteStamp(String siteId, long stamp) {}

  /**
   * @param sites the sites to apply it to
   * @param accepted what was offered to come along and was chosen
   * @param pages the versions that the plan was made with
   * @param stamps those of the sites
   */
  record ApplyRequest(
      String pieceId,
      int revision,
      List<String> sites,
      List<Decision> decisions,
      List<SitePiece> accepted,
      List<PageVersion> pages,
      List<SiteStamp> stamps) {}

  /**
   * What taking back would do.
   *
   * @param etag of what it was worked out on
   * @param together later rollouts that go back with it, newest first
   * @param questions everything that there is to decide, those of the later ones included
   */
  record TakeBackPlan(long id, String etag, List<Done> together, List<QuestionView> questions) {}

  /**
   * @param etag of the plan on which it was decided
   */
  record TakeBackRequest(String etag, List<Decision> decisions) {}

  /** What was decided so far. */
  record TakeBackPlanRequest(List<Decision> decisions) {}
}
