package goodbones.server.rollouts;

import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.propagation.Rollout;
import goodbones.propagation.Settlement;
import goodbones.propagation.SiteNow;
import goodbones.propagation.TakeBacks;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Descriptions;
import goodbones.server.library.Pieces;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Etag;
import goodbones.server.problems.NotFound;
import goodbones.server.problems.Stale;
import goodbones.server.rollouts.RolloutViews.Decision;
import goodbones.server.rollouts.RolloutViews.Done;
import goodbones.server.rollouts.RolloutViews.GoBackRequest;
import goodbones.server.rollouts.RolloutViews.QuestionView;
import goodbones.server.rollouts.RolloutViews.TakeBackPlan;
import goodbones.server.rollouts.RolloutViews.TakeBackRequest;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes rollouts back, with all later ones that stand on them: what stood before comes back, edits
 * made since stay.
 */
@Service
class TakingBack {
  private final RolloutRepository repository;
  private final SitesNow now;
  private final Records records;
  private final Pieces pieces;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Descriptions descriptions;
  private final GoingBack goingBack;
  private final Clock clock;

  TakingBack(
      RolloutRepository repository,
      SitesNow now,
      Records records,
      Pieces pieces,
      Sites sites,
      FinishesStore finishes,
      Descriptions descriptions,
      GoingBack goingBack,
      Clock clock) {
    this.repository = repository;
    this.now = now;
    this.records = records;
    this.pieces = pieces;
    this.sites = sites;
    this.finishes = finishes;
    this.descriptions = descriptions;
    this.goingBack = goingBack;
    this.clock = clock;
  }

  /** What goes back together, the newest first, and what it comes to. */
  private record Way(List<RolloutEntity> rollouts, String etag, TakeBacks.Outcome outcome) {}

  private Way way(long id, List<Decision> decisions) {
    RolloutEntity kept =
        repository.findById(id).orElseThrow(() -> new NotFound("rollout", String.valueOf(id)));
    if (kept.takenBack() != null) {
      throw new BadInput("id", "This rollout was taken back already");
    }
    List<RolloutEntity> later = repository.findByTakenBackIsNullAndIdGreaterThanOrderById(id);
    List<RolloutEntity> together = new ArrayList<>();
    together.add(kept);
    together.addAll(TakeBacks.standingOn(kept, later, RolloutEntity::rollout));
    Collections.reverse(together);
    List<Rollout> rollouts = together.stream().map(RolloutEntity::rollout).toList();
    List<SiteNow> reached =
        rollouts.stream()
            .flatMap(rollout -> rollout.siteIds().stream())
            .distinct()
            .sorted()
            .map(site -> now.using(site, carried(rollouts, site)))
            .toList();
    Map<String, Settlement> decided = Decisions.read(decisions);
    return new Way(
        together,
        etag(together, reached),
        TakeBacks.of(
            pieces, rollouts, reached, asked -> Optional.ofNullable(decided.get(key(asked)))));
  }

  /** The tag of all that is gone by. */
  private static String etag(List<RolloutEntity> together, List<SiteNow> reached) {
    List<Object> parts = new ArrayList<>();
    together.forEach(rollout -> parts.add(rollout.id()));
    for (SiteNow site : reached) {
      parts.add(site.siteId());
      parts.add(new TreeMap<>(site.adopted().revisions()));
      parts.add(new TreeMap<>(site.adopted().fillings().filled()));
      site.pages().forEach(page -> parts.add(page.pageId() + " " + page.version()));
    }
    return Etag.of(parts.toArray());
  }

  private static Set<String> carried(List<Rollout> rollouts, String siteId) {
    return rollouts.stream()
        .flatMap(rollout -> rollout.pieces(siteId).stream())
        .collect(Collectors.toSet());
  }

  private static String key(TakeBacks.Asked asked) {
    return Describing.key(asked.pageId(), asked.placementId().value(), asked.question());
  }

  /**
   * What taking back would do.
   *
   * @param decisions those made so far; on them depends what else there is to decide
   */
  @Transactional(readOnly = true)
  TakeBackPlan plan(long id, List<Decision> decisions) {
    Way way = way(id, decisions);
    List<Done> together =
        way.rollouts().stream().filter(r -> r.id() != id).map(records::done).toList();
    return new TakeBackPlan(
        id, way.etag(), together, way.outcome().asked().stream().map(this::question).toList());
  }

  private QuestionView question(TakeBacks.Asked asked) {
    return new Describing(
            pieces, asked.pieceId(), asked.from(), asked.to(), finishes.forSite(asked.siteId()))
        .question(key(asked), asked.placementId(), asked.question());
  }

  /**
   * Takes a rollout back.
   *
   * @throws Stale if a page that it reaches was changed since it was planned
   * @throws BadInput if a question is open
   */
  @Transactional(isolation = Isolation.SERIALIZABLE)
  Done takeBack(long id, TakeBackRequest request, String user) {
    List<Decision> decisions = request.decisions();
    way(id, decisions).outcome().sites().stream().map(SiteNow::siteId).forEach(sites::hold);
    Way way = way(id, decisions);
    Etag.require(request.etag(), way.etag(), "A page that this reaches");
    if (way.outcome().open()) {
      TakeBacks.Asked first = way.outcome().asked().get(0);
      throw new BadInput(
          "decisions",
          "“"
              + sites.pageTitle(first.pageId())
              + "” was edited since the rollout; decide what becomes of every edit first");
    }
    List<RolloutEntity> replacements =
        way.rollouts().stream().filter(kept -> !kept.rollout().by().isEmpty()).toList();
    replacements.forEach(kept -> descriptions.bringBack(kept.pieceId()));
    Allowing allowing = new Allowing(sites, pieces);
    way.outcome().sites().forEach(after -> write(after, allowing));
    allowing.requireAllowed();
    replacements.forEach(kept -> goBack(kept.rollout(), user));
    way.rollouts().forEach(kept -> kept.takeBack(clock.instant()));
    repository.saveAll(way.rollouts());
    return records.done(way.rollouts().get(way.rollouts().size() - 1));
  }

  /** The pieces in which another one was put have the first one again, as far as none went on. */
  private void goBack(Rollout replacement, String user) {
    List<Rollout.ReleasedStep> outermostFirst = new ArrayList<>(replacement.released());
    Collections.reverse(outermostFirst);
    for (Rollout.ReleasedStep step : outermostFirst) {
      if (pieces.current(step.pieceId()) == step.after()) {
        goingBack.goBack(
            new GoBackRequest(step.pieceId(), pieces.version(step.pieceId()), step.before()), user);
      }
    }
  }

  private void write(SiteNow after, Allowing allowing) {
    for (SiteNow.PageNow page : after.pages()) {
      PageState before = sites.page(page.pageId());
      if (!before.root().equals(page.root())) {
        allowing.willWrite(after.siteId(), page.pageId(), before.root());
        sites.write(page.pageId(), page.version(), page.root());
      }
    }
    SortedMap<LocalKey, Optional<FieldValue>> filled =
        sites.adopted(after.siteId()).fillings().changedTo(after.adopted().fillings());
    if (!filled.isEmpty()) {
      sites.fill(after.siteId(), filled);
    }
    Map<String, Integer> shown = sites.adopted(after.siteId()).revisions();
    after
        .adopted()
        .revisions()
        .forEach(
            (piece, revision) -> {
              if (!revision.equals(shown.get(piece))) {
                sites.adopt(after.siteId(), piece, revision);
              }
            });
  }
}
