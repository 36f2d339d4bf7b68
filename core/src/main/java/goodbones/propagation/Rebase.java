package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Members;
import goodbones.library.Overlay;
import goodbones.library.RevisionIndex;
import goodbones.library.Showing;
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

  private final NodeId placementId;
  private final Placement stored;

  /** The same with its changes where their nodes stand in the newer revision. */
  private final Placement placement;

  private final int shownNow;
  private final int to;
  private final Library library;
  private final Showing outside;
  private final Before before;
  private final RevisionIndex last;
  private final Map<Integer, Way> ways = new HashMap<>();
  private final Set<NodeId> inserted = new HashSet<>();
  private final Map<Integer, Before> befores = new HashMap<>();
  private final Map<NodeId, NodeId> parentsAfter;
  private final SortedMap<LocalKey, Verdict> verdicts = new TreeMap<>();
  private final Map<String, Question> questions = new LinkedHashMap<>();
  private final Map<String, Rebased> alternatives = new LinkedHashMap<>();

  private Rebase(
      NodeId placementId,
      Placement placement,
      int shownNow,
      int to,
      Library library,
      Showing outside) {
    this.placementId = placementId;
    this.stored = placement;
    this.shownNow = shownNow;
    this.to = to;
    this.library = library;
    this.outside = outside;
    this.placement = way(settled()).relocated(placement);
    this.last = way(settled()).last();
    for (LocalValue value : this.placement.changes().values()) {
      if (value instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(tree -> tree.walk(node -> inserted.add(node.id())));
      }
    }
    this.before = before(settled());
    this.parentsAfter = Overlay.parents(last.root(), this.placement);
  }

  /**
   * Rebases a placement from the revision that it is settled on.
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
    return new Rebase(placementId, placement, shownNow, to, library, outside).run();
  }

  private int settled() {
    return stored.settled() == 0 ? shownNow : stored.settled();
  }

  private Before before(int from) {
    return befores.computeIfAbsent(from, f -> new Before(way(f).first(), placement));
  }

  /** What was shown where a change was made. */
  private Before before(LocalKey key) {
    return before(placement.dormantSince().getOrDefault(key, settled()));
  }

  private Way way(int from) {
    return ways.computeIfAbsent(from, f -> Way.between(library, stored.pieceId(), f, to));
  }

  /** The way of one change: from the revision that it was made on. */
  private Way way(LocalKey key) {
    return way(placement.dormantSince().getOrDefault(key, settled()));
  }

  private Rebased run() {
    placement.changes().forEach((key, value) -> verdicts.put(key, verdict(key, value)));
    checkLoops();
    checkRemovals();
    checkCatalogue();
    verdicts.forEach(this::ask);
    SortedMap<LocalKey, LocalValue> written = fillingsToWrite();
    List<Question> asked = List.copyOf(questions.values());
    Settling settling =
        new Settling(
            placementId + "\n" + settled(),
            placement,
            to,
            settled(),
            library,
            outside,
            this::before,
            last,
            this::isThere,
            verdicts,
            asked,
            written);
    return new Rebased(
        stored, placement, shownNow, verdicts, written, asked, alternatives, settling);
  }

  private Verdict verdict(LocalKey key, LocalValue value) {
    boolean ours = inserted.contains(key.node());
    if (key.aspect() instanceof Aspect.Removed && !ours && !last.has(key.node())) {
      return Verdict.DORMANT;
    }
    Before made = before(key);
    if (unseen(key, made.revision(), made.parents()) && unseen(key, last, parentsAfter)) {
      return Verdict.DORMANT;
    }
    if (!ours && !last.has(key.node())) {
      return Verdict.GONE;
    }
    if (value instanceof LocalValue.PlacedUnder placed && !isThere(placed.parent())) {
      return Verdict.GONE;
    }
    if (ours) {
      return Verdict.STANDS;
    }
    Way way = way(key);
    if (!last.isSlot(key) && librarySaysTheSame(way, key, value)) {
      return Verdict.ABSORBED;
    }
    RevisionIndex revision = made.revision();
    if (last.isSlot(key) || !revision.has(key.node())) {
      return Verdict.STANDS;
    }
    boolean fixedNow = revision.isSlot(key);
    return !fixedNow && revision.value(key).equals(last.value(key)) ? Verdict.STANDS : Verdict.BOTH;
  }

  /** A node that the library still has, or a local insert's that still has a place to stand. */
  private boolean isThere(NodeId id) {
    Set<NodeId> climbed = new HashSet<>();
    NodeId at = id;
    while (at != null && !last.has(at) && inserted.contains(at) && climbed.add(at)) {
      at = before.parents().get(at);
    }
    return at != null && last.has(at);
  }

  /** Says whether a change has no place in the shown tree: no node, or inside something removed. */
  private boolean unseen(LocalKey key, RevisionIndex revision, Map<NodeId, NodeId> parents) {
    boolean placedHere = inserted.contains(key.node()) && parents.containsKey(key.node());
    if (!revision.has(key.node()) && !placedHere) {
      return true;
    }
    Set<NodeId> climbed = new HashSet<>();
    NodeId at = key.aspect() instanceof Aspect.Removed ? parents.get(key.node()) : key.node();
    while (at != null && climbed.add(at)) {
      if (isRemovedHere(at)) {
        return true;
      }
      at = parents.get(at);
    }
    return false;
  }

  private boolean isRemovedHere(NodeId id) {
    return placement.changes().containsKey(new LocalKey(id, Aspect.REMOVED));
  }

  private static boolean librarySaysTheSame(Way way, LocalKey key, LocalValue value) {
    // A reorder names the parent that the node already has: that is no news from the library.
    boolean reorder =
        key.aspect() instanceof Aspect.Placed && way.first().value(key).equals(Optional.of(value));
    // What an earlier revision lacked is no removal that the library made, if it is there now.
    boolean removal = key.aspect() instanceof Aspect.Removed;
    return !reorder && !removal && way.says(key, value);
  }

  private void checkLoops() {
    SortedMap<LocalKey, LocalValue> standing = new TreeMap<>(placement.changes());
    standing
        .keySet()
        .removeIf(
            key -> verdicts.get(key) == Verdict.GONE || verdicts.get(key) == Verdict.ABSORBED);
    Set<NodeId> looping = Overlay.loops(last.root(), placement.withChanges(standing));
    List<LocalKey> keys =
        standing.keySet().stream()
            .filter(key -> key.aspect() instanceof Aspect.Placed && looping.contains(key.node()))
            .toList();
    Placement held = placement.withChanges(standing);
    boolean canStay =
        Overlay.loops(last.root(), held.withChanges(LoopBreaking.of(last, held, before.parents())))
            .isEmpty();
    shape(keys, LOOP, canStay ? Set.of(Settlement.STAY, Settlement.TAKE) : Set.of(Settlement.TAKE));
  }

  private void checkRemovals() {
    for (LocalKey key : List.copyOf(verdicts.keySet())) {
      if (key.aspect() instanceof Aspect.Removed && verdicts.get(key) == Verdict.STANDS) {
        Set<NodeId> inside = below(key.node(), before.revision(), before.parents());
        Set<NodeId> after = below(key.node(), last, parentsAfter);
        Set<NodeId> changed = new TreeSet<>(inside);
        changed.addAll(after);
        changed.removeIf(id -> inside.contains(id) == after.contains(id));
        if (changed.stream().anyMatch(id -> before.revision().has(id) && last.has(id))) {
          String id = "removed " + key.node();
          shape(List.of(key), id, Set.of(Settlement.STAY, Settlement.TAKE));
          alternatives.put(
              id, Rebase.of(placementId, withoutRemoval(key), shownNow, to, library, outside));
        }
      }
    }
  }

  /** The placement as it is stored, without one of its removals. */
  private Placement withoutRemoval(LocalKey removal) {
    SortedMap<LocalKey, LocalValue> others = new TreeMap<>(stored.changes());
    others
        .keySet()
        .removeIf(key -> way(settled()).relocated(only(key)).changes().containsKey(removal));
    return stored.withChanges(others);
  }

  private Placement only(LocalKey key) {
    return Placement.of(stored.pieceId())
        .withChange(key, Optional.ofNullable(stored.changes().get(key)));
  }

  private static Set<NodeId> below(
      NodeId top, RevisionIndex revision, Map<NodeId, NodeId> parents) {
    Set<NodeId> below = new HashSet<>();
    for (Node node : revision.nodes()) {
      Set<NodeId> climbed = new HashSet<>();
      NodeId at = parents.get(node.id());
      while (at != null && climbed.add(at)) {
        if (at.equals(top)) {
          below.add(node.id());
          break;
        }
        at = parents.get(at);
      }
    }
    return below;
  }

  private void checkCatalogue() {
    SortedMap<LocalKey, LocalValue> standing = new TreeMap<>(placement.changes());
    standing.keySet().removeIf(key -> verdicts.get(key) != Verdict.STANDS);
    Node shown = Overlay.show(last.root(), placement.withChanges(standing));
    Catalogue.faults(Members.withoutMembers(shown))
        .forEach(
            fault ->
                shape(
                    standing.entrySet().stream()
                        .filter(
                            e ->
                                e.getValue() instanceof LocalValue.PlacedUnder placed
                                    && (placed.parent().equals(fault.node())
                                        || e.getKey().node().equals(fault.node())))
                        .map(Map.Entry::getKey)
                        .toList(),
                    "full " + fault.node(),
                    Set.of(Settlement.TAKE)));
  }

  private void shape(Collection<LocalKey> keys, String id, Set<Settlement> choices) {
    if (keys.isEmpty()) {
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
            before(list.get(0)).revision().value(list.get(0)),
            Optional.ofNullable(placement.changes().get(list.get(0))),
            last.value(list.get(0)),
            choices));
  }

  private void ask(LocalKey key, Verdict verdict) {
    Optional<LocalValue> page = Optional.ofNullable(placement.changes().get(key));
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
              before(key).revision().value(key),
              page,
              last.value(key),
              either));
    } else if (verdict == Verdict.GONE) {
      NodeId top = topmostGone(key, page);
      String id = "gone " + top;
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
              keys.size() == 1 ? before(key).revision().value(key) : Optional.empty(),
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
    Map<NodeId, NodeId> parentsBefore = before(key).parents();
    NodeId parent = parentsBefore.get(gone);
    while (parent != null && climbed.add(gone) && !isThere(parent)) {
      gone = parent;
      parent = parentsBefore.get(gone);
    }
    return gone;
  }

  /** Where a fixed part became a slot, the words shown up to then become the filling. */
  private SortedMap<LocalKey, LocalValue> fillingsToWrite() {
    SortedMap<LocalKey, LocalValue> written = new TreeMap<>();
    for (Node node : last.nodes()) {
      for (String field : node.slots()) {
        LocalKey key = new LocalKey(node.id(), Aspect.content(field));
        if (!placement.changes().containsKey(key)) {
          way(settled())
              .fixedBefore(key)
              .flatMap(fixed -> fixed.value(key))
              .filter(value -> !value.equals(new LocalValue.ContentIs(Optional.empty())))
              .ifPresent(value -> written.put(key, value));
        }
      }
    }
    return written;
  }
}
