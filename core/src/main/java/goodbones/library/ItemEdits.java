package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Edits of the items of lists, as edits of what is stored: a list of the document's own has them as
 * nodes, a list of a piece has them in the local changes of its placement.
 */
final class ItemEdits {
  private final Shown shown;
  private final Function<NodeId, Layer> said;
  private final Function<NodeId, Node> copy;

  /**
   * @param said what is said at the placement that a node stands in
   * @param copy of something that is shown, to be put anywhere
   */
  ItemEdits(Shown shown, Function<NodeId, Layer> said, Function<NodeId, Node> copy) {
    this.shown = shown;
    this.said = said;
    this.copy = copy;
  }

  /** The list that an item stands in. */
  NodeId listOf(NodeId item) {
    return shown.members().parentOf(item).orElseThrow(() -> Refused.gone(item)).id();
  }

  private Node node(NodeId id) {
    return shown.members().find(id).orElseThrow(() -> Refused.gone(id));
  }

  /** The items that a list has at a placement. */
  private LocalValue.ItemsAre now(NodeId list) {
    LocalValue.ItemsAre here = LocalValue.ItemsAre.of(node(list));
    return said.apply(list).changes().get(key(list)) instanceof LocalValue.ItemsAre said
        ? new LocalValue.ItemsAre(here.ids(), said.own())
        : here;
  }

  private static LocalKey key(NodeId list) {
    return new LocalKey(list.inner(), Aspect.ITEMS);
  }

  private static Edit set(NodeId list, List<NodeId> ids, Set<NodeId> own) {
    Set<NodeId> there = new HashSet<>(own);
    there.retainAll(ids);
    LocalValue items = new LocalValue.ItemsAre(ids, there);
    return new Edit.SetLocal(list.outer(), key(list), Optional.of(items));
  }

  private static void put(List<NodeId> ids, int index, NodeId item) {
    ids.add(Math.max(0, Math.min(index, ids.size())), item);
  }

  /** A new item of a placement's list, with what it says. */
  Edit added(NodeId list, int index, Node item) {
    LocalValue.ItemsAre now = now(list);
    if (now.ids().size() >= LocalValue.ItemsAre.LIMIT) {
      throw Refused.at(
          node(list), "A list has at most " + LocalValue.ItemsAre.LIMIT + " items; begin another");
    }
    List<NodeId> ids = new ArrayList<>(now.ids());
    put(ids, index, item.id());
    Set<NodeId> own = new HashSet<>(now.own());
    own.add(item.id());
    List<Edit> edits = new ArrayList<>(List.of(set(list, ids, own)));
    NodeId path = list.inner().beside(item.id());
    Placement inItem = item.placement().orElseThrow().within(path);
    Items.content(item, path)
        .forEach(
            (key, value) -> edits.add(new Edit.SetLocal(list.outer(), key, Optional.of(value))));
    inItem
        .changes()
        .forEach(
            (key, change) ->
                edits.add(
                    new Edit.SetLocal(
                        list.outer(), key, Optional.of(change.value()), change.madeOn(), "")));
    inItem
        .order()
        .forEach(
            (parent, children) ->
                edits.add(
                    new Edit.SetOrder(
                        list.outer(), parent, children.ids(), children.madeOn(), "")));
    return new Edit.Group(edits);
  }

  /** An item that is left out goes with all that was added in it; the library's can come back. */
  Edit leftOut(Node item) {
    NodeId list = listOf(item.id());
    LocalValue.ItemsAre now = now(list);
    List<NodeId> ids = new ArrayList<>(now.ids());
    ids.remove(item.id().own());
    List<Edit> edits = new ArrayList<>(List.of(set(list, ids, now.own())));
    Set<NodeId> inside = new HashSet<>();
    item.walk(node -> inside.add(node.id().inner()));
    takenAlong(list, inside, edits);
    movedOut(list, item, inside, edits);
    if (now.own().contains(item.id().own())) {
      said.apply(list).changes().keySet().stream()
          .filter(key -> key.node().isOrIsIn(item.id().inner()))
          .forEach(key -> edits.add(new Edit.SetLocal(list.outer(), key, Optional.empty())));
    }
    return new Edit.Group(edits);
  }

