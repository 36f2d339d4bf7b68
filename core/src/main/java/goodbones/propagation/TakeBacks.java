package goodbones.propagation;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Adopted;
import goodbones.library.Library;
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
   * @param later those of the same piece that came after it and still hold, the oldest first
   * @return the oldest first
   */
  public static <R> List<R> standingOn(R first, List<R> later, Function<R, Rollout> rollout) {
    Set<String> reached = new HashSet<>(rollout.apply(first).siteIds());
    List<R> standing = new ArrayList<>();
    for (R other : later) {
      List<String> there = rollout.apply(other).siteIds();
      if (there.stream().anyMatch(reached::contains)) {
        standing.add(other);
        reached.addAll(there);
      }
    }
    return standing;
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
    for (Rollout.AdoptedStep step : rollout.adopted()) {
      SiteNow site = sites.get(step.siteId());
      if (site == null) {
        throw new IllegalArgumentException("“" + step.siteId() + "” is not among the sites");
      }
      sites.put(site.siteId(), taken(rollout, step, site));
    }
  }

  private SiteNow taken(Rollout rollout, Rollout.AdoptedStep adopted, SiteNow site) {
    Map<String, Node> pages = new HashMap<>();
    site.pages().forEach(page -> pages.put(page.pageId(), page.root()));
    for (TakeBack.Step step : new TakeBack(library, rollout).plan(site)) {
      Map<String, Settlement> decisions = new HashMap<>();
      for (Question question : step.questions()) {
        Asked one =
            new Asked(
                site.siteId(),
                step.pageId(),
                step.placementId(),
                rollout.pieceId(),
                adopted.after(),
                adopted.before(),
                question);
        decisions.put(question.id(), settled(one));
      }
      pages.computeIfPresent(
          step.pageId(),
          (id, root) ->
              root.change(step.placementId(), node -> node.withPlacement(step.after(decisions))));
    }
    Map<String, Integer> revisions = new HashMap<>(site.adopted().revisions());
    revisions.put(rollout.pieceId(), adopted.before());
    return new SiteNow(
        site.siteId(),
        site.finishes(),
        new Adopted(revisions),
        site.pages().stream()
            .map(
                page ->
                    new SiteNow.PageNow(
                        page.pageId(),
                        page.version(),
                        pages.getOrDefault(page.pageId(), page.root())))
            .toList());
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
