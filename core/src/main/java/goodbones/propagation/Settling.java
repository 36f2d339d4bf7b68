package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Lifting;
import goodbones.library.RevisionIndex;
import goodbones.library.Showing;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;

/** Makes the placement that the verdicts and the decisions lead to. */
final class Settling {
  /** Stands for what was made on the revision that the placement is settled on. */
  private static final LocalKey ANY = new LocalKey(NodeId.of("any"), Aspect.PLACED);

  private final String seed;
  private final Placement placement;
  private final int to;
  private final int from;
  private final Library library;
  private final Showing outside;
  private final Function<LocalKey, Before> before;
  private final RevisionIndex last;
  private final Predicate<NodeId> isThere;
  private final SortedMap<LocalKey, Verdict> verdicts;
  private final List<Question> questions;
  private final SortedMap<LocalKey, LocalValue> written;

  /**
   * @param seed what makes the ids of nodes that are kept unique to this placement and step
   */
  Settling(
      String seed,
      Placement placement,
      int to,
      int from,
      Library library,
      Showing outside,
      Function<LocalKey, Before> before,
      RevisionIndex last,
      Predicate<NodeId> isThere,
      SortedMap<LocalKey, Verdict> verdicts,
      List<Question> questions,
      SortedMap<LocalKey, LocalValue> written) {
    this.seed = seed;
    this.placement = placement;
    this.to = to;
    this.from = from;
    this.library = library;
    this.outside = outside;
    this.before = before;
    this.last = last;
    this.isThere = isThere;
    this.verdicts = verdicts;
    this.questions = questions;
    this.written = written;
  }

  Settling restrictedTo(SortedMap<LocalKey, Verdict> fewerVerdicts, List<Question> fewerQuestions) {
    return new Settling(
        seed,
        placement,
        to,
        from,
        library,
        outside,
        before,
        last,
        isThere,
        fewerVerdicts,
        fewerQuestions,
        new TreeMap<>());
  }

  /** Every question must be settled. */
  Placement settle(Map<String, Settlement> decisions) {
    SortedMap<LocalKey, LocalValue> changes = new TreeMap<>(placement.changes());
    changes.keySet().removeIf(key -> verdicts.get(key) == Verdict.ABSORBED);
    changes.putAll(written);
    Map<NodeId, List<NodeId>> order = new TreeMap<>(placement.order());
    for (Question question : questions) {
      boolean take = decisions.get(question.id()) == Settlement.TAKE;
      if (take) {
        question.keys().forEach(changes::remove);
      } else if (question.verdict() == Verdict.GONE) {
        keepAsOwn(question, changes, order);
      }
    }
    // Several answers together can make a loop that none of them makes alone.
    SortedMap<LocalKey, LocalValue> settled =
        LoopBreaking.of(last, placement.withChanges(changes), before.apply(ANY).parents());
    return placement
        .withChanges(settled)
        .withOrder(order)
        .withSettled(to)
        .withDormantSince(dormantSince(settled))
        .withPin(Optional.empty());
  }

  /** What stays dormant keeps the revision that it was made on. */
  private Map<LocalKey, Integer> dormantSince(SortedMap<LocalKey, LocalValue> changes) {
    Map<LocalKey, Integer> since = new TreeMap<>();
    for (LocalKey key : changes.keySet()) {
      int made = placement.dormantSince().getOrDefault(key, from);
      if (verdicts.get(key) == Verdict.DORMANT && made != to) {
        since.put(key, made);
      }
    }
    return since;
  }

  /**
   * The removed subtree, as it was shown, becomes the placement's own under its nearest ancestor
   * that is still there; its local changes are part of it from then on. Nodes that the library
   * moved elsewhere are left out of it.
   */
  private void keepAsOwn(
      Question question, SortedMap<LocalKey, LocalValue> changes, Map<NodeId, List<NodeId>> order) {
    NodeId top = question.node();
    Before then = before.apply(question.keys().get(0));
    NodeId home = survivor(top, then.parents());
    Optional<Node> shown = then.shown().find(top);
    Set<NodeId> copied = new HashSet<>();
    if (shown.isPresent()) {
      Node copy =
          new Lifting(
                  library,
                  outside,
                  this::fresh,
                  placement.changes(),
                  id -> !then.revision().has(id))
              .lifted(withoutSurvivors(shown.get(), copied, false));
      changes.put(
          new LocalKey(copy.id(), Aspect.PLACED),
          new LocalValue.PlacedUnder(home, Optional.of(copy)));
      order.put(home, orderWithCopy(then.shown(), home, top, copy.id()));
    }
    for (LocalKey key : question.keys()) {
      LocalValue value = changes.remove(key);
      if (value instanceof LocalValue.PlacedUnder placed && copied.contains(placed.parent())) {
        if (!copied.contains(key.node())) {
          changes.put(key, new LocalValue.PlacedUnder(fresh(placed.parent()), placed.inserted()));
        } else if (last.has(key.node())) {
          changes.put(new LocalKey(key.node(), Aspect.REMOVED), new LocalValue.IsRemoved());
        }
      }
    }
  }

  private NodeId survivor(NodeId gone, Map<NodeId, NodeId> parentsBefore) {
    Set<NodeId> climbed = new HashSet<>();
    NodeId at = parentsBefore.get(gone);
    while (at != null && climbed.add(at)) {
      if (isThere.test(at) && !isMember(at)) {
        return at;
      }
      at = parentsBefore.get(at);
    }
    return last.root().id();
  }

  private boolean isMember(NodeId id) {
    return last.node(id).map(node -> node.kind() == Kind.PLACEMENT).orElse(false);
  }

  /**
   * What the page itself put into a placement goes along with that: what stands in a placement can
   * only be the placement's own.
   */
  private Node withoutSurvivors(Node node, Set<NodeId> copied, boolean inMember) {
    copied.add(node.id());
    boolean inside = inMember || node.kind() == Kind.PLACEMENT;
    return node.withChildren(
        node.children().stream()
            .filter(child -> !last.has(child.id()) || inside && isPutThere(child.id()))
            .map(
                child ->
                    last.has(child.id())
                        ? whole(child, copied)
                        : withoutSurvivors(child, copied, inside))
            .toList());
  }

  private boolean isPutThere(NodeId id) {
    return placement.changes().containsKey(new LocalKey(id, Aspect.PLACED));
  }

  private static Node whole(Node node, Set<NodeId> copied) {
    node.walk(each -> copied.add(each.id()));
    return node;
  }

  private static List<NodeId> orderWithCopy(
      Node shownBefore, NodeId home, NodeId original, NodeId copy) {
    List<NodeId> ids = new ArrayList<>();
    shownBefore.find(home).ifPresent(node -> node.children().forEach(child -> ids.add(child.id())));
    int at = ids.indexOf(original);
    if (at >= 0) {
      ids.set(at, copy);
    } else {
      ids.add(copy);
    }
    return ids;
  }

  /** Ids are never reused, and the same settlement gives the same ids. */
  private NodeId fresh(NodeId id) {
    byte[] name = (seed + "\n" + id).getBytes(StandardCharsets.UTF_8);
    return NodeId.of(UUID.nameUUIDFromBytes(name).toString());
  }
}
