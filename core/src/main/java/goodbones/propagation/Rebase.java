package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Picks;
import goodbones.library.RevisionIndex;
import goodbones.library.Showing;
import goodbones.library.Standing;
import goodbones.library.Translation;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Shows a newer revision under the same local changes.
 *
 * <p>Every local change gets exactly one verdict; the first of these that matches decides:
 *
 * <ol>
 *   <li>dormant: it was not seen before and is not seen after, or it is a removal of something that
 *       the library removed too
 *   <li>gone: its node, or its move's or insert's target, is no longer there
 *   <li>absorbed: some revision on the way says the same, and the key is not a slot
 *   <li>stands: the library did not touch the key, or the key is a slot
 *   <li>both: the library changed the key to another value, or fixed a slot that is filled
 * </ol>
 *
 * Then, among those that stand, shape: they make a loop of parents, break the catalogue, or the
 * library brought a node into or out of something removed here. A change that stands is never
 * rewritten. The trees are expanded, so that a change may be aimed at any depth. Neither the
 * placement nor the revisions are modified.
 */
public final class Rebase {
  /** The id of the question about moves that make a loop of parents. */
  static final String LOOP = "loop";

  /** How the ids of questions begin about a variant that is gone. */
  private static final String VARIANT = "variant ";

  /** How the ids of questions begin about a part that the library switched off. */
  private static final String OFF = "off ";

  private final NodeId placementId;
  private final Placement stored;
  private final int shownNow;
  private final int to;
  private final Library library;
  private final Showing outside;
  private final Translation translation;

  /** What the placement says, as the revision that is to be shown has it. */
  private final Layer said;

  private final Scope scope;

  /** From the revision that is shown until now. */
  private final Way way;

  private final View before;
  private final RevisionIndex last;
  private final Map<Integer, Way> ways = new HashMap<>();
  private final Set<NodeId> inserted = new HashSet<>();
  private final Map<Integer, View> views = new HashMap<>();
  private final View after;
  private final Slots slots;
  private final Forks forks;
  private final SortedMap<LocalKey, Verdict> verdicts = new TreeMap<>();
  private final Map<String, Question> questions = new LinkedHashMap<>();
  private final Map<String, Map<Settlement, Alternative>> alternatives = new LinkedHashMap<>();
  private final SortedSet<LocalKey> variantsGone = new TreeSet<>();
  private final SortedMap<LocalKey, NodeId> switchedOff = new TreeMap<>();
  private final SortedMap<LocalKey, LocalKey> leftOut = new TreeMap<>();

  private Rebase(
      NodeId placementId,
      Placement placement,
      int shownNow,
      int to,
      Library library,
      Showing outside,
      Scope scope) {
    this.placementId = placementId;
    this.stored = placement;
    this.shownNow = shownNow;
    this.to = to;
    this.library = library;
    this.outside = outside;
    this.scope = scope;
    this.translation = Translation.of(library, placement, to);
    this.said = translation.layer();
    this.last = translation.target();
    for (LocalValue value : said.changes().values()) {
      if (value instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(tree -> tree.walk(node -> inserted.add(node.id())));
      }
    }
    this.way = wayFrom(shownNow);
    this.before = viewFrom(shownNow);
    this.after = new View(last, said);
    this.slots = new Slots(way, outside.fillings());
    this.forks =
        new Forks(
            stored,
            shownNow,
            library,
            translation,
            other -> new Rebase(placementId, other, shownNow, to, library, outside, scope).run());
  }

  /**
   * Rebases a placement from the revision that is shown now. Where that is the one that is to be
   * shown too, every change is taken as one that an edit brings into sight.
   *
   * @param shownNow the revision that is shown now, on which it waits if there is a question left
   * @param to the revision that is to be shown
   * @param outside which revisions placements show where this one stands
   */
  public static Rebased of(
      NodeId placementId,
      Placement placement,
      int shownNow,
      int to,
      Library library,
      Showing outside) {
    return of(placementId, placement, shownNow, to, library, outside, Scope.ALL);
  }

  /**
   * Rebases some of a placement's changes.
   *
   * @param scope which, and what they are compared with
   */
  static Rebased of(
      NodeId placementId,
      Placement placement,
      int shownNow,
      int to,
      Library library,
      Showing outside,
      Scope scope) {
    return new Rebase(placementId, placement, shownNow, to, library, outside, scope).run();
  }

