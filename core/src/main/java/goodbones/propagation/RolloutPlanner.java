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
import goodbones.library.Translation;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Plans what carrying releases to sites would do. Nothing is changed by planning. */
public final class RolloutPlanner {
  private final Library library;
  private final boolean looks;

  public RolloutPlanner(Library library) {
    this(library, true);
  }

  private RolloutPlanner(Library library, boolean looks) {
    this.library = library;
    this.looks = looks;
  }

  /**
   * The same that does not look at the pages: what is written comes out alike, but no plan says
   * what would look different, or that there is nothing to see.
   */
  public RolloutPlanner withoutLooking() {
    return new RolloutPlanner(library, false);
  }

  /**
   * Plans releases for a site.
   *
   * @param decided answers to what is asked once for the site, by the ids of the questions
   * @return a plan for every placement of one of the pieces that does not show its revision yet, in
   *     the order of the pages and the page's tree
   */
  public RolloutPlan plan(Release release, SiteNow site, Map<String, Integer> decided) {
    Map<SiteNow.PageNow, Map<NodeId, Step>> steps = new LinkedHashMap<>();
    for (SiteNow.PageNow page : site.pages()) {
      steps.put(page, steps(release, site, page));
    }
    SiteWords words = words(site, steps, decided);
    Adopted then = site.adopted().with(release.revisions()).filled(words.filled());
    List<PlacementPlan> plans = new ArrayList<>();
    steps.forEach((page, onPage) -> plans.addAll(plan(site, page, onPage, then, words)));
    return new RolloutPlan(plans, words.questions(), words.filled(), words.outOfSight());
  }

  /** A placement that the releases get to, and the way that it goes. */
  private record Step(Placement placement, int from, int to, Way way) {
    boolean isHeld() {
      return placement.pin().filter(pin -> pin.reason() == Pin.Reason.HELD).isPresent();
    }
  }

  private Map<NodeId, Step> steps(Release release, SiteNow site, SiteNow.PageNow page) {
    Map<NodeId, Step> steps = new LinkedHashMap<>();
    Placements.of(page.root())
        .forEach(
            (path, placement) -> {
              String piece = placement.pieceId();
              Integer to = release.revisions().get(piece);
              int from = site.adopted().shownBy(placement);
              if (to != null && from != to) {
                Picks picks = Translation.picks(library, placement, from);
                Way way = Way.between(library, piece, from, to, picks);
                steps.put(path, new Step(placement, from, to, way));
              }
            });
    return steps;
  }

  private SiteWords words(
      SiteNow site, Map<SiteNow.PageNow, Map<NodeId, Step>> steps, Map<String, Integer> decided) {
    SiteWords words = new SiteWords(site.adopted().fillings(), decided);
    steps.forEach(
        (page, onPage) ->
            onPage.forEach(
                (path, step) -> {
                  if (!step.isHeld()) {
                    words.goes(
                        new SiteQuestion.Place(page.pageId(), path),
                        step.placement().pieceId(),
                        Translation.layer(library, step.placement(), step.to()),
                        step.way());
                  }
                }));
    if (words.isAny()) {
      steps.forEach(
          (page, onPage) ->
              Placements.of(page.root())
                  .forEach(
                      (path, placement) -> {
                        if (!onPage.containsKey(path)) {
                          words.shows(
                              new SiteQuestion.Place(page.pageId(), path),
                              Translation.layer(
                                  library, placement, site.adopted().shownBy(placement)),
                              shown(site, placement));
                        }
                      }));
    }
    return words;
  }

  private RevisionIndex shown(SiteNow site, Placement placement) {
    int revision = site.adopted().shownBy(placement);
    return library
        .expanded(placement.pieceId(), revision, Translation.picks(library, placement, revision))
        .index();
  }

  private List<PlacementPlan> plan(
      SiteNow site, SiteNow.PageNow page, Map<NodeId, Step> steps, Adopted then, SiteWords words) {
    Map<NodeId, Concerned> concerned = new LinkedHashMap<>();
    steps.forEach((path, step) -> concerned.put(path, concerned(path, step, then, words)));
    if (concerned.isEmpty()) {
      return List.of();
    }
    Map<NodeId, List<NodeChange>> changes =
        looks ? changes(site, page.root(), then, concerned) : Map.of();
    List<PlacementPlan> plans = new ArrayList<>();
    concerned.forEach(
        (path, c) ->
            plans.add(
                new PlacementPlan(
                    site.siteId(),
                    page.pageId(),
                    path,
                    c.step().placement(),
                    c.step().from(),
                    c.step().to(),
                    c.rebased()
                        .map(r -> status(r, changes.getOrDefault(path, List.of()), c))
                        .orElse(PlacementPlan.Status.HELD),
                    c.rebased(),
                    c.atSite(),
                    changes.getOrDefault(path, List.of()))));
    return plans;
  }

  /**
   * A placement that the releases get to; without a rebase it is held.
   *
   * @param atSite the questions that are asked once for the site
   */
  private record Concerned(
      Step step, Optional<Rebased> rebased, Map<String, Optional<Settlement>> atSite) {
    boolean asks() {
      return rebased.stream()
          .flatMap(r -> r.questions().stream())
          .anyMatch(q -> atSite.getOrDefault(q.id(), Optional.empty()).isEmpty());
    }
  }

  private Concerned concerned(NodeId path, Step step, Adopted then, SiteWords words) {
    if (step.isHeld()) {
      return new Concerned(step, Optional.empty(), Map.of());
    }
    Rebased rebased = Rebase.of(path, step.placement(), step.from(), step.to(), library, then);
    return new Concerned(step, Optional.of(rebased), words.askedAtSite(rebased));
  }

  /** What would look different on the real page, by placement, every question settled for it. */
  private Map<NodeId, List<NodeChange>> changes(
      SiteNow site, Node page, Adopted then, Map<NodeId, Concerned> concerned) {
    Node after =
        Placements.mapped(
            page,
            (path, placement) ->
                Optional.ofNullable(concerned.get(path))
                    .flatMap(RolloutPlanner::forThePage)
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
    return c.step().way().relocated(inside).within(placement);
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
    if (c.asks()) {
      return PlacementPlan.Status.TO_DECIDE;
    }
    if (looks && changes.isEmpty()) {
      return PlacementPlan.Status.NOTHING_TO_SEE;
    }
    Placement placement = c.step().placement();
    int from = c.step().from();
    RevisionIndex shown =
        library
            .expanded(placement.pieceId(), from, Translation.picks(library, placement, from))
            .index();
    boolean stand =
        rebased.verdicts().entrySet().stream()
            .anyMatch(e -> e.getValue() == Verdict.STANDS && !shown.isSlot(e.getKey()));
    return stand ? PlacementPlan.Status.STAND : PlacementPlan.Status.CLEAN;
  }

  /** Settles every question for the page where that is possible, and not decided otherwise. */
  private static Optional<Placement> forThePage(Concerned concerned) {
    return concerned
        .rebased()
        .map(
            rebased -> {
              Map<String, Settlement> decisions = rebased.pagesOwn();
              concerned
                  .atSite()
                  .forEach((id, settled) -> settled.ifPresent(s -> decisions.put(id, s)));
              return rebased.settled(decisions);
            });
  }
}
