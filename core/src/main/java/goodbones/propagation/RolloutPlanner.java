package goodbones.propagation;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.RevisionIndex;
import goodbones.library.Shown;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Plans what carrying a release to sites would do. Nothing is changed by planning. */
public final class RolloutPlanner {
  private final Library library;

  public RolloutPlanner(Library library) {
    this.library = library;
  }

  /**
   * Plans a release for some sites.
   *
   * @return a plan for every placement of the piece that does not show the revision yet, in the
   *     order of the sites, their pages and the page's tree
   */
  public List<PlacementPlan> plan(Release release, List<SiteNow> sites) {
    List<PlacementPlan> plans = new ArrayList<>();
    for (SiteNow site : sites) {
      for (SiteNow.PageNow page : site.pages()) {
        page.root()
            .walk(
                node -> {
                  if (concerns(release, site, node)) {
                    plans.add(plan(release, site, page, node));
                  }
                });
      }
    }
    return plans;
  }

  private static boolean concerns(Release release, SiteNow site, Node node) {
    return node.kind() == Kind.PLACEMENT
        && node.placement().orElseThrow().pieceId().equals(release.pieceId())
        && site.adopted().shownBy(node.placement().orElseThrow()) != release.revision();
  }

  private PlacementPlan plan(Release release, SiteNow site, SiteNow.PageNow page, Node node) {
    Placement placement = node.placement().orElseThrow();
    int from = site.adopted().shownBy(placement);
    Optional<Rebased> rebased = Optional.empty();
    List<NodeChange> changes = List.of();
    PlacementPlan.Status status = PlacementPlan.Status.HELD;
    if (placement.pin().map(Pin::reason).orElse(Pin.Reason.WAITING) == Pin.Reason.WAITING) {
      Rebased outcome =
          Rebase.of(
              node.id(),
              placement,
              from,
              release.revision(),
              Way.between(library, release.pieceId(), from, release.revision()));
      rebased = Optional.of(outcome);
      changes = changes(site, node, from, release.revision(), forThePage(outcome));
      status =
          status(
              outcome,
              changes,
              new RevisionIndex(library.revision(release.pieceId(), from).root()));
    }
    return new PlacementPlan(
        site.siteId(),
        page.pageId(),
        node.id(),
        placement,
        from,
        release.revision(),
        status,
        rebased,
        changes);
  }

  private static PlacementPlan.Status status(
      Rebased rebased, List<NodeChange> changes, RevisionIndex shown) {
    if (!rebased.questions().isEmpty()) {
      return PlacementPlan.Status.TO_DECIDE;
    }
    if (changes.isEmpty()) {
      return PlacementPlan.Status.NOTHING_TO_SEE;
    }
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

  private List<NodeChange> changes(SiteNow site, Node node, int from, int to, Placement after) {
    return Difference.between(
        alone(node, from, node.placement().orElseThrow()), alone(node, to, after), site.finishes());
  }

  /** One placement on a page of its own, pinned to a revision. */
  private Shown alone(Node node, int revision, Placement placement) {
    Node pinned =
        node.withPlacement(placement.withPin(Optional.of(new Pin(revision, Pin.Reason.HELD))));
    Node page =
        Node.of(goodbones.document.NodeId.of("page"), Kind.PAGE, "").withChildren(List.of(pinned));
    return Shown.of(page, new goodbones.library.Adopted(Map.of()), library);
  }
}
