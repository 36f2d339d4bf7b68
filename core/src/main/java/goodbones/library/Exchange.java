package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Field;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Puts another piece where a placement stands. Its fillings are carried over: slots are matched by
 * the names of their nodes, then by kind and field in reading order; the items of one list become
 * those of the other. What finds no match stays with the placement, and comes back with its piece.
 */
public final class Exchange {
  private final Library library;

  public Exchange(Library library) {
    this.library = library;
  }

  /**
   * The placement with another piece.
   *
   * @param shown the revision that it shows
   * @param other a placement of the other piece as it would be put here
   */
  public Placement of(Placement placement, int shown, Placement other) {
    Optional<Placement> stood = stood(placement, other.pieceId());
    Placement base = stood.orElse(other);
    // One that comes back is put on the revision that it was left on, and goes on from there.
    int at = stood.map(Placement::latestMadeOn).filter(made -> made > 0).orElse(other.bound());
    List<Placement> left = new ArrayList<>();
    placement.left().stream()
        .filter(each -> !each.pieceId().equals(other.pieceId()))
        .filter(each -> !each.pieceId().equals(placement.pieceId()))
        .forEach(left::add);
    left.add(placement.withLeft(List.of()));
    Layer said = Translation.layer(library, placement, shown);
    Node from = expanded(placement.pieceId(), shown, said);
    Translation there = Translation.of(library, base, at);
    Layer listed = withItems(said, from, there.layer(), base.pieceId(), at);
    SortedMap<LocalKey, LocalValue> changes = new TreeMap<>(listed.changes());
    matched(from, expanded(base.pieceId(), at, listed))
        .forEach((here, to) -> said.at(here).ifPresent(value -> changes.put(to, value)));
    return there.storing(base, listed.withChanges(changes), Set.of()).withBound(at).withLeft(left);
  }

  private static Optional<Placement> stood(Placement placement, String pieceId) {
    return placement.left().stream().filter(each -> each.pieceId().equals(pieceId)).findFirst();
  }

  private Node expanded(String pieceId, int revision, Layer said) {
    return library.expanded(pieceId, revision, Picks.of(said)).root();
  }

  private Node expanded(Placement placement, int revision) {
    return expanded(placement.pieceId(), revision, Translation.layer(library, placement, revision));
  }

  /** As many items in the other piece's list as there are here. */
  private Layer withItems(Layer said, Node from, Layer other, String pieceId, int at) {
    Optional<Node> here = firstList(from);
    Node to = expanded(pieceId, at, other);
    Optional<Node> there = firstList(to);
    boolean own =
        here.isPresent() && said.changes().containsKey(new LocalKey(here.get().id(), Aspect.ITEMS));
    if (!own || there.isEmpty()) {
      return other;
    }
    List<NodeId> items = LocalValue.ItemsAre.of(here.get()).ids();
    List<NodeId> theirs = LocalValue.ItemsAre.of(there.get()).ids();
    if (items.size() == theirs.size()) {
      return other;
    }
    LocalKey key = new LocalKey(there.get().id(), Aspect.ITEMS);
    Set<NodeId> added =
        other.changes().get(key) instanceof LocalValue.ItemsAre theirItems
            ? new HashSet<>(theirItems.own())
            : new HashSet<>();
    List<NodeId> ids = new ArrayList<>();
    for (int i = 0; i < items.size(); i++) {
      if (i < theirs.size()) {
        ids.add(theirs.get(i));
      } else {
        // Both pieces may have the same list in them.
        NodeId item = items.get(i);
        NodeId surplus =
            theirs.contains(item) ? Relocations.unlinked(there.get().id(), item) : item;
        ids.add(surplus);
        added.add(surplus);
      }
    }
    added.retainAll(ids);
    return other.with(key, new LocalValue.ItemsAre(ids, added));
  }

  private static Optional<Node> firstList(Node root) {
    return root.all().stream().filter(Node::isList).findFirst();
  }

  /** A slot: where it stands, and what it is for. */
  private record Slot(LocalKey key, String name, Kind kind, Field.Type type) {}

