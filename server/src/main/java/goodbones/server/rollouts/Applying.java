package goodbones.server.rollouts;

import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Placements;
import goodbones.library.SiteFillings;
import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Rollout;
import goodbones.propagation.RolloutPlan;
import goodbones.propagation.Settlement;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Stale;
import goodbones.server.rollouts.RolloutViews.ApplyRequest;
import goodbones.server.rollouts.RolloutViews.Done;
import goodbones.server.rollouts.RolloutViews.PageVersion;
import goodbones.server.rollouts.RolloutViews.SiteStamp;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Carries releases to sites. One transaction: all or nothing; a page that was edited since the plan
 * was made stops it.
 */
@Service
class Applying {
  private final Planning planning;
  private final Carrying carrying;
  private final Records records;
  private final Pieces pieces;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Clock clock;

  Applying(
      Planning planning,
      Carrying carrying,
      Records records,
      Pieces pieces,
      Sites sites,
      FinishesStore finishes,
      Clock clock) {
    this.planning = planning;
    this.carrying = carrying;
    this.records = records;
    this.pieces = pieces;
    this.sites = sites;
    this.finishes = finishes;
    this.clock = clock;
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
    request.sites().stream().sorted().forEach(sites::hold);
    Map<String, Long> versions =
        request.pages().stream()
            .collect(Collectors.toMap(PageVersion::pageId, PageVersion::version, (a, b) -> b));
    Map<String, Long> stamps =
        request.stamps().stream()
            .collect(Collectors.toMap(SiteStamp::siteId, SiteStamp::stamp, (a, b) -> b));
    Map<String, Settlement> decided = Decisions.read(request.decisions());
    Map<String, Carrying.ToSite> loads =
        carrying.of(piece.id()).stream()
            .collect(Collectors.toMap(Carrying.ToSite::siteId, Function.identity()));
    List<Rollout.AdoptedStep> adopted = new ArrayList<>();
    List<Rollout.WrittenStep> written = new ArrayList<>();
    List<Rollout.FilledStep> filled = new ArrayList<>();
    Allowing allowing = new Allowing(sites, pieces);
    for (String siteId : request.sites()) {
      Carrying.ToSite load = loads.get(siteId);
      Map<String, Integer> revisions =
          load == null
              ? Map.of()
              : load.load().revisions(Planning.accepted(load, request.accepted()));
      if (load == null || revisions.isEmpty()) {
        throw new BadInput(
            "sites", sites.get(siteId).name() + " shows this revision everywhere already");
      }
      if (stamps.getOrDefault(siteId, -1L) != sites.stamp(siteId)) {
        throw new Stale("“" + sites.get(siteId).name() + "”");
      }
      requireFinishes(siteId, revisions);
      RolloutPlan plan =
          planning.toWrite(
              load,
              Planning.accepted(load, request.accepted()),
              Decisions.ofSite(siteId, request.decisions()));
      Map<String, Integer> before = sites.adopted(siteId).revisions();
      written.addAll(write(plan.placements(), versions, decided, allowing));
      filled.addAll(fill(siteId, plan));
      revisions.forEach(
          (id, revision) -> {
            adopted.add(new Rollout.AdoptedStep(siteId, id, before.get(id), revision));
            sites.adopt(siteId, id, revision);
          });
    }
    allowing.requireAllowed();
    Rollout rollout = new Rollout(piece.id(), request.revision(), adopted, written, filled);
    return records.keep(new RolloutEntity(rollout, clock.instant(), user));
  }

  private void requireFinishes(String siteId, Map<String, Integer> revisions) {
    int there = finishes.adopted(siteId);
    revisions.forEach(
        (id, revision) -> {
          int needed = pieces.revision(id, revision).finishes();
          if (there < needed) {
            throw new BadInput(
                "sites",
                sites.get(siteId).name()
                    + " shows revision "
                    + there
                    + " of the finishes, and revision "
                    + revision
                    + " of “"
                    + pieces.get(id).name()
                    + "” needs revision "
                    + needed
                    + ": bring the site to it in Finishes first");
          }
        });
  }

  private List<Rollout.FilledStep> fill(String siteId, RolloutPlan plan) {
    if (plan.filled().isEmpty()) {
      return List.of();
    }
    SiteFillings before = sites.adopted(siteId).fillings();
    sites.fill(siteId, plan.filled());
    return plan.filledSteps(siteId, before);
  }

  private List<Rollout.WrittenStep> write(
      List<PlacementPlan> plans,
      Map<String, Long> versions,
      Map<String, Settlement> decided,
      Allowing allowing) {
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
          Map<NodeId, Placement> others = new HashMap<>();
          for (PlacementPlan plan : onPage) {
            Placement after = plan.after(Decisions.of(plan, decided));
            if (!after.equals(plan.placement())) {
              others.put(plan.placementId(), after);
            }
            if (plan.isToRecord(after)) {
              written.add(
                  new Rollout.WrittenStep(
                      plan.siteId(), pageId, plan.placementId(), plan.placement(), after));
            }
          }
          if (!others.isEmpty()) {
            allowing.willWrite(page.siteId(), pageId, page.root());
            sites.write(pageId, page.version(), Placements.replaced(page.root(), others));
          }
        });
    return written;
  }
}
