package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Exchange;
import goodbones.library.Library;
import goodbones.library.Picks;
import goodbones.library.Placements;
import goodbones.library.RevisionIndex;
import goodbones.library.SiteFillings;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Plans taking a rollout back at a site.
 *
 * <p>What stood after the rollout, what stands now and what stood before are merged by key: where
 * nobody edited since, what stood before comes back; an edit made since stays. Where both differ,
 * or an edit since is for a node that the older revision does not have, there is a question: stay
 * with what stands now (for something gone, as the page's own), or take what stood before.
 */
public final class TakeBack {
  private final Library library;
  private final Rollout rollout;

  public TakeBack(Library library, Rollout rollout) {
    this.library = library;
    this.rollout = rollout;
  }

  /**
   * What taking back would do at one placement.
   *
   * @param settled the revision that its local changes are settled on then
   * @param dormantSince the revisions that those were made on which are dormant then
   */
  public record Step(
      String siteId,
      String pageId,
      NodeId placementId,
      Placement now,
      Rebased merged,
      int settled,
      SortedMap<LocalKey, Integer> dormantSince,
      List<Question> questions) {
    public Step {
      questions = List.copyOf(questions);
    }

    /**
     * @param decisions a settlement for each question
     * @throws IllegalArgumentException if a question is left open
     */
    public Placement after(Map<String, Settlement> decisions) {
      for (Question question : questions) {
        if (!decisions.containsKey(question.id())) {
          throw new IllegalArgumentException("“" + question.id() + "” is not decided");
        }
      }
      Placement settled = merged.settled(decisions);
      SortedMap<LocalKey, LocalValue> changes = new TreeMap<>(settled.changes());
      for (Question question : questions) {
        if (question.verdict() == Verdict.BOTH && decisions.get(question.id()) == Settlement.TAKE) {
          LocalKey key = question.keys().get(0);
          question.library().ifPresentOrElse(v -> changes.put(key, v), () -> changes.remove(key));
        }
      }
      return settled
          .withChanges(changes)
          .withPin(merged.before().pin())
          .withSettled(this.settled)
          .withDormantSince(dormantSince);
    }
  }

  /**
   * @return a step for every placement of a piece that the rollout carried to the site, but for
   *     those that were held since
   */
  public List<Step> plan(SiteNow site) {
    Map<NodeId, Rollout.WrittenStep> written = new HashMap<>();
    rollout.written().forEach(step -> written.put(step.placementId(), step));
    Set<String> carried = rollout.after(site.siteId()).keySet();
    List<Step> steps = new ArrayList<>();
    for (SiteNow.PageNow page : site.pages()) {
      Placements.of(page.root())
          .forEach(
              (path, placement) -> {
                Rollout.WrittenStep step = written.get(path);
                if (step != null && isExchange(step)) {
                  if (placement.pieceId().equals(step.after().pieceId())) {
                    steps.add(exchangedBack(site, page.pageId(), path, placement, step));
                  }
                } else if (carried.contains(placement.pieceId()) && !isHeldSince(placement, step)) {
                  steps.add(step(site, page.pageId(), path, placement, step));
                }
              });
    }
    return steps;
  }

  private static boolean isExchange(Rollout.WrittenStep step) {
    return !step.before().pieceId().equals(step.after().pieceId());
  }

  /**
   * The piece that stood there before comes back, as it was left; words that were written in the
   * other one since go along. It is settled on the revision that the site shows of it.
   */
  private Step exchangedBack(
      SiteNow site, String pageId, NodeId path, Placement now, Rollout.WrittenStep written) {
    Placement before = written.before();
    Placement back =
        now.equals(written.after())
            ? before
            : new Exchange(library).of(now, site.adopted().shownBy(now), before);
    Adopted then = site.adopted().with(rollout.before(site.siteId())).filled(filledBefore(site));
    int to = then.shownBy(back);
    Rebased rebased = Rebase.of(path, back, to, to, library, then);
    boolean clean = isClean(rebased);
    return new Step(
        site.siteId(),
        pageId,
        path,
        now,
        rebased,
        clean ? back.settled() : to,
        clean ? back.dormantSince() : rebased.moved().dormantSince(),
        rebased.questions());
  }

  /** What was held since goes on showing what it shows, with what it says there. */
  private static boolean isHeldSince(
      Placement now, Rollout.@org.jspecify.annotations.Nullable WrittenStep written) {
    return written != null && now.pin().isPresent() && !now.pin().equals(written.after().pin());
  }

  /** A site's fillings as they stood before. */
  SortedMap<LocalKey, Optional<FieldValue>> filledBefore(SiteNow site) {
    SortedMap<LocalKey, Optional<FieldValue>> before = new TreeMap<>();
    rollout.filled(site.siteId()).forEach(step -> before.put(step.slot(), step.before()));
    return before;
  }

  /**
   * Words that were filled in for the whole site since stand at every placement that shows them, as
   * if they had been set there.
   */
  private Placement withFilledSince(SiteNow site, Placement now) {
    Placement with = now;
    List<Rollout.FilledStep> since =
        rollout.filled(site.siteId()).stream()
            .filter(step -> filling(site, step).isPresent())
            .filter(step -> !filling(site, step).equals(step.after()))
            .toList();
    if (!since.isEmpty()) {
      RevisionIndex shown =
          library.expanded(now.pieceId(), site.adopted().shownBy(now), Picks.of(now)).index();
      for (LocalKey key : shown.siteSlots()) {
        LocalKey slot = SiteFillings.key(key.node(), ((Aspect.Content) key.aspect()).field());
        for (Rollout.FilledStep step : since) {
          if (step.slot().equals(slot) && !now.changes().containsKey(key)) {
            with = with.withChange(key, Optional.of(new LocalValue.ContentIs(filling(site, step))));
          }
        }
      }
    }
    return with;
  }

  private static Optional<FieldValue> filling(SiteNow site, Rollout.FilledStep step) {
    return Optional.ofNullable(site.adopted().fillings().filled().get(step.slot()));
  }

  private Step step(
      SiteNow site,
      String pageId,
      NodeId path,
      Placement stored,
      Rollout.@org.jspecify.annotations.Nullable WrittenStep written) {
    Placement now = withFilledSince(site, stored);
    Placement before = written == null ? stored : written.before();
    Placement after = written == null ? stored : written.after();
    // A change of a node that only the newer revision has was made since, unless it stood before.
    Set<LocalKey> stoodBefore = written == null ? Set.of() : before.changes().keySet();
    List<Question> questions = new ArrayList<>();
    Placement merged = merge(after, now, before, questions);
    String piece = now.pieceId();
    Map<String, Integer> shownBefore = rollout.before(site.siteId());
    int from = now.pin().map(Pin::revision).orElse(rollout.after(site.siteId()).get(piece));
    int to = merged.pin().map(Pin::revision).orElse(shownBefore.get(piece));
    Adopted then = site.adopted().with(shownBefore).filled(filledBefore(site));
    Rebased rebased =
        goneOnly(Rebase.of(path, merged.withSettled(from), from, to, library, then), stoodBefore);
    questions.addAll(rebased.questions());
    boolean clean = written == null && isClean(Rebase.of(path, now, from, to, library, then));
    return new Step(
        site.siteId(),
        pageId,
        path,
        now,
        rebased,
        clean ? now.settled() : settled(now, after, before, from, to),
        clean ? now.dormantSince() : dormantSince(now, after, before, to),
        questions);
  }

  /**
   * Whether nothing need be written for what stands at a placement to hold as it is. Words that an
   * earlier revision lets every placement fill for itself are not written into it: it had none.
   */
  private static boolean isClean(Rebased back) {
    return back.questions().isEmpty()
        && back.settled(Map.of())
            .changes()
            .entrySet()
            .containsAll(back.before().changes().entrySet());
  }

  private static SortedMap<LocalKey, Integer> dormantSince(
      Placement now, Placement after, Placement before, int to) {
    if (!before.equals(after) && now.settled() == after.settled()) {
      return before.dormantSince();
    }
    SortedMap<LocalKey, Integer> since = new TreeMap<>(now.dormantSince());
    since.values().removeIf(made -> made == to);
    return since;
  }

  /**
   * What stood before comes back as it was; where something of it comes back beside what was edited
   * since, or where that was made on what is taken back, all is settled on what is shown.
   */
  private static int settled(Placement now, Placement after, Placement before, int from, int to) {
    if (!before.equals(after)) {
      return now.settled() == after.settled() ? before.settled() : to;
    }
    return now.settled() == from ? to : now.settled();
  }

  /** Only what is gone asks, and only if it was edited since; all else comes back as it was. */
  private static Rebased goneOnly(Rebased rebased, Set<LocalKey> stoodBefore) {
    List<Question> gone =
        rebased.questions().stream()
            .filter(q -> q.verdict() == Verdict.GONE)
            .filter(q -> q.keys().stream().anyMatch(k -> !stoodBefore.contains(k)))
            .map(q -> Rebase.isFork(q) ? q.only(Settlement.TAKE) : q)
            .toList();
    SortedMap<LocalKey, Verdict> verdicts = new TreeMap<>();
    rebased.verdicts().keySet().forEach(key -> verdicts.put(key, Verdict.STANDS));
    gone.forEach(q -> q.keys().forEach(key -> verdicts.put(key, Verdict.GONE)));
    return rebased.restrictedTo(verdicts, gone);
  }

  private static Placement merge(
      Placement after, Placement now, Placement before, List<Question> questions) {
    Set<LocalKey> keys = new TreeSet<>(now.changes().keySet());
    keys.addAll(before.changes().keySet());
    keys.addAll(after.changes().keySet());
    SortedMap<LocalKey, LocalValue> changes = new TreeMap<>();
    for (LocalKey key : keys) {
      Optional<LocalValue> a = Optional.ofNullable(after.changes().get(key));
      Optional<LocalValue> n = Optional.ofNullable(now.changes().get(key));
      Optional<LocalValue> b = Optional.ofNullable(before.changes().get(key));
      if (!n.equals(a) && !a.equals(b) && !n.equals(b)) {
        questions.add(
            new Question(
                "since " + key,
                Verdict.BOTH,
                key.node(),
                List.of(key),
                a,
                n,
                b,
                Set.of(Settlement.STAY, Settlement.TAKE)));
      }
      (n.equals(a) ? b : n).ifPresent(value -> changes.put(key, value));
    }
    Map<NodeId, List<NodeId>> order = new TreeMap<>(now.order());
    Set<NodeId> parents = new TreeSet<>(now.order().keySet());
    parents.addAll(before.order().keySet());
    for (NodeId parent : parents) {
      List<NodeId> n = now.order().getOrDefault(parent, List.of());
      if (n.equals(after.order().getOrDefault(parent, List.of()))) {
        List<NodeId> b = before.order().getOrDefault(parent, List.of());
        order.put(parent, b);
        if (b.isEmpty()) {
          order.remove(parent);
        }
      }
    }
    Optional<Pin> pin = now.pin().equals(after.pin()) ? before.pin() : now.pin();
    return now.withChanges(changes).withOrder(order).withPin(pin);
  }
}