  private Way wayFrom(int from) {
    return ways.computeIfAbsent(
        from,
        f -> {
          Picks there = Translation.picks(library, stored.pieceId(), translation.picks(), to, f);
          return Way.between(library, stored.pieceId(), f, to, there);
        });
  }

  private View viewFrom(int from) {
    return views.computeIfAbsent(from, f -> new View(wayFrom(f).first(), said));
  }

  private int madeOn(LocalKey key) {
    int made =
        translation
            .stored(key)
            .map(at -> stored.changes().get(at))
            .map(LocalChange::madeOn)
            .orElse(0);
    return made == 0 ? shownNow : made;
  }

  /**
   * The revision from which a change is compared: its own. Going forward, what is seen was settled
   * on the one that is shown, so that this serves as well.
   */
  private int from(LocalKey key) {
    return shownNow < to && before.sees(key) ? shownNow : madeOn(key);
  }

  /** What was shown where a change was made. */
  private View made(LocalKey key) {
    return viewFrom(from(key));
  }

  /** The way of one change. */
  private Way way(LocalKey key) {
    return wayFrom(from(key));
  }

  private boolean seenBefore(LocalKey key) {
    return shownNow == to ? made(key).sees(key) : before.sees(key);
  }

  private Rebased run() {
    said.changes().forEach((key, value) -> verdicts.put(key, judged(key, value)));
    findLeftOut();
    new Shapes(said, last, this::made, after, verdicts, this::hides, this::shape)
        .find()
        .forEach((id, hidden) -> alternatives.put(id, forks.withoutHiding(hidden)));
    if (!variantsGone.isEmpty()) {
      List.copyOf(verdicts.keySet()).forEach(this::foldIntoVariant);
    }
    verdicts.forEach(this::ask);
    fork();
    SortedMap<LocalKey, LocalValue> written = shownNow < to ? slots.written(said) : new TreeMap<>();
    List<Question> asked = List.copyOf(questions.values());
    Settling settling =
        new Settling(
            KeptCopies.seed(placementId, shownNow),
            stored,
            translation,
            to,
            library,
            outside,
            this::made,
            last,
            this::isThere,
            key -> topmostGone(key, said.at(key)),
            key -> way(key).without(key).first(),
            scope,
            verdicts,
            asked,
            written);
    return new Rebased(
        stored, said, seen(), shownNow, verdicts, written, asked, alternatives, settling);
  }

  private Set<LocalKey> seen() {
    Set<LocalKey> seen = new TreeSet<>(said.changes().keySet());
    seen.removeIf(key -> !after.sees(key));
    return seen;
  }

  /** What is out of scope stands as it is. */
  private Verdict judged(LocalKey key, LocalValue value) {
    return scope.judges(key) ? verdict(key, value) : Verdict.STANDS;
  }

  private Verdict verdict(LocalKey key, LocalValue value) {
    boolean ours = inserted.contains(key.node());
    if (hides(key) && !ours && !last.has(key.node())) {
      return Verdict.DORMANT;
    }
    View made = made(key);
    boolean seenBefore = seenBefore(key);
    boolean seenAfter = after.sees(key);
    if (!seenBefore && !seenAfter) {
      return Verdict.DORMANT;
    }
    if (!ours && !last.has(key.node())) {
      return Verdict.GONE;
    }
    if (value instanceof LocalValue.PlacedUnder placed && !isThere(placed.parent())) {
      boolean neverWas =
          !made.revision().has(placed.parent()) && !inserted.contains(placed.parent());
      return neverWas ? Verdict.DORMANT : Verdict.GONE;
    }
    if (seenBefore && !seenAfter) {
      Optional<NodeId> off = after.switchedOff(key.node());
      if (off.isPresent()) {
        switchedOff.put(key, off.get());
        return Verdict.GONE;
      }
    }
    if (ours) {
      return Verdict.STANDS;
    }
    if (value instanceof LocalValue.SwitchedIs) {
      return Verdict.STANDS;
    }
    if (value instanceof LocalValue.ItemsAre) {
      boolean list = last.node(key.node()).map(Node::isList).orElse(false);
      return list ? Verdict.STANDS : Verdict.GONE;
    }
    if (value instanceof LocalValue.VariantIs is && !isKnown(is, last, key.node())) {
      if (!isKnown(is, made.revision(), key.node())) {
        return Verdict.DORMANT;
      }
      variantsGone.add(key);
      return Verdict.GONE;
    }
    Way way = way(key);
    RevisionIndex revision = made.revision();
    if (last.isSiteSlot(key)) {
      return slots.forSite(key, value, revision);
    }
    if (last.isSlot(key)) {
      return scope.changed(key) && !scope.before(key).equals(Optional.of(value))
          ? Verdict.BOTH
          : Verdict.STANDS;
    }
    if (isForward(key) && librarySaysTheSame(way, key, value)) {
      return Verdict.ABSORBED;
    }
    if (!revision.has(key.node())) {
      return Verdict.STANDS;
    }
    Optional<LocalValue> now = scope.before(key).or(() -> way.lastValue(key));
    Optional<LocalValue> then = scope.after(key).or(() -> way.firstValue(key));
    boolean fixedNow = revision.isSlot(key) || revision.isSiteSlot(key);
    return now.equals(Optional.of(value)) || !fixedNow && then.equals(now)
        ? Verdict.STANDS
        : Verdict.BOTH;
  }

