package goodbones.library;

import goodbones.document.Layer;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalOrder;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Leads what a placement says from the revisions on which it was said to one and the same revision:
 * keys, the parents of what is moved or inserted, and orders. Whatever reads, compares or replaces
 * a placement's changes goes through this first; nothing is translated anywhere else.
 *
 * <p>An id that the target has names the same node there, for ids are never reused. Only what it
 * lacks is followed through the revisions on the way, so that a placement whose changes were made
 * on many revisions costs no more than one with a single one.
 */
public final class Translation {
  private final Library library;
  private final String pieceId;
  private final int to;
  private final Picks picks;
  private final RevisionIndex target;
  private final Set<NodeId> inserted = new HashSet<>();
  private final Map<Integer, List<Relocations>> ways = new HashMap<>();
  private final SortedMap<LocalKey, LocalKey> stored = new TreeMap<>();
  private final SortedMap<NodeId, NodeId> storedOrders = new TreeMap<>();
  private final Layer layer;

  private Translation(Library library, Placement placement, int to) {
    this.library = library;
    this.pieceId = placement.pieceId();
    this.to = to;
    for (LocalChange change : placement.changes().values()) {
      if (change.value() instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(tree -> tree.walk(node -> inserted.add(node.id())));
      }
    }
    this.picks = picks(placement);
    this.target = library.expanded(pieceId, to, picks).index();
    this.layer = translated(placement);
  }

  /** Where the changes of a placement lead to, with the stored ones that they come from. */
  public static Translation of(Library library, Placement placement, int to) {
    return new Translation(library, placement, to);
  }

  /**
   * What a placement says, addressed as one revision of its piece has it.
   *
   * @param to the revision; without meaning for an item, which lies on its own pattern
   */
  public static Layer layer(Library library, Placement placement, int to) {
    return isAt(placement, to) ? placement.layer() : of(library, placement, to).layer();
  }

  /** What a placement chooses, addressed as one revision of its piece has it. */
  public static Picks picks(Library library, Placement placement, int to) {
    Picks said = Picks.of(placement.layer());
    return said.isEmpty() || isAt(placement, to) ? said : Picks.of(layer(library, placement, to));
  }

  /** Whether all is addressed as the revision has it. */
  private static boolean isAt(Placement placement, int to) {
    return placement.pieceId().isEmpty()
        || placement.changes().values().stream().allMatch(c -> isAt(c.madeOn(), to))
            && placement.order().values().stream().allMatch(o -> isAt(o.madeOn(), to));
  }

  private static boolean isAt(int madeOn, int to) {
    return madeOn == 0 || madeOn == to;
  }

  /** What is chosen about one revision, by where it is chosen in another one. */
  public static Picks picks(Library library, String pieceId, Picks picks, int from, int to) {
    Picks at = picks;
    int step = from <= to ? 1 : -1;
    for (int number = from; number != to && !at.isEmpty(); number += step) {
      at = Relocations.from(library, pieceId, number, number + step).picks(at);
    }
    return at;
  }

  /**
   * The way between two revisions, in steps.
   *
   * @param picks what is chosen, addressed as the first one has it
   */
  public static List<Relocations> steps(
      Library library, String pieceId, int from, int to, Picks picks) {
    List<Relocations> steps = new ArrayList<>();
    int step = from <= to ? 1 : -1;
    Picks at = picks;
    for (int number = from; number != to; number += step) {
      Relocations own = Relocations.NONE;
      Picks next = at;
      if (!at.isEmpty()) {
        own = Relocations.from(library, pieceId, number, number + step);
        next = own.picks(at);
      }
      Expanded here = library.expanded(pieceId, number, at);
      Expanded there = library.expanded(pieceId, number + step, next);
      // Of what is left out here it is known too where it went.
      steps.add(Relocations.from(here, there, step).or(own));
      at = next;
    }
    return steps;
  }

  /** What is said, as the target has it. */
  public Layer layer() {
    return layer;
  }

  /** What is chosen, as the target has it. */
  public Picks picks() {
    return picks;
  }

  /** The target revision with what is chosen about it. */
  public RevisionIndex target() {
    return target;
  }

  /**
   * The placement that says what a layer does. What it says already stays as it is stored, made on
   * the revision that it was made on; all else is made on the target.
   *
   * @param placement the one that was translated
   * @param wanted addressed as the target has it
   * @param remade keys of what was answered: they are made on the target, also where nothing
   *     changes
   */
  public Placement storing(Placement placement, Layer wanted, Set<LocalKey> remade) {
    TreeMap<LocalKey, LocalChange> changes = new TreeMap<>();
    TreeMap<LocalKey, LocalChange> standing = new TreeMap<>();
    wanted
        .changes()
        .forEach(
            (key, value) -> {
              boolean same = layer.at(key).equals(Optional.of(value)) && !remade.contains(key);
              if (same) {
                standing.put(key, stands(placement, key));
              } else {
                changes.put(key, new LocalChange(value, to));
              }
            });
    standing.forEach(
        (key, change) -> {
          if (changes.putIfAbsent(stored.get(key), change) != null) {
            // Another node goes by its former key now.
            changes.put(key, new LocalChange(value(change), change.madeOn()));
          }
        });
    TreeMap<NodeId, LocalOrder> orders = new TreeMap<>();
    wanted
        .order()
        .forEach(
            (parent, ids) -> {
              boolean same = ids.equals(layer.order().get(parent));
              NodeId at = same ? storedOrders.get(parent) : parent;
              LocalOrder stands = same ? placement.order().get(at) : new LocalOrder(ids, to);
              orders.putIfAbsent(at, stands);
            });
    return placement.withChanges(changes).withOrder(orders);
  }

