package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * Translates an edit of what a page shows into an edit of what is stored.
 *
 * <p>An edit aimed inside a placement becomes a local change of that placement; one inside a local
 * insert edits that insert; one of the outermost node of a placement that removes or moves it
 * removes or moves the placement. All other edits stay as they are.
 */
final class LocalEdits {
  private final Node stored;
  private final Shown shown;
  private final Showing showing;
  private final Library library;

  private LocalEdits(Node stored, Shown shown, Showing showing, Library library) {
    this.stored = stored;
    this.shown = shown;
    this.showing = showing;
    this.library = library;
  }

  /**
   * @param stored the page as it is stored
   * @param shown the page as it is shown; edits are aimed at its nodes
   * @param showing which revisions its placements show
   * @throws Refused if the edit makes no sense inside a placement, or its target is not there
   */
  static Edit translate(Node stored, Shown shown, Showing showing, Library library, Edit edit) {
    LocalEdits edits = new LocalEdits(stored, shown, showing, library);
    return edits.withItems(edits.translate(edit));
  }

  /** Whether an edit of the shown tree has to be translated, whatever it is aimed at. */
  static boolean isOfShown(Edit edit) {
    return edit instanceof Edit.ShowVariant
        || edit instanceof Edit.Insert
        || edit instanceof Edit.Move
        || edit.nodes().stream().anyMatch(NodeId::isInside);
  }

  private Edit translate(Edit edit) {
    if (edit instanceof Edit.Group group) {
      return new Edit.Group(group.edits().stream().map(this::translate).toList());
    } else if (edit instanceof Edit.Insert e) {
      return e.parent().isInside() ? insert(e) : intoOwn(e);
    } else if (edit instanceof Edit.Remove e && e.node().isInside()) {
      return remove(e);
    } else if (edit instanceof Edit.Move e) {
      return move(e);
    } else if (edit instanceof Edit.Switch e && e.node().isInside()) {
      return switched(e);
    } else if (edit instanceof Edit.ShowVariant e) {
      return variant(e);
    } else if (edit instanceof Edit.SetContent e && e.node().isInside()) {
      return content(e);
    } else if (edit instanceof Edit.SetStyle e && e.node().isInside()) {
      return value(e.node(), Aspect.style(e.key()), new LocalValue.StyleIs(e.value()), e);
    } else if (edit instanceof Edit.SetVisibility e && e.node().isInside()) {
      return value(e.node(), Aspect.VISIBILITY, new LocalValue.HiddenOn(e.hiddenOn()), e);
    } else if (edit instanceof Edit.SetNamedStyles e && e.node().isInside()) {
      return value(e.node(), Aspect.NAMED_STYLES, new LocalValue.NamedStylesAre(e.ids()), e);
    } else if (edit instanceof Edit.SetScheme e && e.node().isInside()) {
      return value(e.node(), Aspect.SCHEME, new LocalValue.SchemeIs(e.scheme()), e);
    } else if (edit instanceof Edit.SetPin e && e.placement().isInside()) {
      if (libraryNode(e.placement()).isPresent()) {
        throw Refused.at(
            node(e.placement()),
            "What stands in a piece shows the revision that the piece is bound to; hold the piece"
                + " around it");
      }
      return inInsert(e.placement(), e.aimedAt(e.placement().inner()));
    } else if (edit instanceof Edit.SetLocal e && e.placement().isInside()) {
      return local(e);
    } else if (edit instanceof Edit.Rename e && e.node().isInside()) {
      throw Refused.at(node(e.node()), "Its name belongs to the piece; rename it there");
    } else if (edit instanceof Edit.SetSlot || edit instanceof Edit.SetSiteSlot) {
      requireOwn(edit, "What is a slot is said in the piece; change it there");
    } else if (edit instanceof Edit.SetOptional) {
      requireOwn(edit, "Which parts are optional is said in the piece; change it there");
    } else if (edit instanceof Edit.SetVariant) {
      requireOwn(edit, "The variants of a piece are made in the piece; change them there");
    }
    return edit;
  }

  private void requireOwn(Edit edit, String otherwise) {
    edit.nodes().stream()
        .filter(NodeId::isInside)
        .forEach(
            id -> {
              throw Refused.at(node(id), otherwise);
            });
  }

  private Node node(NodeId id) {
    return shown.members().find(id).orElseThrow(() -> Refused.gone(id));
  }

  private Optional<Node> libraryNode(NodeId id) {
    node(id);
    return shown.origin(id).flatMap(Origin::libraryNode);
  }

