package goodbones.server.rollouts;

import goodbones.document.Node;
import goodbones.document.Placement;
import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Rollout;
import goodbones.propagation.Settlement;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Stale;
import goodbones.server.rollouts.RolloutViews.ApplyRequest;
import goodbones.server.rollouts.RolloutViews.Done;
import goodbones.server.rollouts.RolloutViews.PageVersion;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
  private final Records records;
  private final Pieces pieces;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Clock clock;

  Applying(
      Planning planning,
      Records records,
      Pieces pieces,
      Sites sites,
      FinishesStore finishes,
      Clock clock) {
    this.planning = planning;
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
    Map<String, Long> versions =
        request.pages().stream()
            .collect(Collectors.toMap(PageVersion::pageId, PageVersion::version, (a, b) -> b));
    Map<String, Settlement> decided = Decisions.read(request.decisions());
    List<PlacementPlan> plans = planning.plans(request.pieceId(), request.revision());
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
    return records.keep(new RolloutEntity(rollout, clock.instant(), user));
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
            Placement after = plan.after(Decisions.of(plan, decided));
            if (!after.equals(plan.placement())) {
              root = Decisions.put(root, plan.placementId(), after);
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
}