  private LocalChange stands(Placement placement, LocalKey key) {
    return Objects.requireNonNull(placement.changes().get(stored.get(key)), key::toString);
  }

  /** The key under which a change is stored, by its key in the target. */
  public Optional<LocalKey> stored(LocalKey key) {
    return Optional.ofNullable(stored.get(key));
  }

  /** The parent under which an order is stored, by the parent in the target. */
  public Optional<NodeId> storedOrder(NodeId parent) {
    return Optional.ofNullable(storedOrders.get(parent));
  }

  /** A key that is addressed as one revision has it, as the target has it. */
  public LocalKey key(LocalKey key, int madeOn) {
    LocalKey at = key;
    if (!isHere(key.node(), madeOn)) {
      for (Relocations each : way(madeOn)) {
        at = each.key(at);
      }
    }
    return at;
  }

  /** A node that is addressed as one revision has it, as the target has it. */
  public NodeId node(NodeId id, int madeOn) {
    NodeId at = id;
    if (!isHere(id, madeOn)) {
      for (Relocations each : way(madeOn)) {
        at = each.node(at);
      }
    }
    return at;
  }

  private NodeId child(NodeId id, int madeOn) {
    NodeId at = id;
    if (!isHere(id, madeOn)) {
      for (Relocations each : way(madeOn)) {
        at = each.child(at);
      }
    }
    return at;
  }

  private boolean isHere(NodeId id, int madeOn) {
    return isAt(madeOn, to) || target.has(id) || inserted.contains(id);
  }

  private List<Relocations> way(int madeOn) {
    return ways.computeIfAbsent(
        madeOn,
        from ->
            steps(library, pieceId, from, to, picks(library, pieceId, picks, to, from)).stream()
                .filter(each -> !each.isEmpty())
                .toList());
  }

  /** They are followed by the whole piece, for nothing is chosen yet that could be asked. */
  private Picks picks(Placement placement) {
    TreeMap<LocalKey, LocalValue> chosen = new TreeMap<>();
    TreeMap<LocalKey, Integer> made = new TreeMap<>();
    placement
        .changes()
        .forEach(
            (key, change) -> {
              if (key.aspect().isPick()) {
                LocalKey there = pick(key, change);
                if (made.getOrDefault(there, -1) <= change.madeOn()) {
                  chosen.put(there, change.value());
                  made.put(there, change.madeOn());
                }
              }
            });
    return chosen.isEmpty() ? Picks.NONE : new Picks(chosen);
  }

  private LocalKey pick(LocalKey key, LocalChange change) {
    if (isAt(change.madeOn(), to) || library.expanded(pieceId, to).index().has(key.node())) {
      return key;
    }
    return picks(
            library,
            pieceId,
            new Picks(new TreeMap<>(Map.of(key, change.value()))),
            change.madeOn(),
            to)
        .said()
        .firstKey();
  }

  /** Of two changes that lead to one key the later one holds. */
  private Layer translated(Placement placement) {
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>();
    placement.changes().entrySet().stream()
        .sorted(Comparator.comparingInt(each -> each.getValue().madeOn()))
        .forEach(
            each -> {
              LocalChange change = each.getValue();
              LocalKey there =
                  each.getKey().aspect().isPick()
                      ? pick(each.getKey(), change)
                      : key(each.getKey(), change.madeOn());
              changes.put(there, value(change));
              stored.put(there, each.getKey());
            });
    TreeMap<NodeId, List<NodeId>> orders = new TreeMap<>();
    placement.order().entrySet().stream()
        .sorted(Comparator.comparingInt(each -> each.getValue().madeOn()))
        .forEach(
            each -> {
              LocalOrder order = each.getValue();
              NodeId there = node(each.getKey(), order.madeOn());
              orders.put(there, order.ids().stream().map(id -> child(id, order.madeOn())).toList());
              storedOrders.put(there, each.getKey());
            });
    return new Layer(changes, orders);
  }

  private LocalValue value(LocalChange change) {
    return change.value() instanceof LocalValue.PlacedUnder placed
        ? new LocalValue.PlacedUnder(node(placed.parent(), change.madeOn()), placed.inserted())
        : change.value();
  }
}