  private Placement placement(NodeId id) {
    return stored
        .find(id.outer())
        .flatMap(Node::placement)
        .orElseThrow(() -> Refused.gone(id.outer()));
  }

  private Edit content(Edit.SetContent e) {
    Optional<Node> library = libraryNode(e.node());
    if (library.isEmpty()) {
      return inInsert(e.node(), e.aimedAt(e.node().inner()));
    }
    LocalKey key = new LocalKey(e.node().inner(), Aspect.content(e.field()));
    boolean ofSite = showing.isOfSite() && library.get().options().siteSlots().contains(e.field());
    if (ofSite && !placement(e.node()).changes().containsKey(key)) {
      return forSite(e, library.get());
    }
    Optional<FieldValue> said = Optional.ofNullable(library.get().content().get(e.field()));
    boolean filling = library.get().slots().contains(e.field()) && e.value().isPresent();
    return new Edit.SetLocal(
        e.node().outer(),
        key,
        e.value().equals(said) && !filling
            ? Optional.empty()
            : Optional.of(new LocalValue.ContentIs(e.value())));
  }

  /** A slot of the whole site is filled for all pages; nothing takes it back to the library's. */
  private Edit forSite(Edit.SetContent e, Node slot) {
    e.value()
        .flatMap(
            value -> Catalogue.field(slot.kind(), e.field()).flatMap(field -> field.faultOf(value)))
        .ifPresent(
            fault -> {
              throw Refused.at(slot, fault);
            });
    NodeId id = e.node().own();
    return new Edit.FillSite(id, e.field(), e.value(), showing.fillings().of(id, e.field()));
  }

  /** A local change of a library node, or the edit itself on a local insert's. */
  private Edit value(NodeId id, Aspect aspect, LocalValue value, Edit edit) {
    Optional<Node> library = libraryNode(id);
    if (library.isEmpty()) {
      return inInsert(id, edit.aimedAt(id.inner()));
    }
    boolean same = aspect.read(library.get()).equals(Optional.of(value));
    return new Edit.SetLocal(
        id.outer(), new LocalKey(id.inner(), aspect), same ? Optional.empty() : Optional.of(value));
  }

  private Edit switched(Edit.Switch e) {
    NodeId id = shown.outward(e.node());
    if (!id.isInside()) {
      throw Refused.at(node(id), "It stands on its own here; take it away instead");
    }
    Node part = node(id);
    if (libraryNode(id).isEmpty()) {
      throw Refused.at(part, "It was added here; take it away instead");
    }
    if (!part.options().optional() && !(e.on() && part.options().off())) {
      throw Refused.at(
          part, "It is no optional part of its piece; take it away here, or make it one there");
    }
    return value(id, Aspect.SWITCHED, new LocalValue.SwitchedIs(e.on()), e.aimedAt(id));
  }

  /** The form is chosen for what the placement shows: the outermost node of the piece. */
  private Edit variant(Edit.ShowVariant e) {
    Node member = node(e.placement());
    if (member.kind() != Kind.PLACEMENT || member.children().isEmpty()) {
      throw Refused.at(member, "Only where a piece is placed can its variant be chosen");
    }
    Node root = member.children().get(0);
    if (e.variant().isPresent() && root.options().named(e.variant().get()).isEmpty()) {
      throw Refused.at(root, "The piece has no such variant here; choose one that it has");
    }
    NodeId carrier = shown.carrier(root.id()).orElseThrow();
    if (carrier.isInside()) {
      return inInsert(e.placement(), e.aimedAt(e.placement().inner()));
    }
    LocalKey key = shown.key(root.id(), Aspect.VARIANT);
    Placement placement = placement(carrier);
    LocalValue value = new LocalValue.VariantIs(e.variant());
    boolean same = beneath(placement, key).equals(Optional.of(value));
    return new Edit.SetLocal(carrier, key, same ? Optional.empty() : Optional.of(value));
  }

  /** What is chosen without the placement's own choice. */
  private Optional<LocalValue> beneath(Placement placement, LocalKey key) {
    return placement.pieceId().isEmpty()
        ? Optional.empty()
        : library
            .expanded(
                placement.pieceId(), showing.shownBy(placement), Picks.of(placement).without(key))
            .index()
            .value(key);
  }

  /** Into the document's own tree: a list has its pattern before its items. */
  private Edit intoOwn(Edit.Insert e) {
    boolean list = stored.find(e.parent()).map(Node::isList).orElse(false);
    return list ? new Edit.Insert(e.parent(), e.index() + 1, e.subtree()) : e;
  }

  private boolean isList(NodeId id) {
    return node(id).isList();
  }

