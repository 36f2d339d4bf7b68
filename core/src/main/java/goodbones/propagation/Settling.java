package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Items;
import goodbones.library.Library;
import goodbones.library.Lifting;
import goodbones.library.Picks;
import goodbones.library.Placements;
import goodbones.library.RevisionIndex;
import goodbones.library.Showing;
import goodbones.library.Standing;
import goodbones.library.Translation;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;

/** Makes the placement that the verdicts and the decisions lead to. */
final class Settling {
  private final String seed;
  private final Placement placement;
  private final Translation translation;
  private final Layer said;
  private final int to;
  private final Library library;
  private final Showing outside;
  private final Function<LocalKey, View> made;
  private final RevisionIndex last;
  private final Predicate<NodeId> isThere;
  private final Function<LocalKey, NodeId> topmostGone;
  private final Function<LocalKey, RevisionIndex> without;
  private final Scope scope;

  /** What is inserted here already. */
  private final Set<NodeId> inserted = new HashSet<>();

  /** The parents whose order one of the answers has written. */
  private final Set<NodeId> ordered = new HashSet<>();

  private final SortedMap<LocalKey, Verdict> verdicts;
  private final List<Question> questions;
  private final SortedMap<LocalKey, LocalValue> written;

  /**
   * @param seed what makes the ids of nodes that are kept unique to this placement and step
   * @param placement as it is stored
   * @param translation of it to the revision that is to be shown
   */
  Settling(
      String seed,
      Placement placement,
      Translation translation,
      int to,
      Library library,
      Showing outside,
      Function<LocalKey, View> made,
      RevisionIndex last,
      Predicate<NodeId> isThere,
      Function<LocalKey, NodeId> topmostGone,
      Function<LocalKey, RevisionIndex> without,
      Scope scope,
      SortedMap<LocalKey, Verdict> verdicts,
      List<Question> questions,
      SortedMap<LocalKey, LocalValue> written) {
    this.seed = seed;
    this.placement = placement;
    this.translation = translation;
    this.said = translation.layer();
    this.to = to;
    this.library = library;
    this.outside = outside;
    this.made = made;
    this.last = last;
    this.isThere = isThere;
    this.topmostGone = topmostGone;
    this.without = without;
    this.scope = scope;
    this.verdicts = verdicts;
    this.questions = questions;
    this.written = written;
    for (LocalValue value : said.changes().values()) {
      if (value instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(tree -> tree.walk(node -> inserted.add(node.id())));
      }
    }
  }

  /**
   * Every question must be settled. What stands is stored as it was; what is answered is made on
   * the revision that it was asked about.
   */
  Placement settle(Map<String, Settlement> decisions) {
    SortedMap<LocalKey, LocalValue> changes = new TreeMap<>(said.changes());
    changes.keySet().removeIf(key -> verdicts.get(key) == Verdict.ABSORBED);
    changes.putAll(written);
    SortedMap<NodeId, List<NodeId>> order = new TreeMap<>(said.order());
    Set<LocalKey> answered = new HashSet<>();
    ordered.clear();
    for (Question question : questions) {
      boolean take = decisions.get(question.id()) == Settlement.TAKE;
      if (take && !Rebase.keeps(question)) {
        question.keys().forEach(key -> take(key, changes));
      } else if (!take && question.verdict() == Verdict.GONE) {
        keepAsOwn(question, changes, order);
      } else {
        answered.addAll(question.keys());
      }
    }
    // Several answers together can make a loop that none of them makes alone.
    SortedMap<LocalKey, LocalValue> settled =
        LoopBreaking.of(last, changes, made.apply(firstKey()).standing());
    return translation
        .storing(placement, new Layer(settled, order), answered)
        .withPin(Optional.empty());
  }

  /** The same, naming the revision. */
  Placement bound(Map<String, Settlement> decisions) {
    return settle(decisions).withBound(to);
  }

  private LocalKey firstKey() {
    return questions.stream()
        .flatMap(question -> question.keys().stream())
        .findFirst()
        .or(() -> said.changes().keySet().stream().findFirst())
        .orElseGet(() -> new LocalKey(last.root().id(), Aspect.REMOVED));
  }

  /** The library's; where something is taken back, what stood before it. */
  private void take(LocalKey key, Map<LocalKey, LocalValue> changes) {
    scope.before(key).ifPresentOrElse(value -> changes.put(key, value), () -> changes.remove(key));
  }

