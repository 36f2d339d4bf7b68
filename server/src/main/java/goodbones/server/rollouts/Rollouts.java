package goodbones.server.rollouts;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Shown;
import goodbones.propagation.Difference;
import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Question;
import goodbones.propagation.Release;
import goodbones.propagation.Rollout;
import goodbones.propagation.RolloutPlanner;
import goodbones.propagation.Settlement;
import goodbones.propagation.SiteNow;
import goodbones.propagation.TakeBack;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.library.RevisionInfo;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.problems.Stale;
import goodbones.server.rollouts.RolloutViews.ApplyRequest;
import goodbones.server.rollouts.RolloutViews.Decision;
import goodbones.server.rollouts.RolloutViews.Done;
import goodbones.server.rollouts.RolloutViews.Overview;
import goodbones.server.rollouts.RolloutViews.PageVersion;
import goodbones.server.rollouts.RolloutViews.Plan;
import goodbones.server.rollouts.RolloutViews.Preview;
import goodbones.server.rollouts.RolloutViews.PreviewRequest;
import goodbones.server.rollouts.RolloutViews.QuestionView;
import goodbones.server.rollouts.RolloutViews.RolloutPlacement;
import goodbones.server.rollouts.RolloutViews.SitePlan;
import goodbones.server.rollouts.RolloutViews.TakeBackPlan;
import goodbones.server.rollouts.RolloutViews.Waiting;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.server.workbench.Frames;
import goodbones.style.SiteFinishes;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Plans, applies and takes back rollouts. Applying is one transaction: all or nothing; a page that
 * was edited since the plan was made stops it.
 */
@Service
class Rollouts {
  private final RolloutRepository repository;
  private final Pieces pieces;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Frames frames;
  private final Clock clock;

