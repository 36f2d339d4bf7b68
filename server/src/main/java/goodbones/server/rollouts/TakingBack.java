package goodbones.server.rollouts;

import goodbones.document.Node;
import goodbones.propagation.Question;
import goodbones.propagation.Rollout;
import goodbones.propagation.Settlement;
import goodbones.propagation.TakeBack;
import goodbones.server.library.Pieces;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.rollouts.RolloutViews.Decision;
import goodbones.server.rollouts.RolloutViews.Done;
import goodbones.server.rollouts.RolloutViews.QuestionView;
import goodbones.server.rollouts.RolloutViews.TakeBackPlan;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Takes rollouts back. */
@Service
class TakingBack {
  private final RolloutRepository repository;
  private final Planning planning;
  private final Records records;
  private final Pieces pieces;
  private final Sites sites;
  private final Clock clock;

  TakingBack(
      RolloutRepository repository,
      Planning planning,
      Records records,
      Pieces pieces,
      Sites sites,
      Clock clock) {
    this.repository = repository;
    this.planning = planning;
    this.records = records;
    this.pieces = pieces;
    this.sites = sites;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  TakeBackPlan takeBackPlan(long id) {
    RolloutEntity kept = entity(id);
    List<RolloutEntity> later = later(kept);
    return new TakeBackPlan(
        id,
        later.stream().map(records::done).toList(),
        later.isEmpty() ? questions(kept) : List.of());
  }

  private RolloutEntity entity(long id) {
    RolloutEntity kept =
        repository.findById(id).orElseThrow(() -> new NotFound("rollout", String.valueOf(id)));
    if (kept.takenBack() != null) {
      throw new BadInput("id", "This rollout was taken back already");
    }
    return kept;
  }

  /** Rollouts of the same piece that came later at one of the same sites, newest first. */
  private List<RolloutEntity> later(RolloutEntity kept) {
    List<String> here = siteIds(kept);
    return repository.findByPieceIdAndTakenBackIsNullOrderByIdDesc(kept.pieceId()).stream()
        .filter(other -> other.id() > kept.id())
        .filter(other -> siteIds(other).stream().anyMatch(here::contains))
        .toList();
  }

  private static List<String> siteIds(RolloutEntity kept) {
    return kept.rollout().adopted().stream().map(Rollout.AdoptedStep::siteId).toList();
  }

  private List<QuestionView> questions(RolloutEntity kept) {
    List<QuestionView> views = new ArrayList<>();
    for (TakeBack.Step step : steps(kept)) {
      int from = kept.revision();
      int to = kept.rollout().before(step.siteId()).orElse(from);
      Describing describing =
          new Describing(pieces, kept.pieceId(), from, to, planning.now(step.siteId()).finishes());
      for (Question question : step.questions()) {
        views.add(
            describing.question(
                Describing.key(step.pageId(), step.placementId().value(), question),
                step.placementId(),
                question));
      }
    }
    return views;
  }

  private List<TakeBack.Step> steps(RolloutEntity kept) {
    TakeBack takeBack = new TakeBack(pieces, kept.rollout());
    return siteIds(kept).stream()
        .flatMap(site -> takeBack.plan(planning.now(site)).stream())
        .toList();
  }

  /**
   * Takes a rollout back, with those that came later at the same sites: what stood before comes
   * back, edits made since stay.
   *
   * @throws BadInput if a question is open
   */
  @Transactional(isolation = Isolation.SERIALIZABLE)
  Done takeBack(long id, List<Decision> decisions) {
    RolloutEntity kept = entity(id);
    Map<String, Settlement> decided = Decisions.read(decisions);
    for (RolloutEntity other : later(kept)) {
      takeBackOne(other, decided);
    }
    takeBackOne(kept, decided);
    return records.done(kept);
  }

  private void takeBackOne(RolloutEntity kept, Map<String, Settlement> decided) {
    for (TakeBack.Step step : steps(kept)) {
      Map<String, Settlement> decisions = new HashMap<>();
      for (Question question : step.questions()) {
        Settlement settlement =
            decided.get(Describing.key(step.pageId(), step.placementId().value(), question));
        if (settlement == null) {
          throw new BadInput(
              "decisions",
              "“"
                  + sites.page(step.pageId()).title()
                  + "” was edited since revision "
                  + kept.revision()
                  + " was applied; decide what becomes of the edit first");
        }
        decisions.put(question.id(), settlement);
      }
      PageState page = sites.page(step.pageId());
      Node root = Decisions.put(page.root(), step.placementId(), step.after(decisions));
      if (!root.equals(page.root())) {
        sites.write(page.id(), page.version(), root);
      }
    }
    for (Rollout.AdoptedStep step : kept.rollout().adopted()) {
      sites.adopt(step.siteId(), kept.pieceId(), step.before());
    }
    kept.takeBack(clock.instant());
    repository.save(kept);
    boolean shown =
        pieces.sitesUsing(kept.pieceId()).stream()
            .anyMatch(site -> sites.adopted(site).of(kept.pieceId()) == kept.revision());
    pieces.withdraw(kept.pieceId(), kept.revision(), !shown);
  }
}
