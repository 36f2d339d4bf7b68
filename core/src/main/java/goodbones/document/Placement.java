package goodbones.document;

import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;

/**
 * A use of a piece: which one, and what differs here.
 *
 * <p>A placement on a page that follows names no revision; its site's adopted revision decides. The
 * local changes are a map without order, each with the revision that it was made on, as which it is
 * addressed. For each parent with locally placed children, {@code order} lists the ids of its
 * children as seen here.
 *
 * @param bound the revision that a placement inside a piece shows. On a page it only says what was
 *     current where the placement was made, for a site that has adopted none of the piece yet; 0
 *     where nothing is known
 * @param left what stood here before another piece was put in, one for each piece and none with
 *     some left itself: for going back, and for words that have no place now
 */
public record Placement(
    String pieceId,
    int bound,
    Optional<Pin> pin,
    SortedMap<LocalKey, LocalChange> changes,
    SortedMap<NodeId, LocalOrder> order,
    List<Placement> left) {

  public Placement {
    Objects.requireNonNull(pieceId, "pieceId");
    Objects.requireNonNull(pin, "pin");
    changes = Sorted.map(changes);
    order = Sorted.map(order);
    left = left == null ? List.of() : List.copyOf(left);
  }

  public static Placement of(String pieceId) {
    return new Placement(
        pieceId,
        0,
        Optional.empty(),
        Collections.emptySortedMap(),
        Collections.emptySortedMap(),
        List.of());
  }

  /** A placement of a piece that shows one of its revisions. */
  public static Placement of(String pieceId, int bound) {
    return of(pieceId).withBound(bound);
  }

  public Placement withBound(int revision) {
    return new Placement(pieceId, revision, pin, changes, order, left);
  }

  public Placement withPin(Optional<Pin> newPin) {
    return new Placement(pieceId, bound, newPin, changes, order, left);
  }

  /** The same with one change, or without it; nothing is said of any other. */
  public Placement withChange(LocalKey key, Optional<LocalChange> change) {
    return withChanges(
        change
            .map(c -> Sorted.with(changes, key, c))
            .orElseGet(() -> Sorted.without(changes, key)));
  }

  /** The same with a change that is made on the revision to which the placement is bound. */
  public Placement with(LocalKey key, LocalValue value) {
    return withChange(key, Optional.of(new LocalChange(value, bound)));
  }

  public Placement withChanges(Map<LocalKey, LocalChange> newChanges) {
    return new Placement(pieceId, bound, pin, Sorted.map(newChanges), order, left);
  }

  public Placement withOrder(NodeId parent, Optional<LocalOrder> ids) {
    return withOrder(
        ids.filter(o -> !o.ids().isEmpty())
            .map(o -> Sorted.with(order, parent, o))
            .orElseGet(() -> Sorted.without(order, parent)));
  }

  public Placement withOrder(Map<NodeId, LocalOrder> newOrder) {
    return new Placement(pieceId, bound, pin, changes, Sorted.map(newOrder), left);
  }

  public Placement withLeft(List<Placement> others) {
    return new Placement(pieceId, bound, pin, changes, order, others);
  }

  /** The same where all of which it is not known yet counts as made on a revision. */
  public Placement made(int revision) {
    boolean known =
        changes.values().stream().noneMatch(change -> change.madeOn() == 0)
            && order.values().stream().noneMatch(ids -> ids.madeOn() == 0);
    if (known || pieceId.isEmpty()) {
      return this;
    }
    TreeMap<LocalKey, LocalChange> made = new TreeMap<>(changes);
    made.replaceAll(
        (key, change) -> change.madeOn() == 0 ? new LocalChange(change.value(), revision) : change);
    TreeMap<NodeId, LocalOrder> orders = new TreeMap<>(order);
    orders.replaceAll(
        (parent, ids) -> ids.madeOn() == 0 ? new LocalOrder(ids.ids(), revision) : ids);
    return withChanges(made).withOrder(orders);
  }

  /** What it says, as if all of it was addressed as one and the same revision has it. */
  public Layer layer() {
    if (changes.isEmpty() && order.isEmpty()) {
      return Layer.NONE;
    }
    TreeMap<LocalKey, LocalValue> values = new TreeMap<>();
    changes.forEach((key, change) -> values.put(key, change.value()));
    TreeMap<NodeId, List<NodeId>> lists = new TreeMap<>();
    order.forEach((parent, ids) -> lists.put(parent, ids.ids()));
    return new Layer(values, lists);
  }

  /** The same piece with what a layer says and nothing else, made on one revision. */
  public Placement saying(Layer layer, int madeOn) {
    TreeMap<LocalKey, LocalChange> made = new TreeMap<>();
    layer.changes().forEach((key, value) -> made.put(key, new LocalChange(value, madeOn)));
    TreeMap<NodeId, LocalOrder> orders = new TreeMap<>();
    layer.order().forEach((parent, ids) -> orders.put(parent, new LocalOrder(ids, madeOn)));
    return withChanges(made).withOrder(orders);
  }

  /** The same piece with these changes alone, made on the revision that it is bound to. */
  public Placement saying(Map<LocalKey, LocalValue> values) {
    return saying(Layer.NONE.withChanges(values), bound);
  }

  /**
   * The same with what a function makes of each value; each stays made on its revision. Empty takes
   * the change away.
   */
  public Placement mapped(BiFunction<LocalKey, LocalValue, Optional<LocalValue>> value) {
    TreeMap<LocalKey, LocalChange> mapped = new TreeMap<>();
    changes.forEach(
        (key, change) ->
            value
                .apply(key, change.value())
                .ifPresent(made -> mapped.put(key, change.withValue(made))));
    return mapped.equals(changes) ? this : withChanges(mapped);
  }

  /**
   * Its changes and orders with the addresses of nodes as they are seen from somewhere else; what
   * is inserted keeps its ids.
   */
  public Placement readdressed(UnaryOperator<NodeId> address) {
    TreeMap<LocalKey, LocalChange> moved = new TreeMap<>();
    changes.forEach(
        (key, change) -> moved.put(key.readdressed(address), change.readdressed(address)));
    TreeMap<NodeId, LocalOrder> orders = new TreeMap<>();
    order.forEach((parent, ids) -> orders.put(address.apply(parent), ids.readdressed(address)));
    return withChanges(moved).withOrder(orders);
  }

  /**
   * Its changes and orders as seen from outside a placement or an item; what is inserted keeps its
   * ids and is inserted from outside then.
   */
  public Placement within(NodeId member) {
    Set<NodeId> inserted = new HashSet<>();
    for (LocalChange change : changes.values()) {
      if (change.value() instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(tree -> tree.walk(node -> inserted.add(node.id())));
      }
    }
    return readdressed(id -> inserted.contains(id.outer()) ? id : id.within(member));
  }

  /** The latest revision on which anything was said here; 0 if nothing was. */
  public int latestMadeOn() {
    int latest = 0;
    for (LocalChange change : changes.values()) {
      latest = Math.max(latest, change.madeOn());
    }
    return latest;
  }
}