  /** Where it stood in several items, it becomes each item's own. */
  private void keepAsOwn(
      Question question, SortedMap<LocalKey, LocalValue> changes, Map<NodeId, List<NodeId>> order) {
    Map<NodeId, List<LocalKey>> tops = new TreeMap<>();
    View then = made.apply(question.keys().get(0));
    for (LocalKey key : question.keys()) {
      if (changes.get(key) instanceof LocalValue.ItemsAre items && last.has(key.node())) {
        // It is there and no list any more: what was added to it stays in it.
        then.shown(key.node()).stream()
            .flatMap(list -> list.children().stream())
            .filter(item -> items.own().contains(item.id().own()))
            .forEach(item -> tops.computeIfAbsent(item.id(), top -> new ArrayList<>()));
        asListed(key, then, changes, order);
        changes.remove(key);
      } else {
        tops.computeIfAbsent(topmostGone.apply(key), top -> new ArrayList<>()).add(key);
      }
    }
    tops.forEach(
        (top, keys) -> {
          boolean item =
              then.revision().node(top).map(node -> node.kind() == Kind.ITEM).orElse(false);
          Optional<NodeId> list =
              then.standing()
                  .parent(top)
                  .filter(id -> item && last.node(id).map(Node::isList).orElse(false));
          if (list.isEmpty() || !itemAsOwn(list.get(), top, then, keys, changes, order)) {
            keepAsOwn(top, then, keys, changes, order);
          }
        });
  }

  /**
   * What came of the items of a list stands in their order, and what was left out is removed, also
   * what the library had moved elsewhere out of an item.
   */
  private void asListed(
      LocalKey items,
      View then,
      SortedMap<LocalKey, LocalValue> changes,
      Map<NodeId, List<NodeId>> order) {
    RevisionIndex all = without.apply(items);
    all.root()
        .walk(
            node -> {
              boolean leftOut = last.has(node.id()) && !then.revision().has(node.id());
              if (leftOut && all.parent(node.id()).filter(then.revision()::has).isPresent()) {
                changes.put(new LocalKey(node.id(), Aspect.REMOVED), new LocalValue.IsRemoved());
              }
            });
    List<NodeId> shown = children(then.shown(items.node()));
    List<NodeId> there = children(last.node(items.node()));
    List<NodeId> wanted = shown.stream().filter(there::contains).toList();
    if (!there.stream().filter(wanted::contains).toList().equals(wanted)) {
      for (NodeId child : wanted) {
        changes.put(
            new LocalKey(child, Aspect.PLACED),
            new LocalValue.PlacedUnder(items.node(), Optional.empty()));
      }
      order.put(items.node(), shown);
      ordered.add(items.node());
    }
  }

  private static List<NodeId> children(Optional<Node> parent) {
    return parent.stream().flatMap(node -> node.children().stream()).map(Node::id).toList();
  }

  /** An item that the library dropped becomes one of the placement's own, if it can be made. */
  private boolean itemAsOwn(
      NodeId list,
      NodeId item,
      View then,
      List<LocalKey> keys,
      SortedMap<LocalKey, LocalValue> changes,
      Map<NodeId, List<NodeId>> order) {
    Optional<Node> shown = then.shown(item);
    NodeId path = item.beside(fresh(item));
    LocalKey items = new LocalKey(list, Aspect.ITEMS);
    Optional<Placement> alike =
        shown.flatMap(
            member ->
                Items.like(
                    library,
                    placement.pieceId(),
                    to,
                    Picks.of(changes),
                    list,
                    path,
                    member,
                    lifting(then)));
    if (alike.isPresent()) {
      Placement like = alike.get();
      keys.forEach(changes::remove);
      Layer there = like.within(path).layer();
      changes.putAll(there.changes());
      changes.putAll(Items.content(shown.get(), path));
      order.putAll(there.order());
      LocalValue.ItemsAre now =
          changes.get(items) instanceof LocalValue.ItemsAre written
              ? written
              : LocalValue.ItemsAre.of(last.node(list).orElseThrow());
      List<NodeId> ids = new ArrayList<>(now.ids());
      int at = ids.indexOf(item.own());
      if (at >= 0) {
        ids.set(at, path.own());
      } else {
        ids.add(path.own());
      }
      Set<NodeId> own = new HashSet<>(now.own());
      own.add(path.own());
      changes.put(items, new LocalValue.ItemsAre(ids, own));
    }
    return alike.isPresent();
  }

  private Lifting lifting(View then) {
    return new Lifting(
        library, outside, this::fresh, around(), Optional.empty(), id -> !then.revision().has(id));
  }

  private Map<LocalKey, LocalChange> around() {
    return placement.saying(said, to).changes();
  }

