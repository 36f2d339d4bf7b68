package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalOrder;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Exchange;
import goodbones.library.Library;
import goodbones.library.Placements;
import goodbones.library.SiteFillings;
import goodbones.library.Translation;
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
 * <p>Taking back is a rebase too. What stands now and what stood right after the rollout are
 * compared by what they say. Where that is the same, what stood before returns whole. Otherwise
 * what differs was done since: it is laid on what stood before and rebased from the revision that
 * it was made on, and asks as any change does. Where there is a question: stay with what stands now
 * (for something gone, as the page's own), or take what stood before.
 */
public final class TakeBack {
  private final Library library;
  private final Rollout rollout;

  public TakeBack(Library library, Rollout rollout) {
    this.library = library;
    this.rollout = rollout;
  }

  /** What taking back would do at one placement. */
  public record Step(
      String siteId,
      String pageId,
      NodeId placementId,
      Placement now,
      List<Reset> resets,
      Rebased back) {
    public Step {
      resets = List.copyOf(resets);
    }

    /** What there is to decide in any case. */
    public List<Question> questions() {
      return questions(Map.of());
    }

    /** What there is to decide under the decisions given. */
    List<Question> questions(Map<String, Settlement> decisions) {
      List<Question> all = new ArrayList<>();
      resets.forEach(reset -> all.add(reset.question()));
      all.addAll(back.under(decisions).questions());
      return all;
    }

    /**
     * @param decisions a settlement for each question
     * @throws IllegalArgumentException if a question is left open
     */
    public Placement after(Map<String, Settlement> decisions) {
      for (Question question : questions(decisions)) {
        if (!decisions.containsKey(question.id())) {
          throw new IllegalArgumentException("“" + question.id() + "” is not decided");
        }
      }
      Placement after = back.settled(decisions).withPin(back.before().pin());
      for (Reset reset : resets) {
        if (decisions.get(reset.question().id()) == Settlement.TAKE) {
          after = after.withChange(reset.key(), Optional.of(reset.stood()));
        }
      }
      return after;
    }
  }

  /**
   * A change that the rollout had made otherwise and that was set back to the library's since.
   *
   * @param key as it is stored
   * @param stood what stood before
   */
  record Reset(LocalKey key, LocalChange stood, Question question) {}

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
                Rollout.WrittenStep record = written.get(path);
                boolean stands =
                    record != null && record.after().pieceId().equals(placement.pieceId());
                // Of a piece that another one was put in the place of since nothing is said here.
                Rollout.WrittenStep step = stands ? record : null;
                if (record != null && isExchange(record)) {
                  if (step != null) {
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
    int made = back.latestMadeOn();
    int from = made == 0 ? to : made;
    return new Step(
        site.siteId(),
        pageId,
        path,
        now,
        List.of(),
        Rebase.of(path, back, from, to, library, then));
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
      int number = site.adopted().shownBy(now);
      Translation there = Translation.of(library, now, number);
      for (LocalKey key : there.target().siteSlots()) {
        LocalKey slot = SiteFillings.key(key.node(), ((Aspect.Content) key.aspect()).field());
        for (Rollout.FilledStep step : since) {
          if (step.slot().equals(slot) && there.layer().at(key).isEmpty()) {
            LocalValue words = new LocalValue.ContentIs(filling(site, step));
            with = with.withChange(key, Optional.of(new LocalChange(words, number)));
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
    String piece = now.pieceId();
    Map<String, Integer> shownBefore = rollout.before(site.siteId());
    int from = now.pin().map(Pin::revision).orElse(rollout.after(site.siteId()).get(piece));
    Since since =
        written == null
            ? unwritten(now, shownBefore.get(piece))
            : since(now, written, from, shownBefore.getOrDefault(piece, from));
    int to = since.merged().pin().map(Pin::revision).orElse(shownBefore.get(piece));
    Adopted then = site.adopted().with(shownBefore).filled(filledBefore(site));
    Scope scope = scope(since, to);
    return new Step(
        site.siteId(),
        pageId,
        path,
        now,
        since.resets(),
        Rebase.of(path, since.merged(), from, to, library, then, scope));
  }

  /**
   * What was done since a rollout.
   *
   * @param merged what stood before, with what was done since laid on it
   * @param keys those of what was done since, as they are stored
   * @param after what stood right after the rollout
   * @param before what stood before it
   */
  private record Since(
      Placement merged,
      Set<LocalKey> keys,
      List<Reset> resets,
      Placement after,
      Placement before) {}

  /** What was not written stood before as it does now, but for what was made on later revisions. */
  private static Since unwritten(Placement now, int to) {
    Set<LocalKey> keys = new TreeSet<>();
    now.changes()
        .forEach(
            (key, change) -> {
              if (change.madeOn() > to) {
                keys.add(key);
              }
            });
    Placement none = Placement.of(now.pieceId());
    return new Since(now, keys, List.of(), none, none);
  }

  private Since since(Placement now, Rollout.WrittenStep written, int from, int to) {
    Placement after = written.after();
    Placement before = written.before();
    Translation is = Translation.of(library, now, from);
    Translation was = Translation.of(library, after, from);
    Translation stood = Translation.of(library, before, from);
    Translation then = Translation.of(library, before, to);
    KeptCopies copies =
        new KeptCopies(KeptCopies.seed(written.placementId(), to), then.target(), then.layer());
    Placement merged = before;
    Set<LocalKey> done = new TreeSet<>();
    List<Reset> resets = new ArrayList<>();
    Set<LocalKey> keys = new TreeSet<>(is.layer().changes().keySet());
    keys.addAll(was.layer().changes().keySet());
    for (LocalKey key : keys) {
      Optional<LocalValue> n = is.layer().at(key);
      Optional<LocalValue> a = was.layer().at(key);
      if (n.equals(a)) {
        continue;
      }
      if (a.isPresent() && stood.layer().at(key).isEmpty() && copies.isCopy(key)) {
        copies.became(a.get(), n);
        continue;
      }
      Optional<LocalKey> had = stood.stored(key);
      if (n.isPresent()) {
        if (had.isPresent()) {
          merged = merged.withChange(had.get(), Optional.empty());
        }
        LocalKey at = is.stored(key).orElseThrow();
        merged = merged.withChange(at, Optional.ofNullable(now.changes().get(at)));
        done.add(at);
      } else if (had.isPresent()) {
        merged = merged.withChange(had.get(), Optional.empty());
        if (!stood.layer().at(key).equals(a)) {
          LocalChange change = before.changes().get(had.get());
          resets.add(new Reset(had.get(), change, reset(key, a, change.value())));
        }
      }
    }
    merged = withOrders(merged, now, is, was, stood);
    merged = inOriginals(merged, copies, to);
    Optional<Pin> pin = now.pin().equals(after.pin()) ? before.pin() : now.pin();
    return new Since(merged.withPin(pin), done, resets, after, before);
  }

  /** What was done in copies since is said of what they are copies of, which comes back. */
  private static Placement inOriginals(Placement merged, KeptCopies copies, int to) {
    Placement with = merged;
    for (Map.Entry<LocalKey, LocalValue> each : copies.said().entrySet()) {
      with = with.withChange(each.getKey(), Optional.of(new LocalChange(each.getValue(), to)));
    }
    for (Map.Entry<NodeId, List<NodeId>> each : copies.order().entrySet()) {
      with = with.withOrder(each.getKey(), Optional.of(new LocalOrder(each.getValue(), to)));
    }
    return with.mapped(
        (key, value) ->
            Optional.of(
                value instanceof LocalValue.PlacedUnder placed
                    ? new LocalValue.PlacedUnder(
                        copies.original(placed.parent()), placed.inserted())
                    : value));
  }

  private static Question reset(LocalKey key, Optional<LocalValue> after, LocalValue stood) {
    return new Question(
        "since " + key,
        Verdict.BOTH,
        key.node(),
        List.of(key),
        after,
        Optional.empty(),
        Optional.of(stood),
        Set.of(Settlement.STAY, Settlement.TAKE));
  }

  private static Placement withOrders(
      Placement before, Placement now, Translation is, Translation was, Translation stood) {
    Placement merged = before;
    Set<NodeId> parents = new TreeSet<>(is.layer().order().keySet());
    parents.addAll(was.layer().order().keySet());
    for (NodeId parent : parents) {
      List<NodeId> n = is.layer().order().getOrDefault(parent, List.of());
      if (!n.equals(was.layer().order().getOrDefault(parent, List.of()))) {
        Optional<NodeId> had = stood.storedOrder(parent);
        if (had.isPresent()) {
          merged = merged.withOrder(had.get(), Optional.empty());
        }
        Optional<NodeId> at = is.storedOrder(parent);
        if (at.isPresent()) {
          merged = merged.withOrder(at.get(), Optional.ofNullable(now.order().get(at.get())));
        }
      }
    }
    return merged;
  }

  private Scope scope(Since since, int to) {
    Translation there = Translation.of(library, since.merged(), to);
    Set<LocalKey> standing = new TreeSet<>(there.layer().changes().keySet());
    standing.removeIf(key -> there.stored(key).filter(since.keys()::contains).isPresent());
    return new Scope(
        standing,
        Translation.layer(library, since.after(), to),
        Translation.layer(library, since.before(), to));
  }
}
