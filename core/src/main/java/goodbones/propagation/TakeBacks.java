package goodbones.propagation;

import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Placements;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Takes a rollout back together with everything later that stands on it, one after the other, the
 * newest first. Nothing is changed by that: what the sites would be is worked out.
 */
public final class TakeBacks {
  private final Library library;
  private final Map<String, SiteNow> sites = new LinkedHashMap<>();
  private final Map<Place, Asked> asked = new LinkedHashMap<>();
  private final Function<Asked, Optional<Settlement>> decided;
  private boolean open;

  /** Where a question stands; the same one asked again on the way back is answered once. */
  private record Place(String pageId, NodeId placementId, String question) {}

  /**
   * A question on the way back.
   *
   * @param from the revision that the site shows before the step in which it is asked
   * @param to the revision that it shows after the last step in which it is asked
   */
  public record Asked(
      String siteId,
      String pageId,
      NodeId placementId,
      String pieceId,
      int from,
      int to,
      Question question) {}

  /**
   * What taking back comes to.
   *
   * @param sites as they would be; what is not decided stays with the page
   * @param asked everything that there is to decide under the decisions given
   * @param open whether a decision is missing
   */
  public record Outcome(List<SiteNow> sites, List<Asked> asked, boolean open) {
    public Outcome {
      sites = List.copyOf(sites);
      asked = List.copyOf(asked);
    }
  }

  private TakeBacks(
      Library library, List<SiteNow> sites, Function<Asked, Optional<Settlement>> decided) {
    this.library = library;
    this.decided = decided;
    sites.forEach(site -> this.sites.put(site.siteId(), site));
  }

  /**
   * The later rollouts that stand on one: those that went on from what it, or one of them, had made
   * a site show.
   *
   * @param later those that came after it and still hold, the oldest first
   * @return the oldest first
   */
  public static <R> List<R> standingOn(R first, List<R> later, Function<R, Rollout> rollout) {
    Set<Step> reached = steps(rollout.apply(first));
    List<R> standing = new ArrayList<>();
    for (R other : later) {
      Set<Step> there = steps(rollout.apply(other));
      if (there.stream().anyMatch(reached::contains)) {
        standing.add(other);
        reached.addAll(there);
      }
    }
    return standing;
  }

  /** What a rollout stands on, and others on it: a piece at a site, or a placement on a page. */
  private record Step(String where, String what) {}

  private static Set<Step> steps(Rollout rollout) {
    Set<Step> steps = new HashSet<>();
    rollout.adopted().forEach(step -> steps.add(new Step(step.siteId(), step.piece())));
    rollout
        .written()
        .forEach(step -> steps.add(new Step(step.pageId(), step.placementId().value())));
    return steps;
  }

  /**
   * Works out what taking rollouts back comes to.
   *
   * @param newestFirst the rollouts
   * @param sites all that they reached
   * @param decided what was decided for a question, if anything was
   */
  public static Outcome of(
      Library library,
      List<Rollout> newestFirst,
      List<SiteNow> sites,
      Function<Asked, Optional<Settlement>> decided) {
    TakeBacks takeBacks = new TakeBacks(library, sites, decided);
    newestFirst.forEach(takeBacks::take);
    return new Outcome(
        List.copyOf(takeBacks.sites.values()),
        List.copyOf(takeBacks.asked.values()),
        takeBacks.open);
  }

  private void take(Rollout rollout) {
    for (String id : rollout.siteIds()) {
      SiteNow site = sites.get(id);
      if (site == null) {
        throw new IllegalArgumentException("“" + id + "” is not among the sites");
      }
      sites.put(id, taken(rollout, site));
    }
  }

  private SiteNow taken(Rollout rollout, SiteNow site) {
    Map<String, Map<NodeId, Placement>> written = new HashMap<>();
    TakeBack takeBack = new TakeBack(library, rollout);
    for (TakeBack.Step step : takeBack.plan(site)) {
      Map<String, Settlement> decisions = new HashMap<>();
      List<Question> open = step.questions(decisions);
      // An answer can bring up what only it does.
      while (!open.isEmpty()) {
        open.forEach(
            question ->
                decisions.put(question.id(), settled(asked(rollout, site, step, question))));
        open =
            step.questions(decisions).stream().filter(q -> !decisions.containsKey(q.id())).toList();
      }
      written
          .computeIfAbsent(step.pageId(), page -> new HashMap<>())
          .put(step.placementId(), step.after(decisions));
    }
    return new SiteNow(
        site.siteId(),
        site.finishes(),
        site.adopted().with(rollout.before(site.siteId())).filled(takeBack.filledBefore(site)),
        site.pages().stream()
            .map(page -> written(page, written.getOrDefault(page.pageId(), Map.of())))
            .toList());
  }

  private static Asked asked(Rollout rollout, SiteNow site, TakeBack.Step step, Question question) {
    String piece = step.now().pieceId();
    return new Asked(
        site.siteId(),
        step.pageId(),
        step.placementId(),
        piece,
        rollout.after(site.siteId()).getOrDefault(piece, 0),
        rollout.before(site.siteId()).getOrDefault(piece, 0),
        question);
  }

  private static SiteNow.PageNow written(SiteNow.PageNow page, Map<NodeId, Placement> placements) {
    return new SiteNow.PageNow(
        page.pageId(), page.version(), Placements.replaced(page.root(), placements));
  }

  private Settlement settled(Asked one) {
    Place place = new Place(one.pageId(), one.placementId(), one.question().id());
    asked.merge(place, one, TakeBacks::together);
    Optional<Settlement> settlement = decided.apply(one);
    open |= settlement.isEmpty();
    return settlement.orElseGet(
        () ->
            one.question().choices().contains(Settlement.STAY) ? Settlement.STAY : Settlement.TAKE);
  }

  /** What stands now, against what stood before the older one of two steps. */
  private static Asked together(Asked newer, Asked older) {
    Question now = newer.question();
    Question then = older.question();
    return new Asked(
        newer.siteId(),
        newer.pageId(),
        newer.placementId(),
        newer.pieceId(),
        newer.from(),
        older.to(),
        new Question(
            now.id(),
            now.verdict(),
            now.node(),
            now.keys(),
            now.before(),
            now.page(),
            then.library(),
            now.choices()));
  }
}