  /** What is said of items that are left out of a list goes where the list goes. */
  private void findLeftOut() {
    verdicts.forEach(
        (list, verdict) -> {
          if (verdict == Verdict.GONE && list.aspect() instanceof Aspect.Items) {
            Set<NodeId> items = new TreeSet<>();
            way(list)
                .firstValue(list)
                .ifPresent(value -> items.addAll(((LocalValue.ItemsAre) value).ids()));
            for (NodeId item : items) {
              verdicts.keySet().stream()
                  .filter(key -> verdicts.get(key) == Verdict.DORMANT)
                  .filter(key -> key.node().isOrIsIn(list.node().beside(item)))
                  .forEach(key -> leftOut.put(key, list));
            }
          }
        });
    leftOut.keySet().forEach(key -> verdicts.put(key, Verdict.GONE));
  }

  /** Towards an earlier revision nothing becomes needless. */
  private boolean isForward(LocalKey key) {
    return from(key) < to;
  }

  private static boolean isKnown(LocalValue.VariantIs is, RevisionIndex revision, NodeId root) {
    return is.variant().isEmpty()
        || revision.node(root).flatMap(n -> n.options().named(is.variant().get())).isPresent();
  }

  /** Whether a change takes its node out of sight. */
  private boolean hides(LocalKey key) {
    return key.aspect() instanceof Aspect.Removed
        || said.changes().get(key) instanceof LocalValue.SwitchedIs is && !is.on();
  }

  /** A node that the library still has, or a local insert's that still has a place to stand. */
  private boolean isThere(NodeId id) {
    Set<NodeId> climbed = new HashSet<>();
    NodeId at = id;
    while (at != null && !last.has(at) && inserted.contains(at) && climbed.add(at)) {
      at = before.standing().parent(at).orElse(null);
    }
    return at != null && last.has(at);
  }

  private static boolean librarySaysTheSame(Way way, LocalKey key, LocalValue value) {
    // A reorder names the parent that the node already has: that is no news from the library.
    boolean reorder =
        key.aspect() instanceof Aspect.Placed && way.firstValue(key).equals(Optional.of(value));
    // What an earlier revision lacked is no removal that the library made, if it is there now.
    boolean removal = key.aspect() instanceof Aspect.Removed;
    return !reorder && !removal && way.says(key, value);
  }

  /** Whether the answers to a question lead to different views. */
  static boolean isFork(Question question) {
    return question.id().startsWith(VARIANT) || question.id().startsWith(OFF);
  }

  /** Whether what it is about is kept out of sight where the library's is taken. */
  static boolean keeps(Question question) {
    return question.id().startsWith(OFF);
  }

  /** The answers to some questions change what is seen, and so what else there is to ask. */
  private void fork() {
    for (LocalKey variant : variantsGone) {
      alternatives.put(VARIANT + variant.node(), forks.variantGone(variant));
    }
    for (NodeId part : new TreeSet<>(switchedOff.values())) {
      alternatives.put(OFF + part, forks.switchedOff(part, to));
    }
  }

