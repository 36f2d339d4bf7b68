package goodbones.server.rollouts;

import goodbones.document.Node;
import goodbones.library.Adopted;
import goodbones.library.Shown;
import goodbones.propagation.Difference;
import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Question;
import goodbones.propagation.Release;
import goodbones.propagation.RolloutPlanner;
import goodbones.propagation.Settlement;
import goodbones.propagation.SiteNow;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.library.RevisionInfo;
import goodbones.server.rollouts.RolloutViews.Overview;
import goodbones.server.rollouts.RolloutViews.Plan;
import goodbones.server.rollouts.RolloutViews.Preview;
import goodbones.server.rollouts.RolloutViews.PreviewRequest;
import goodbones.server.rollouts.RolloutViews.RolloutPlacement;
import goodbones.server.rollouts.RolloutViews.SitePlan;
import goodbones.server.rollouts.RolloutViews.Waiting;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What carrying releases to sites would do. */
@Service
class Planning {
  private final Pieces pieces;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Frames frames;
  private final Records records;

  Planning(Pieces pieces, Sites sites, FinishesStore finishes, Frames frames, Records records) {
    this.pieces = pieces;
    this.sites = sites;
    this.finishes = finishes;
    this.frames = frames;
    this.records = records;
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
    return new Overview(waiting, records.all());
  }

  private String note(String pieceId, int revision) {
    return pieces.revisions(pieceId).stream()
        .filter(r -> r.number() == revision)
        .map(RevisionInfo::note)
        .findFirst()
        .orElse("");
  }

  List<PlacementPlan> plans(String pieceId, int revision) {
    List<SiteNow> concerned =
        pieces.sitesUsing(pieceId).stream().map(site -> now(site, pieceId, revision)).toList();
    return new RolloutPlanner(pieces).plan(new Release(pieceId, revision), concerned);
  }

  /** A site as a plan needs it. */
  SiteNow now(String siteId) {
    return new SiteNow(
        siteId,
        finishes.forSite(siteId),
        sites.adopted(siteId),
        sites.pages(siteId).stream()
            .map(page -> new SiteNow.PageNow(page.id(), page.version(), page.root()))
            .toList());
  }

  /** A site as it would have to be to show a revision: with finishes that have all it refers to. */
  private SiteNow now(String siteId, String pieceId, int revision) {
    SiteNow now = now(siteId);
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
    Map<String, Settlement> decided = Decisions.read(request.decisions());
    Node after = page.root();
    for (PlacementPlan plan : plans(request.pieceId(), request.revision())) {
      if (plan.pageId().equals(page.id())) {
        Map<String, Settlement> decisions = Decisions.of(plan, decided);
        for (Question question : plan.questions()) {
          decisions.putIfAbsent(
              question.id(),
              question.choices().contains(Settlement.STAY) ? Settlement.STAY : Settlement.TAKE);
        }
        after = Decisions.put(after, plan.placementId(), plan.after(decisions));
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
}