  Rollouts(
      RolloutRepository repository,
      Pieces pieces,
      Sites sites,
      FinishesStore finishes,
      Frames frames,
      Clock clock) {
    this.repository = repository;
    this.pieces = pieces;
    this.sites = sites;
    this.finishes = finishes;
    this.frames = frames;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  Overview overview() {
    List<Waiting> waiting = new ArrayList<>();
    for (PieceState piece : pieces.all()) {
      List<PlacementPlan> plans = plans(piece.id(), piece.current());
      if (!plans.isEmpty()) {
        waiting.add(
            new Waiting(
                piece.id(),
                piece.name(),
                piece.current(),
                note(piece.id(), piece.current()),
                plans.stream().map(p -> sites.get(p.siteId()).name()).distinct().toList(),
                plans.size(),
                (int)
                    plans.stream()
                        .filter(p -> p.status() == PlacementPlan.Status.TO_DECIDE)
                        .count()));
      }
    }
    return new Overview(
        waiting, repository.findAllByOrderByIdDesc().stream().map(this::done).toList());
  }

  private Done done(RolloutEntity kept) {
    return new Done(
        kept.id(),
        kept.pieceId(),
        pieces.get(kept.pieceId()).name(),
        kept.revision(),
        kept.applied(),
        kept.appliedBy(),
        kept.rollout().adopted().stream().map(step -> sites.get(step.siteId()).name()).toList(),
        kept.takenBack());
  }

  private String note(String pieceId, int revision) {
    return pieces.revisions(pieceId).stream()
        .filter(r -> r.number() == revision)
        .map(RevisionInfo::note)
        .findFirst()
        .orElse("");
  }

  private List<PlacementPlan> plans(String pieceId, int revision) {
    List<SiteNow> concerned =
        pieces.sitesUsing(pieceId).stream().map(site -> now(site, pieceId, revision)).toList();
    return new RolloutPlanner(pieces).plan(new Release(pieceId, revision), concerned);
  }

  /** A site as it would have to be to show a revision: with finishes that have all it refers to. */
  private SiteNow now(String siteId, String pieceId, int revision) {
    SiteNow now = sites.now(siteId);
    int needed = pieces.revision(pieceId, revision).finishes();
    return needed <= finishes.adopted(siteId)
        ? now
        : new SiteNow(siteId, finishes.forSite(siteId, needed), now.adopted(), now.pages());
  }

  @Transactional(readOnly = true)
  Plan plan(String pieceId) {
    long begun = System.nanoTime();
    PieceState piece = pieces.get(pieceId);
    Map<String, List<RolloutPlacement>> bySite = new LinkedHashMap<>();
    for (PlacementPlan plan : plans(pieceId, piece.current())) {
      bySite.computeIfAbsent(plan.siteId(), id -> new ArrayList<>()).add(view(plan));
    }
    List<SitePlan> views =
        bySite.entrySet().stream()
            .map(e -> new SitePlan(e.getKey(), sites.get(e.getKey()).name(), e.getValue()))
            .toList();
    return new Plan(
        piece.id(),
        piece.name(),
        piece.current(),
        note(pieceId, piece.current()),
        (System.nanoTime() - begun) / 1_000_000,
        views);
  }

  private RolloutPlacement view(PlacementPlan plan) {
    PageState page = sites.page(plan.pageId());
    SiteFinishes look = now(plan.siteId(), plan.placement().pieceId(), plan.to()).finishes();
    Describing describing =
        new Describing(pieces, plan.placement().pieceId(), plan.from(), plan.to(), look);
    return new RolloutPlacement(
        page.id(),
        page.title(),
        page.version(),
        plan.placementId().value(),
        plan.status().name().toLowerCase(),
        plan.from(),
        describing.fillings(plan),
        describing.verdicts(plan),
        plan.questions().stream()
            .map(
                q ->
                    describing.question(
                        Describing.key(plan.pageId(), plan.placementId().value(), q),
                        plan.placementId(),
                        q))
            .toList(),
        Describing.changes(plan.changes()));
  }

  /** The page now, and as it would be; what is not decided is shown as the page has it. */
  @Transactional(readOnly = true)
  Preview preview(PreviewRequest request) {
    PageState page = sites.page(request.pageId());
    SiteInfo site = sites.get(page.siteId());
    SiteNow now = now(page.siteId(), request.pieceId(), request.revision());
    Map<String, Settlement> decided = settlements(request.decisions());
    Node after = page.root();
    for (PlacementPlan plan : plans(request.pieceId(), request.revision())) {
      if (plan.pageId().equals(page.id())) {
        Map<String, Settlement> decisions = decisionsFor(plan, decided);
        for (Question question : plan.questions()) {
          decisions.putIfAbsent(
              question.id(),
              question.choices().contains(Settlement.STAY) ? Settlement.STAY : Settlement.TAKE);
        }
        after = withPlacement(after, plan.placementId(), plan.after(decisions));
      }
    }
    Shown before = Shown.of(page.root(), now.adopted(), pieces);
    Shown shown =
        Shown.of(after, adopting(now.adopted(), request.pieceId(), request.revision()), pieces);
    return new Preview(
        frames.html(before, now.finishes(), site, page.title()),
        frames.html(shown, now.finishes(), site, page.title()),
        Describing.changes(Difference.between(before, shown, now.finishes())));
  }

  private static Adopted adopting(Adopted now, String pieceId, int revision) {
    Map<String, Integer> revisions = new HashMap<>(now.revisions());
    revisions.put(pieceId, revision);
    return new Adopted(revisions);
  }

  private static Node withPlacement(Node root, NodeId id, Placement placement) {
    return root.change(id, node -> node.withPlacement(placement));
  }

  private static Map<String, Settlement> settlements(List<Decision> decisions) {
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

  private static Map<String, Settlement> decisionsFor(
      PlacementPlan plan, Map<String, Settlement> decided) {
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

  /**
   * Applies a release to the chosen sites. A placement with an open question stays on its revision;
   * everything else goes on.
   *
   * @throws Stale if a page or the piece was changed since the plan was made
   * @throws BadInput if no site is chosen, or nothing is waiting at one that is
   */
  @Transactional(isolation = Isolation.SERIALIZABLE)
  Done apply(ApplyRequest request, String user) {
    PieceState piece = pieces.get(request.pieceId());
    if (request.revision() != piece.current()) {
      throw new Stale("“" + piece.name() + "”");
    }
    if (request.sites().isEmpty()) {
      throw new BadInput("sites", "Choose at least one site to apply it to");
    }
    Map<String, Long> versions =
        request.pages().stream()
            .collect(Collectors.toMap(PageVersion::pageId, PageVersion::version, (a, b) -> b));
    Map<String, Settlement> decided = settlements(request.decisions());
    List<PlacementPlan> plans = plans(request.pieceId(), request.revision());
    List<Rollout.AdoptedStep> adopted = new ArrayList<>();
    List<Rollout.WrittenStep> written = new ArrayList<>();
    for (String siteId : request.sites()) {
      List<PlacementPlan> here = plans.stream().filter(p -> p.siteId().equals(siteId)).toList();
      if (here.isEmpty()) {
        throw new BadInput(
            "sites", sites.get(siteId).name() + " shows this revision everywhere already");
      }
      requireFinishes(siteId, piece);
      adopted.add(
          new Rollout.AdoptedStep(
              siteId, sites.adopted(siteId).of(piece.id()), request.revision()));
      written.addAll(write(here, versions, decided));
      sites.adopt(siteId, piece.id(), request.revision());
    }
    pieces.withdraw(piece.id(), request.revision(), false);
    Rollout rollout = new Rollout(piece.id(), request.revision(), adopted, written);
    return done(repository.save(new RolloutEntity(rollout, clock.instant(), user)));
  }

  private void requireFinishes(String siteId, PieceState piece) {
    int needed = pieces.revision(piece.id(), piece.current()).finishes();
    int there = finishes.adopted(siteId);
    if (there < needed) {
      throw new BadInput(
          "sites",
          sites.get(siteId).name()
              + " shows revision "
              + there
              + " of the finishes, and revision "
              + piece.current()
              + " of “"
              + piece.name()
              + "” needs revision "
              + needed
              + ": bring the site to it in Finishes first");
    }
  }

  private List<Rollout.WrittenStep> write(
      List<PlacementPlan> plans, Map<String, Long> versions, Map<String, Settlement> decided) {
    List<Rollout.WrittenStep> written = new ArrayList<>();
    Map<String, List<PlacementPlan>> byPage =
        plans.stream()
            .collect(
                Collectors.groupingBy(
                    PlacementPlan::pageId, LinkedHashMap::new, Collectors.toList()));
    byPage.forEach(
        (pageId, onPage) -> {
          PageState page = sites.page(pageId);
          if (versions.getOrDefault(pageId, -1L) != page.version()) {
            throw new Stale("“" + page.title() + "”");
          }
          Node root = page.root();
          for (PlacementPlan plan : onPage) {
            Placement after = plan.after(decisionsFor(plan, decided));
            if (!after.equals(plan.placement())) {
              root = withPlacement(root, plan.placementId(), after);
              written.add(
                  new Rollout.WrittenStep(
                      plan.siteId(), pageId, plan.placementId(), plan.placement(), after));
            }
          }
          if (!root.equals(page.root())) {
            sites.write(pageId, page.version(), root);
          }
        });
    return written;
  }

  @Transactional(readOnly = true)
  TakeBackPlan takeBackPlan(long id) {
    RolloutEntity kept = entity(id);
    List<RolloutEntity> later = later(kept);
    return new TakeBackPlan(
        id, later.stream().map(this::done).toList(), later.isEmpty() ? questions(kept) : List.of());
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
          new Describing(pieces, kept.pieceId(), from, to, sites.now(step.siteId()).finishes());
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
    return siteIds(kept).stream().flatMap(site -> takeBack.plan(sites.now(site)).stream()).toList();
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
    Map<String, Settlement> decided = settlements(decisions);
    for (RolloutEntity other : later(kept)) {
      takeBackOne(other, decided);
    }
    takeBackOne(kept, decided);
    return done(kept);
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
      Node root = withPlacement(page.root(), step.placementId(), step.after(decisions));
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