  /** The items that a list has at a placement. */
  private LocalValue.ItemsAre items(NodeId list) {
    LocalValue.ItemsAre shownHere = LocalValue.ItemsAre.of(node(list));
    return placement(list).changes().get(new LocalKey(list.inner(), Aspect.ITEMS))
            instanceof LocalValue.ItemsAre said
        ? new LocalValue.ItemsAre(shownHere.ids(), said.own())
        : shownHere;
  }

  private static Edit items(NodeId list, List<NodeId> ids, Set<NodeId> own) {
    Set<NodeId> there = new HashSet<>(own);
    there.retainAll(ids);
    return new Edit.SetLocal(
        list.outer(),
        new LocalKey(list.inner(), Aspect.ITEMS),
        Optional.of(new LocalValue.ItemsAre(ids, there)));
  }

  /** A new item of a list, with what it says. */
  private Edit addItem(NodeId list, int index, Node item) {
    LocalValue.ItemsAre now = items(list);
    if (now.ids().size() >= LocalValue.ItemsAre.LIMIT) {
      throw Refused.at(
          node(list), "A list has at most " + LocalValue.ItemsAre.LIMIT + " items; begin another");
    }
    List<NodeId> ids = new ArrayList<>(now.ids());
    ids.add(Math.max(0, Math.min(index, ids.size())), item.id());
    Set<NodeId> own = new HashSet<>(now.own());
    own.add(item.id());
    List<Edit> edits = new ArrayList<>(List.of(items(list, ids, own)));
    NodeId path = list.inner().beside(item.id());
    Placement said = item.placement().orElseThrow();
    said.changes()
        .forEach(
            (key, value) ->
                edits.add(
                    new Edit.SetLocal(
                        list.outer(),
                        new LocalKey(key.node().within(path), key.aspect()),
                        Optional.of(within(value, path)))));
    said.order()
        .forEach(
            (parent, children) ->
                edits.add(
                    new Edit.SetOrder(
                        list.outer(),
                        parent.within(path),
                        children.stream().map(id -> id.within(path)).toList())));
    return new Edit.Group(edits);
  }

  private static LocalValue within(LocalValue value, NodeId item) {
    return value instanceof LocalValue.PlacedUnder placed
        ? new LocalValue.PlacedUnder(placed.parent().within(item), placed.inserted())
        : value;
  }

  /** An item that is left out goes with all that was added in it; the library's can come back. */
  private Edit leaveOut(Node item, NodeId list) {
    LocalValue.ItemsAre now = items(list);
    List<NodeId> ids = new ArrayList<>(now.ids());
    ids.remove(item.id().own());
    List<Edit> edits = new ArrayList<>(List.of(items(list, ids, now.own())));
    Set<NodeId> inside = new HashSet<>();
    item.walk(node -> inside.add(node.id().inner()));
    takenAlong(list, inside, edits);
    if (now.own().contains(item.id().own())) {
      placement(list).changes().keySet().stream()
          .filter(key -> key.node().isIn(item.id().inner()))
          .forEach(key -> edits.add(new Edit.SetLocal(list.outer(), key, Optional.empty())));
    }
    return new Edit.Group(edits);
  }

  private NodeId listOf(NodeId item) {
    return shown.members().parentOf(item).orElseThrow(() -> Refused.gone(item)).id();
  }