  /**
   * What was moved out of an item, here or by a piece around it, stays when that is left out, as
   * the placement's own.
   */
  private void movedOut(NodeId list, Node item, Set<NodeId> inside, List<Edit> edits) {
    Layer here = said.apply(list);
    for (Node parent : shown.members().all()) {
      boolean around =
          parent.id().isIn(list.outer())
              && !parent.id().isOrIsIn(item.id())
              && !inside.contains(parent.id().inner());
      List<Node> out =
          parent.children().stream().filter(child -> around && child.id().isIn(item.id())).toList();
      if (out.isEmpty()) {
        continue;
      }
      List<NodeId> order =
          new ArrayList<>(parent.children().stream().map(child -> child.id().inner()).toList());
      for (Node each : out) {
        Node own = copy.apply(each.id());
        order.replaceAll(id -> id.equals(each.id().inner()) ? own.id() : id);
        LocalKey placed = new LocalKey(each.id().inner(), Aspect.PLACED);
        if (here.changes().containsKey(placed)) {
          edits.add(0, new Edit.SetLocal(list.outer(), placed, Optional.empty()));
        }
        edits.add(
            new Edit.SetLocal(
                list.outer(),
                new LocalKey(own.id(), Aspect.PLACED),
                Optional.of(new LocalValue.PlacedUnder(parent.id().inner(), Optional.of(own)))));
      }
      edits.add(new Edit.SetOrder(list.outer(), parent.id().inner(), order));
    }
  }

  /** An item at another place in its list. */
  Edit moved(Node item, int index) {
    NodeId list = listOf(item.id());
    if (!item.id().isInside()) {
      // The pattern stands first in a list of the document's own.
      return new Edit.Move(item.id(), list, index + 1);
    }
    LocalValue.ItemsAre now = now(list);
    List<NodeId> ids = new ArrayList<>(now.ids());
    ids.remove(item.id().own());
    put(ids, index, item.id().own());
    return set(list, ids, now.own());
  }

  /** What was put into something that goes, goes with it. */
  void takenAlong(NodeId at, Set<NodeId> inside, List<Edit> edits) {
    said.apply(at)
        .changes()
        .forEach(
            (key, value) -> {
              if (value instanceof LocalValue.PlacedUnder placed
                  && inside.contains(placed.parent())) {
                edits.add(
                    placed.inserted().isPresent()
                        ? new Edit.SetLocal(at.outer(), key, Optional.empty())
                        : removed(key.node().within(at.outer())));
              }
            });
  }

  static Edit removed(NodeId id) {
    return new Edit.SetLocal(
        id.outer(),
        new LocalKey(id.inner(), Aspect.REMOVED),
        Optional.of(new LocalValue.IsRemoved()));
  }

  /**
   * With the first filling or change in a list of the library its items become those of the
   * placement, so that no sample that the library adds later is published.
   */
  Edit written(Edit edit) {
    Map<LocalKey, Edit> written = new LinkedHashMap<>();
    List<Edit> steps = edit.steps();
    for (Edit step : steps) {
      if (step instanceof Edit.SetLocal local && !local.placement().isInside()) {
        for (NodeId list : listsAround(local)) {
          LocalKey key = key(list);
          boolean there =
              steps.stream().anyMatch(s -> s instanceof Edit.SetLocal l && l.key().equals(key))
                  || said.apply(list).changes().containsKey(key);
          if (!there) {
            LocalValue.ItemsAre now = now(list);
            written.putIfAbsent(key, set(list, now.ids(), now.own()));
          }
        }
      }
    }
    if (written.isEmpty()) {
      return edit;
    }
    List<Edit> all = new ArrayList<>(written.values());
    all.addAll(steps);
    return new Edit.Group(all);
  }

  /** The lists of the placement in whose items a changed node stands, from the outside in. */
  private List<NodeId> listsAround(Edit.SetLocal local) {
    List<NodeId> lists = new ArrayList<>();
    NodeId at = local.key().node();
    while (at.isInside()) {
      at = at.around();
      NodeId around = at.within(local.placement());
      if (shown.members().find(around).filter(node -> node.kind() == Kind.ITEM).isPresent()) {
        lists.add(0, listOf(around));
      }
    }
    return lists;
  }
}