  /** Slots of one tree to those of another one; the same the other way round. */
  private static Map<LocalKey, LocalKey> matched(Node from, Node to) {
    Map<LocalKey, LocalKey> matched = new LinkedHashMap<>();
    Optional<Node> here = firstList(from);
    Optional<Node> there = firstList(to);
    match(slots(from, here), slots(to, there), matched);
    if (here.isPresent() && there.isPresent()) {
      List<Node> mine = items(here.get());
      List<Node> theirs = items(there.get());
      for (int i = 0; i < Math.min(mine.size(), theirs.size()); i++) {
        match(
            slots(mine.get(i), Optional.empty()), slots(theirs.get(i), Optional.empty()), matched);
      }
    }
    return matched;
  }

  /**
   * The nodes of one tree whose fields another one has a place for, to the nodes there: of the same
   * kind, no two to the same.
   */
  static Map<NodeId, NodeId> nodes(Node from, Node to) {
    Map<NodeId, NodeId> nodes = new LinkedHashMap<>();
    matched(from, to)
        .forEach(
            (here, there) -> {
              boolean alike =
                  here.aspect().equals(there.aspect())
                      && from.find(here.node())
                          .map(Node::kind)
                          .equals(to.find(there.node()).map(Node::kind));
              if (alike && !nodes.containsValue(there.node())) {
                nodes.putIfAbsent(here.node(), there.node());
              }
            });
    return nodes;
  }

  private static List<Node> items(Node list) {
    return list.children().stream().filter(child -> child.kind() == Kind.ITEM).toList();
  }

  /**
   * @param but the list whose items are matched one by one
   */
  private static List<Slot> slots(Node node, Optional<Node> but) {
    List<Slot> slots = new ArrayList<>();
    collect(node, but, slots);
    return slots;
  }

  private static void collect(Node node, Optional<Node> but, List<Slot> slots) {
    for (Field field : Catalogue.fields(node.kind())) {
      if (node.slots().contains(field.key())) {
        LocalKey key = new LocalKey(node.id(), Aspect.content(field.key()));
        slots.add(new Slot(key, node.name(), node.kind(), field.type()));
      }
    }
    if (but.filter(list -> list.id().equals(node.id())).isEmpty()) {
      node.children().forEach(child -> collect(child, but, slots));
    }
  }

  private static void match(List<Slot> mine, List<Slot> theirs, Map<LocalKey, LocalKey> matched) {
    List<Slot> open = new ArrayList<>(mine);
    List<Slot> free = new ArrayList<>(theirs);
    for (boolean byName : new boolean[] {true, false}) {
      for (Slot slot : List.copyOf(open)) {
        free.stream()
            .filter(other -> other.type() == slot.type())
            .filter(
                other ->
                    byName
                        ? !slot.name().isBlank() && slot.name().equalsIgnoreCase(other.name())
                        : other.kind() == slot.kind())
            .findFirst()
            .ifPresent(
                other -> {
                  matched.put(slot.key(), other.key());
                  open.remove(slot);
                  free.remove(other);
                });
      }
    }
  }

  /**
   * What was filled in a piece that stood here before and has no place in the one that does now.
   *
   * @param shown the revision that is shown now
   * @return by the piece that it was filled in
   */
  public Map<String, SortedMap<LocalKey, LocalValue>> tray(Placement placement, int shown) {
    Map<String, SortedMap<LocalKey, LocalValue>> tray = new HashMap<>();
    for (Placement before : placement.left()) {
      int made = before.latestMadeOn();
      if (made == 0) {
        continue;
      }
      Map<LocalKey, LocalKey> matched = matched(expanded(before, made), expanded(placement, shown));
      SortedMap<LocalKey, LocalValue> kept = new TreeMap<>();
      Translation.layer(library, before, made)
          .changes()
          .forEach(
              (key, value) -> {
                boolean filling =
                    value instanceof LocalValue.ContentIs is && is.value().isPresent();
                if (filling && !matched.containsKey(key)) {
                  kept.put(key, value);
                }
              });
      if (!kept.isEmpty()) {
        tray.put(before.pieceId(), kept);
      }
    }
    return tray;
  }
}
