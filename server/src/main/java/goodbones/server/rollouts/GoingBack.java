package goodbones.server.rollouts;

import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Rollout;
import goodbones.server.library.Pieces;
import goodbones.server.problems.BadInput;
import goodbones.server.rollouts.RolloutViews.GoBackRequest;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Takes the library back to an earlier revision of a piece, by going forward. */
@Service
class GoingBack {
  private final Planning planning;
  private final Carrying carrying;
  private final Records records;
  private final Pieces pieces;
  private final Sites sites;
  private final Clock clock;

  GoingBack(
      Planning planning,
      Carrying carrying,
      Records records,
      Pieces pieces,
      Sites sites,
      Clock clock) {
    this.planning = planning;
    this.carrying = carrying;
    this.records = records;
    this.pieces = pieces;
    this.sites = sites;
    this.clock = clock;
  }

  /**
   * Gives the piece a new revision with the document of an earlier one. Sites for which that shows
   * nothing new take it along.
   *
   * @return the number of the new revision
   * @throws BadInput if a site shows a later revision than the earlier one still
   */
  @Transactional(isolation = Isolation.SERIALIZABLE)
  int goBack(GoBackRequest request, String user) {
    for (SiteInfo site : sites.all()) {
      sites.hold(site.id());
      int shown = sites.adopted(site.id()).revisions().getOrDefault(request.pieceId(), 0);
      if (shown > request.revision()) {
        throw new BadInput(
            "revision",
            site.name() + " shows revision " + shown + " of it: take that rollout back first");
      }
    }
    int next = pieces.goBack(request.pieceId(), request.version(), request.revision());
    List<Rollout.AdoptedStep> adopted = new ArrayList<>();
    for (Carrying.ToSite load : carrying.of(request.pieceId())) {
      Map<String, Integer> revisions = load.load().revisions(Set.of());
      boolean nothingNew =
          planning.plans(load, Set.of(), Map.of()).placements().stream()
              .allMatch(plan -> plan.status() == PlacementPlan.Status.NOTHING_TO_SEE);
      if (nothingNew) {
        Map<String, Integer> before = sites.adopted(load.siteId()).revisions();
        revisions.forEach(
            (piece, revision) -> {
              adopted.add(
                  new Rollout.AdoptedStep(load.siteId(), piece, before.get(piece), revision));
              sites.adopt(load.siteId(), piece, revision);
            });
      }
    }
    if (!adopted.isEmpty()) {
      Rollout rollout = new Rollout(request.pieceId(), next, adopted, List.of());
      records.keep(new RolloutEntity(rollout, clock.instant(), user));
    }
    return next;
  }
}