  /**
   * With the first filling or change in a list of the library its items become those of the
   * placement, so that no sample that the library adds later is published.
   */
  private Edit withItems(Edit edit) {
    Map<LocalKey, Edit> written = new LinkedHashMap<>();
    List<Edit> steps = edit.steps();
    for (Edit step : steps) {
      if (step instanceof Edit.SetLocal local && !local.placement().isInside()) {
        NodeId at = local.key().node().within(local.placement());
        for (int i = at.value().indexOf('/'); i > 0; i = at.value().indexOf('/', i + 1)) {
          NodeId around = NodeId.of(at.value().substring(0, i));
          Optional<Node> member = shown.members().find(around);
          boolean item = member.map(node -> node.kind() == Kind.ITEM).orElse(false);
          if (item && around.isInside() && around.outer().equals(local.placement())) {
            NodeId list = listOf(around);
            LocalKey key = new LocalKey(list.inner(), Aspect.ITEMS);
            boolean there =
                steps.stream().anyMatch(s -> s instanceof Edit.SetLocal l && l.key().equals(key))
                    || placement(list).changes().containsKey(key);
            if (!there) {
              LocalValue.ItemsAre now = items(list);
              written.putIfAbsent(key, items(list, now.ids(), now.own()));
            }
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

  /** A change of what stands in a piece is one of the placement on the page, by its path. */
  private Edit local(Edit.SetLocal e) {
    if (insertHolding(e.placement()).isPresent()) {
      return inInsert(e.placement(), e.aimedAt(e.placement().inner()));
    }
    LocalKey key = new LocalKey(e.key().node().within(e.placement().inner()), e.key().aspect());
    return new Edit.SetLocal(e.placement().outer(), key, e.value(), e.settled());
  }

  /** An edit inside a local insert, carried out on the insert itself. */
  private Edit inInsert(NodeId id, Edit inner) {
    Map.Entry<LocalKey, LocalValue.PlacedUnder> insert =
        insertHolding(id).orElseThrow(() -> Refused.gone(id));
    Node subtree = insert.getValue().inserted().orElseThrow();
    boolean deeper = isOfShown(inner);
    Edit onStored =
        deeper
            ? translate(subtree, Shown.of(subtree, showing, library), showing, library, inner)
            : inner;
    if (onStored instanceof Edit.FillSite) {
      return onStored;
    }
    Node edited = Editor.apply(subtree, onStored).root();
    return new Edit.SetLocal(
        id.outer(),
        insert.getKey(),
        Optional.of(new LocalValue.PlacedUnder(insert.getValue().parent(), Optional.of(edited))));
  }

  private Optional<Map.Entry<LocalKey, LocalValue.PlacedUnder>> insertHolding(NodeId id) {
    for (Map.Entry<LocalKey, LocalValue> entry : placement(id).changes().entrySet()) {
      if (entry.getValue() instanceof LocalValue.PlacedUnder placed
          && placed.inserted().flatMap(n -> n.find(id.inner().outer())).isPresent()) {
        return Optional.of(Map.entry(entry.getKey(), placed));
      }
    }
    return Optional.empty();
  }

  private Edit insert(Edit.Insert e) {
    if (insertHolding(e.parent()).isPresent()) {
      return inInsert(e.parent(), new Edit.Insert(e.parent().inner(), e.index(), e.subtree()));
    }
    Node parent = node(e.parent());
    if (e.subtree().kind() == Kind.ITEM && isList(e.parent())) {
      return addItem(e.parent(), e.index(), e.subtree());
    }
    if (isList(e.parent())) {
      throw Refused.at(parent, Catalogue.LIST_HOLDS_ITEMS);
    }
    NodeId id = e.subtree().id();
    NodeId into = e.parent().inner();
    Catalogue.requireNoneNew(
        parent.withChildren(List.of()), parent.withChildren(List.of(e.subtree())));
    return new Edit.Group(
        List.of(
            new Edit.SetLocal(
                e.parent().outer(),
                new LocalKey(id, Aspect.PLACED),
                Optional.of(new LocalValue.PlacedUnder(into, Optional.of(e.subtree())))),
            new Edit.SetOrder(e.parent().outer(), into, orderWith(parent, id, e.index()))));
  }

  private static List<NodeId> orderWith(Node parent, NodeId innerId, int index) {
    List<NodeId> ids = new ArrayList<>();
    for (Node child : parent.children()) {
      if (!child.id().inner().equals(innerId)) {
        ids.add(child.id().inner());
      }
    }
    ids.add(Math.max(0, Math.min(index, ids.size())), innerId);
    return ids;
  }

  private Edit remove(Edit.Remove asked) {
    NodeId id = shown.outward(asked.node());
    if (!id.isInside()) {
      return new Edit.Remove(id);
    }
    Node going = node(id);
    if (going.kind() == Kind.ITEM) {
      return leaveOut(going, listOf(id));
    }
    if (libraryNode(id).isPresent()) {
      return removed(id);
    }
    LocalKey own = new LocalKey(id.inner(), Aspect.PLACED);
    List<Edit> edits = new ArrayList<>();
    edits.add(
        placement(id).changes().containsKey(own)
            ? new Edit.SetLocal(id.outer(), own, Optional.empty())
            : inInsert(id, new Edit.Remove(id.inner())));
    // What of the piece was moved into it goes with it, and not back to where it stood; also what
    // is not seen there.
    Set<NodeId> inside = new HashSet<>();
    insertHolding(id)
        .flatMap(holding -> holding.getValue().inserted())
        .flatMap(tree -> tree.find(id.inner()))
        .ifPresent(tree -> tree.walk(node -> inside.add(node.id())));
    takenAlong(id, inside, edits);
    return edits.size() == 1 ? edits.get(0) : new Edit.Group(edits);
  }

  /** What was put into something that goes, goes with it. */
  private void takenAlong(NodeId at, Set<NodeId> inside, List<Edit> edits) {
    placement(at)
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

  private static Edit removed(NodeId id) {
    return new Edit.SetLocal(
        id.outer(),
        new LocalKey(id.inner(), Aspect.REMOVED),
        Optional.of(new LocalValue.IsRemoved()));
  }

  private Edit move(Edit.Move asked) {
    NodeId id = shown.outward(asked.node());
    Edit.Move e = new Edit.Move(id, asked.parent(), asked.index());
    Optional<Node> item = shown.members().find(id).filter(node -> node.kind() == Kind.ITEM);
    if (item.isPresent()) {
      return moveItem(e, item.get());
    }
    if (!id.isInside() && !e.parent().isInside()) {
      return e;
    }
    if (isList(e.parent())) {
      throw Refused.at(node(e.parent()), Catalogue.LIST_HOLDS_ITEMS);
    }
    Node moved = node(id);
    Node parent = node(e.parent());
    if (moved.find(e.parent()).isPresent()) {
      throw Refused.at(moved, "A " + moved.kind().word() + " cannot be moved into itself");
    }
    if (!id.isInside()) {
      Node own = stored.find(id).orElseThrow(() -> Refused.gone(id));
      return new Edit.Group(
          List.of(new Edit.Remove(id), insert(new Edit.Insert(e.parent(), e.index(), own))));
    }
    if (!shown.carrier(id).equals(shown.carrier(e.parent()))) {
      return moveOut(e, moved);
    }
    if (insertedPlacement(id)) {
      return inInsert(id, new Edit.Move(id.inner(), e.parent().inner(), e.index()));
    }
    Catalogue.requireNoneNew(
        parent.withChildren(List.of()),
        parent.withChildren(List.of(moved.kind().isMember() ? moved.children().get(0) : moved)));
    NodeId into = e.parent().inner();
    LocalKey key = new LocalKey(id.inner(), Aspect.PLACED);
    Optional<Node> inserted =
        Optional.ofNullable(placement(id).changes().get(key))
            .map(v -> (LocalValue.PlacedUnder) v)
            .flatMap(LocalValue.PlacedUnder::inserted);
    if (inserted.isEmpty() && libraryNode(id).isEmpty()) {
      return inInsert(id, new Edit.Move(id.inner(), into, e.index()));
    }
    return new Edit.Group(
        List.of(
            new Edit.SetLocal(
                id.outer(), key, Optional.of(new LocalValue.PlacedUnder(into, inserted))),
            new Edit.SetOrder(id.outer(), into, orderWith(parent, id.inner(), e.index()))));
  }

  /** Among its like an item changes its place; anywhere else a copy of it is put. */
  private Edit moveItem(Edit.Move e, Node item) {
    NodeId list = listOf(item.id());
    if (item.find(e.parent()).isPresent()) {
      throw Refused.at(item, "An item cannot be moved into itself");
    }
    if (!list.equals(e.parent())) {
      if (isList(e.parent())) {
        throw Refused.at(item, "An item belongs to its own list; add one to the other list");
      }
      return moveOut(e, item);
    }
    if (!item.id().isInside()) {
      return new Edit.Move(item.id(), list, e.index() + 1);
    }
    LocalValue.ItemsAre now = items(list);
    List<NodeId> ids = new ArrayList<>(now.ids());
    ids.remove(item.id().own());
    ids.add(Math.max(0, Math.min(e.index(), ids.size())), item.id().own());
    return items(list, ids, now.own());
  }

  /** Whether a node stands in a placement that was inserted into another one. */
  private boolean insertedPlacement(NodeId id) {
    return shown.carrier(id).map(NodeId::isInside).orElse(false);
  }

  /** A move out of a placement is a removal there and an independent copy elsewhere. */
  private Edit moveOut(Edit.Move e, Node moved) {
    Node copy =
        Lifting.from(stored, shown, library, showing, this::derived, e.node()).lifted(moved);
    Edit.Insert there = new Edit.Insert(e.parent(), e.index(), copy);
    return new Edit.Group(
        List.of(remove(new Edit.Remove(e.node())), e.parent().isInside() ? insert(there) : there));
  }

  /** The id of a copy is made of the placement's and the node's, so that it is always the same. */
  private NodeId derived(NodeId id) {
    String name = id.value();
    NodeId derived;
    do {
      derived = NodeId.of(UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)).toString());
      name += "+";
    } while (stored.find(derived).isPresent());
    return derived;
  }
}
