package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Members;
import goodbones.library.Overlay;
import goodbones.library.RevisionIndex;
import goodbones.library.Standing;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Finds what local changes and the library's make impossible together: loops of parents, nodes that
 * come into or out of something hidden here, and places that the catalogue does not allow.
 */
final class Shapes {
  /** Takes what is found, one cause after the other; a change found is looked at no more. */
  interface Found {
    void shape(Collection<LocalKey> keys, String id, Set<Settlement> choices);
  }

  private final Layer said;
  private final RevisionIndex last;
  private final Function<LocalKey, View> made;
  private final View after;
  private final SortedMap<LocalKey, Verdict> verdicts;
  private final Predicate<LocalKey> hides;
  private final Found found;
  private final Map<String, LocalKey> hidden = new LinkedHashMap<>();

  /**
   * @param made what was shown where a change was made
   * @param verdicts as they are; what is found changes them
   * @param hides whether a change takes its node out of sight
   */
  Shapes(
      Layer said,
      RevisionIndex last,
      Function<LocalKey, View> made,
      View after,
      SortedMap<LocalKey, Verdict> verdicts,
      Predicate<LocalKey> hides,
      Found found) {
    this.said = said;
    this.last = last;
    this.made = made;
    this.after = after;
    this.verdicts = verdicts;
    this.hides = hides;
    this.found = found;
  }

  /**
   * Looks for all of them.
   *
   * @return the questions about what is hidden here, with the changes that hide it
   */
  Map<String, LocalKey> find() {
    checkLoops();
    checkRemovals();
    checkCatalogue();
    return hidden;
  }

  private void checkLoops() {
    SortedMap<LocalKey, LocalValue> standing = withoutMovesThatGiveWay();
    Set<NodeId> looping =
        standing == said.changes()
            ? after.standing().loops()
            : new Standing(last, standing).loops();
    if (looping.isEmpty()) {
      return;
    }
    List<LocalKey> keys =
        standing.keySet().stream()
            .filter(key -> isPlaced(key) && looping.contains(key.node()))
            .toList();
    SortedMap<LocalKey, LocalValue> broken =
        LoopBreaking.of(last, standing, made.apply(keys.get(0)).standing());
    boolean canStay = new Standing(last, broken).loops().isEmpty();
    found.shape(
        keys,
        Rebase.LOOP,
        canStay ? Set.of(Settlement.STAY, Settlement.TAKE) : Set.of(Settlement.TAKE));
  }

  /** The changes themselves where every move holds. */
  private SortedMap<LocalKey, LocalValue> withoutMovesThatGiveWay() {
    for (Map.Entry<LocalKey, Verdict> each : verdicts.entrySet()) {
      if (givesWay(each.getValue()) && isPlaced(each.getKey())) {
        SortedMap<LocalKey, LocalValue> standing = new TreeMap<>(said.changes());
        standing.keySet().removeIf(key -> isPlaced(key) && givesWay(verdicts.get(key)));
        return standing;
      }
    }
    return said.changes();
  }

  private static boolean isPlaced(LocalKey key) {
    return key.aspect() instanceof Aspect.Placed;
  }

  private static boolean givesWay(Verdict verdict) {
    return verdict == Verdict.GONE || verdict == Verdict.ABSORBED;
  }

  private void checkRemovals() {
    for (LocalKey key : List.copyOf(verdicts.keySet())) {
      if (hides.test(key) && verdicts.get(key) == Verdict.STANDS) {
        View then = made.apply(key);
        Set<NodeId> inside = then.standing().below(key.node());
        Set<NodeId> now = after.standing().below(key.node());
        if (isOneMovedOut(then, inside, now) || isOneMovedOut(then, now, inside)) {
          String id = key.aspect() + " " + key.node();
          found.shape(List.of(key), id, Set.of(Settlement.STAY, Settlement.TAKE));
          hidden.put(id, key);
        }
      }
    }
  }

  private boolean isOneMovedOut(View then, Set<NodeId> from, Set<NodeId> to) {
    for (NodeId id : from) {
      if (!to.contains(id) && then.revision().has(id) && last.has(id)) {
        return true;
      }
    }
    return false;
  }

  /** Only where something was put can something be that must not be there. */
  private void checkCatalogue() {
    Set<NodeId> parents = new TreeSet<>();
    Map<NodeId, List<LocalKey>> moved = new HashMap<>();
    boolean allHold = true;
    for (Map.Entry<LocalKey, LocalValue> change : said.changes().entrySet()) {
      LocalKey key = change.getKey();
      Verdict verdict = verdicts.get(key);
      allHold &= verdict == Verdict.STANDS || verdict == Verdict.DORMANT || !isOfTree(key);
      if (verdict == Verdict.STANDS && change.getValue() instanceof LocalValue.PlacedUnder under) {
        parents.add(under.parent());
        moved.computeIfAbsent(under.parent(), n -> new ArrayList<>()).add(key);
        moved.computeIfAbsent(key.node(), n -> new ArrayList<>()).add(key);
      }
    }
    Function<NodeId, Optional<Node>> shown = allHold ? after::shown : standing()::shown;
    for (NodeId parent : parents) {
      shown
          .apply(parent)
          .map(Members::withoutMembers)
          .map(drawn -> Catalogue.faultsAt(drawn, moved.keySet()))
          .orElse(List.of())
          .forEach(
              fault ->
                  found.shape(
                      moved.getOrDefault(fault.node(), List.of()),
                      "full " + fault.node(),
                      Set.of(Settlement.TAKE)));
    }
  }

  private static boolean isOfTree(LocalKey key) {
    return isPlaced(key) || key.aspect() instanceof Aspect.Removed || key.aspect().isPick();
  }

  /** What would be shown with what stands, and nothing else. */
  private Overlay standing() {
    SortedMap<LocalKey, LocalValue> changes = new TreeMap<>(said.changes());
    changes.keySet().removeIf(key -> verdicts.get(key) != Verdict.STANDS);
    return new Overlay(last, said.withChanges(changes));
  }
}
