package goodbones.propagation;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Library;
import goodbones.library.Picks;
import goodbones.library.Placements;
import goodbones.library.RevisionIndex;
import goodbones.library.Shown;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Plans what carrying releases to sites would do. Nothing is changed by planning. */
public final class RolloutPlanner {
  private final Library library;

  public RolloutPlanner(Library library) {
    this.library = library;
  }

  /**
   * Plans the same releases for some sites.
   *
   * @return a plan for every placement of one of the pieces that does not show its revision yet, in
   *     the order of the sites, their pages and the page's tree
   */
  public List<PlacementPlan> plan(Release release, List<SiteNow> sites) {
    return sites.stream().flatMap(site -> plan(release, site).stream()).toList();
  }

  /**
   * Plans releases for a site.
   *
   * @return a plan for every placement of one of the pieces that does not show its revision yet, in
   *     the order of the pages and the page's tree
   */
  public List<PlacementPlan> plan(Release release, SiteNow site) {
    return site.pages().stream().flatMap(page -> plan(release, site, page).stream()).toList();
  }

  private List<PlacementPlan> plan(Release release, SiteNow site, SiteNow.PageNow page) {
    Adopted then = site.adopted().with(release.revisions());
    Map<NodeId, Concerned> concerned = new LinkedHashMap<>();
    Placements.of(page.root())
        .forEach(
            (path, placement) -> {
              Integer to = release.revisions().get(placement.pieceId());
              int from = site.adopted().shownBy(placement);
              if (to != null && from != to) {
                concerned.put(path, concerned(path, placement, from, to, then));
              }
            });
    if (concerned.isEmpty()) {
      return List.of();
    }
    Map<NodeId, List<NodeChange>> changes = changes(site, page.root(), then, concerned);
    List<PlacementPlan> plans = new ArrayList<>();
    concerned.forEach(
        (path, c) ->
            plans.add(
                new PlacementPlan(
                    site.siteId(),
                    page.pageId(),
                    path,
                    c.placement(),
                    c.from(),
                    c.to(),
                    c.rebased()
                        .map(r -> status(r, changes.getOrDefault(path, List.of()), c))
                        .orElse(PlacementPlan.Status.HELD),
                    c.rebased(),
                    changes.getOrDefault(path, List.of()))));
    return plans;
  }

  /** A placement that the releases get to; without a rebase it is held. */
  private record Concerned(
      Placement placement, int from, int to, Way way, Optional<Rebased> rebased) {}

  private Concerned concerned(NodeId path, Placement placement, int from, int to, Adopted then) {
    boolean held = placement.pin().filter(pin -> pin.reason() == Pin.Reason.HELD).isPresent();
    return new Concerned(
        placement,
        from,
        to,
        Way.between(library, placement.pieceId(), from, to, Picks.of(placement)),
        held ? Optional.empty() : Optional.of(Rebase.of(path, placement, from, to, library, then)));
  }

  /** What would look different on the real page, by placement, every question settled for it. */
  private Map<NodeId, List<NodeChange>> changes(
      SiteNow site, Node page, Adopted then, Map<NodeId, Concerned> concerned) {
    Node after =
        Placements.mapped(
            page,
            (path, placement) ->
                Optional.ofNullable(concerned.get(path))
                    .flatMap(Concerned::rebased)
                    .map(RolloutPlanner::forThePage)
                    .orElse(placement));
    List<NodeChange> all =
        Difference.between(
            Shown.of(page, site.adopted(), library),
            Shown.of(after, then, library),
            site.finishes(),
            id -> holding(id, concerned).isPresent(),
            id -> holding(id, concerned).map(p -> moved(id, p, concerned.get(p))).orElse(id));
    return all.stream()
        .collect(Collectors.groupingBy(change -> holding(change.node(), concerned).orElseThrow()));
  }

  private static NodeId moved(NodeId id, NodeId placement, Concerned c) {
    NodeId inside = NodeId.of(id.value().substring(placement.value().length() + 1));
    return c.way().relocated(inside).within(placement);
  }

  /** The innermost of the placements that a node stands in. */
  private static Optional<NodeId> holding(NodeId id, Map<NodeId, Concerned> concerned) {
    String path = id.value();
    for (int at = path.lastIndexOf('/'); at > 0; at = path.lastIndexOf('/', at - 1)) {
      NodeId placement = NodeId.of(path.substring(0, at));
      if (concerned.containsKey(placement)) {
        return Optional.of(placement);
      }
    }
    return Optional.empty();
  }

  private PlacementPlan.Status status(Rebased rebased, List<NodeChange> changes, Concerned c) {
    if (!rebased.questions().isEmpty()) {
      return PlacementPlan.Status.TO_DECIDE;
    }
    if (changes.isEmpty()) {
      return PlacementPlan.Status.NOTHING_TO_SEE;
    }
    RevisionIndex shown =
        library.expanded(c.placement().pieceId(), c.from(), Picks.of(c.placement())).index();
    boolean stand =
        rebased.verdicts().entrySet().stream()
            .anyMatch(e -> e.getValue() == Verdict.STANDS && !shown.isSlot(e.getKey()));
    return stand ? PlacementPlan.Status.STAND : PlacementPlan.Status.CLEAN;
  }

  /** Settles every question for the page where that is possible. */
  private static Placement forThePage(Rebased rebased) {
    Map<String, Settlement> decisions =
        rebased.questions().stream()
            .collect(
                Collectors.toMap(
                    Question::id,
                    q ->
                        q.choices().contains(Settlement.STAY) ? Settlement.STAY : Settlement.TAKE));
    return rebased.settled(decisions);
  }
}