  private Optional<LocalKey> variantGoneAround(LocalKey key) {
    return variantsGone.stream()
        .filter(gone -> !gone.node().isInside() || key.node().isIn(gone.node().around()))
        .findFirst();
  }

  private void foldIntoVariant(LocalKey key) {
    boolean alsoOfOthers =
        questions.values().stream()
            .filter(question -> question.keys().contains(key))
            .flatMap(question -> question.keys().stream())
            .anyMatch(other -> variantGoneAround(other).isEmpty());
    if (verdicts.get(key).asks() && variantGoneAround(key).isPresent() && !alsoOfOthers) {
      verdicts.put(key, Verdict.GONE);
      questions.values().removeIf(question -> question.keys().contains(key));
    }
  }

  private void shape(Collection<LocalKey> keys, String id, Set<Settlement> choices) {
    if (keys.stream().noneMatch(scope::judges)) {
      return;
    }
    List<LocalKey> list = List.copyOf(keys);
    list.forEach(key -> verdicts.put(key, Verdict.SHAPE));
    questions.put(
        id,
        new Question(
            id,
            Verdict.SHAPE,
            list.get(0).node(),
            list,
            made(list.get(0)).revision().value(list.get(0)),
            Optional.ofNullable(said.changes().get(list.get(0))),
            last.value(list.get(0)),
            choices));
  }

  private void ask(LocalKey key, Verdict verdict) {
    Optional<LocalValue> page = said.at(key);
    Set<Settlement> either = Set.of(Settlement.STAY, Settlement.TAKE);
    if (verdict == Verdict.BOTH) {
      String id = key.toString();
      questions.put(
          id,
          new Question(
              id,
              verdict,
              key.node(),
              List.of(key),
              way(key).firstValue(key),
              page,
              scope
                  .before(key)
                  .or(() -> last.isSiteSlot(key) ? slots.shown(key) : way(key).lastValue(key)),
              either));
    } else if (verdict == Verdict.GONE) {
      Optional<LocalKey> variant = variantGoneAround(key);
      Optional<NodeId> off = Optional.ofNullable(switchedOff.get(key));
      NodeId top =
          variant
              .map(LocalKey::node)
              .or(() -> off)
              .orElseGet(() -> topmostGone(leftOut.getOrDefault(key, key), page));
      String id =
          (variant.isPresent() ? VARIANT : off.isPresent() ? OFF : "gone ")
              + (variant.isPresent() || off.isPresent() ? top : likeOthers(top, made(key)));
      List<LocalKey> keys =
          new ArrayList<>(
              Optional.ofNullable(questions.get(id)).map(Question::keys).orElse(List.of()));
      keys.add(key);
      questions.put(
          id,
          new Question(
              id,
              verdict,
              top,
              keys,
              keys.size() == 1 ? way(key).firstValue(key) : Optional.empty(),
              keys.size() == 1 ? page : Optional.empty(),
              Optional.empty(),
              either));
    }
  }

  /** One removed subtree, as it was shown, is one question: its outermost node. */
  private NodeId topmostGone(LocalKey key, Optional<LocalValue> value) {
    NodeId gone = key.node();
    if (isThere(gone) && value.orElseThrow() instanceof LocalValue.PlacedUnder placed) {
      gone = placed.parent();
    }
    Set<NodeId> climbed = new HashSet<>();
    Standing stood = made(key).standing();
    Optional<NodeId> parent = stood.parent(gone);
    while (parent.isPresent() && climbed.add(gone) && !isThere(parent.get())) {
      gone = parent.get();
      parent = stood.parent(gone);
    }
    return gone;
  }

  /**
   * A node of a pattern that is gone from several items is one question: not told apart by item.
   */
  private static NodeId likeOthers(NodeId top, View made) {
    String[] path = top.value().split("/");
    StringBuilder around = new StringBuilder();
    List<String> kept = new ArrayList<>();
    for (int i = 0; i < path.length; i++) {
      around.append(i == 0 ? "" : "/").append(path[i]);
      boolean item =
          made.revision()
              .node(NodeId.of(around.toString()))
              .map(node -> node.kind() == Kind.ITEM)
              .orElse(false);
      if (!item || i == path.length - 1) {
        kept.add(path[i]);
      }
    }
    return NodeId.of(String.join("/", kept));
  }
}