  /**
   * The removed subtree, as it was shown, becomes the placement's own under its nearest ancestor
   * that is still there; its local changes are part of it from then on. Nodes that the library
   * moved elsewhere are left out of it.
   */
  private void keepAsOwn(
      NodeId top,
      View then,
      List<LocalKey> keys,
      SortedMap<LocalKey, LocalValue> changes,
      Map<NodeId, List<NodeId>> order) {
    Optional<Node> shown = then.shown(top).map(node -> ofItsItems(node, then));
    Set<NodeId> copied = new HashSet<>();
    Optional<Node> left =
        shown
            .map(node -> withoutSurvivors(node, copied, false))
            .filter(node -> !node.kind().isMember() || !node.children().isEmpty());
    if (left.isPresent()) {
      Node lifted = Placements.mapped(lifting(then).lifted(left.get()), this::staying);
      Node copy = standing(lifted, top, then.standing());
      NodeId home = survivor(copy, top, then.standing()).orElseGet(() -> last.root().id());
      changes.put(
          new LocalKey(copy.id(), Aspect.PLACED),
          new LocalValue.PlacedUnder(home, Optional.of(copy)));
      List<NodeId> stood = order.getOrDefault(home, List.of());
      order.put(
          home,
          orderWithCopy(
              stood.contains(top) && ordered.contains(home) ? stood : children(then.shown(home)),
              top,
              copy.id()));
      ordered.add(home);
    }
    for (LocalKey key : keys) {
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

  /** With what it shows of the pages that the items around it name. */
  private static Node ofItsItems(Node node, View then) {
    Node shown = node;
    for (NodeId around : then.standing().upwards(node.id())) {
      Optional<String> page =
          around.equals(node.id()) ? Optional.empty() : then.shown(around).flatMap(PageShown::of);
      if (page.isPresent()) {
        shown = PageShown.showing(shown, page.get());
      }
    }
    return shown;
  }

  /** What the page itself has put in there asks by itself where it cannot follow by itself. */
  private Placement staying(NodeId path, Placement own) {
    int from = own.latestMadeOn();
    if (own.pin().isPresent() || from == 0) {
      return own;
    }
    int there = outside.shownBy(own);
    boolean follows =
        there == from || Rebase.of(path, own, from, there, library, outside).questions().isEmpty();
    return follows ? own : own.withPin(Optional.of(new Pin(from, Pin.Reason.WAITING)));
  }

  /** A column that no row can hold any more has a row of its own. */
  private Node standing(Node copy, NodeId gone, Standing stood) {
    boolean alone = copy.standsAs() == Kind.COLUMN && survivor(copy, gone, stood).isEmpty();
    return alone
        ? Node.of(fresh(NodeId.of("row").within(gone)), Kind.ROW, "").withChildren(List.of(copy))
        : copy;
  }

  /** The nearest of what it stood in that is still there and can hold it. */
  private Optional<NodeId> survivor(Node copy, NodeId gone, Standing stood) {
    return stood.upwards(gone).stream()
        .skip(1)
        .filter(at -> isThere.test(at) && !isMember(at))
        .filter(
            at ->
                last.node(at)
                    .or(() -> stood.node(at))
                    .filter(node -> Catalogue.mayHold(node.kind(), standsAs(copy)))
                    .isPresent())
        .findFirst();
  }

  /** As what a placement stands is said by the piece that it places. */
  private Kind standsAs(Node copy) {
    if (copy.kind() != Kind.PLACEMENT || copy.placement().isEmpty()) {
      return copy.standsAs();
    }
    Placement placed = copy.placement().get();
    return library.expanded(placed.pieceId(), placed.bound()).root().standsAs();
  }

  private boolean isMember(NodeId id) {
    return last.node(id).map(node -> node.kind().isMember() || node.isList()).orElse(false);
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
    return said.changes().containsKey(new LocalKey(id, Aspect.PLACED));
  }

  private static Node whole(Node node, Set<NodeId> copied) {
    node.walk(each -> copied.add(each.id()));
    return node;
  }

  private static List<NodeId> orderWithCopy(List<NodeId> stood, NodeId original, NodeId copy) {
    List<NodeId> ids = new ArrayList<>(stood);
    int at = ids.indexOf(original);
    if (at >= 0) {
      ids.set(at, copy);
    } else {
      ids.add(copy);
    }
    return ids;
  }

  /** Never the id of a copy that is there already: that may have been edited. */
  private NodeId fresh(NodeId id) {
    NodeId copy = KeptCopies.id(seed, id);
    for (int again = 1; inserted.contains(copy); again++) {
      copy = KeptCopies.id(seed + "\n" + again, id);
    }
    return copy;
  }
}
