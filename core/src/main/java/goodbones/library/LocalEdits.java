package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
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
  private final ItemEdits items;

  private LocalEdits(Node stored, Shown shown, Showing showing, Library library) {
    this.stored = stored;
    this.shown = shown;
    this.showing = showing;
    this.library = library;
    this.items = new ItemEdits(shown, this::said, this::copied);
  }

  /**
   * @param stored the page as it is stored
   * @param shown the page as it is shown; edits are aimed at its nodes
   * @param showing which revisions its placements show
   * @throws Refused if the edit makes no sense inside a placement, or its target is not there
   */
  static Edit translate(Node stored, Shown shown, Showing showing, Library library, Edit edit) {
    LocalEdits edits = new LocalEdits(stored, shown, showing, library);
    return edits.items.written(edits.translate(edit));
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
    } else if (edit instanceof Edit.SetWant) {
      requireOwn(edit, "What a slot wants is said in the piece; change it there");
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

  /** What is said at the placement that a node stands in, as the revision shown there has it. */
  private Layer said(NodeId id) {
    Placement placement = placement(id);
    return placement.pieceId().isEmpty()
        ? placement.layer()
        : Translation.layer(library, placement, showing.shownBy(placement));
  }

  private Edit content(Edit.SetContent e) {
    Optional<Node> library = libraryNode(e.node());
    if (library.isEmpty()) {
      return inInsert(e.node(), e.aimedAt(e.node().inner()));
    }
    if (library.get().kind() == Kind.ITEM) {
      // An item draws nothing itself, and what is drawn is all that is looked at in the end.
      requireFits(e, library.get());
    }
    LocalKey key = new LocalKey(e.node().inner(), Aspect.content(e.field()));
    boolean ofSite = showing.isOfSite() && library.get().options().siteSlots().contains(e.field());
    if (ofSite && !said(e.node()).changes().containsKey(key)) {
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
    requireFits(e, slot);
    NodeId id = e.node().own();
    return new Edit.FillSite(id, e.field(), e.value(), showing.fillings().of(id, e.field()));
  }

  private static void requireFits(Edit.SetContent e, Node on) {
    e.value()
        .flatMap(
            value -> Catalogue.field(on.kind(), e.field()).flatMap(field -> field.faultOf(value)))
        .ifPresent(
            fault -> {
              throw Refused.at(on, fault);
            });
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

  /** The variant is picked for what the placement shows: the outermost node of the piece. */
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
                placement.pieceId(),
                showing.shownBy(placement),
                Translation.picks(library, placement, showing.shownBy(placement)).without(key))
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

  /** A change of what stands in a piece is one of the placement on the page, by its path. */
  private Edit local(Edit.SetLocal e) {
    if (insertHolding(e.placement()).isPresent()) {
      return inInsert(e.placement(), e.aimedAt(e.placement().inner()));
    }
    LocalKey key = new LocalKey(e.key().node().within(e.placement().inner()), e.key().aspect());
    return new Edit.SetLocal(e.placement().outer(), key, e.value());
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
    Node edited = subtree;
    LocalSteps steps = new LocalSteps(showing, library);
    for (Edit step : onStored.steps()) {
      for (Edit each : steps.stored(edited, step)) {
        edited = Editor.step(edited, each).root();
      }
    }
    return new Edit.SetLocal(
        id.outer(),
        insert.getKey(),
        Optional.of(new LocalValue.PlacedUnder(insert.getValue().parent(), Optional.of(edited))));
  }

  private Optional<Map.Entry<LocalKey, LocalValue.PlacedUnder>> insertHolding(NodeId id) {
    for (Map.Entry<LocalKey, LocalValue> entry : said(id).changes().entrySet()) {
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
      return items.added(e.parent(), e.index(), e.subtree());
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
      return items.leftOut(going);
    }
    if (libraryNode(id).isPresent()) {
      return ItemEdits.removed(id);
    }
    LocalKey own = new LocalKey(id.inner(), Aspect.PLACED);
    List<Edit> edits = new ArrayList<>();
    edits.add(
        said(id).changes().containsKey(own)
            ? new Edit.SetLocal(id.outer(), own, Optional.empty())
            : inInsert(id, new Edit.Remove(id.inner())));
    // What of the piece was moved into it goes with it, and not back to where it stood; also what
    // is not seen there.
    Set<NodeId> inside = new HashSet<>();
    insertHolding(id)
        .flatMap(holding -> holding.getValue().inserted())
        .flatMap(tree -> tree.find(id.inner()))
        .ifPresent(tree -> tree.walk(node -> inside.add(node.id())));
    items.takenAlong(id, inside, edits);
    return edits.size() == 1 ? edits.get(0) : new Edit.Group(edits);
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
      throw Refused.at(moved, moved.kind().oneOfIt() + " cannot be moved into itself");
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
        parent.withChildren(List.of(Members.withoutMembers(moved))));
    NodeId into = e.parent().inner();
    LocalKey key = new LocalKey(id.inner(), Aspect.PLACED);
    Optional<Node> inserted =
        Optional.ofNullable(said(id).changes().get(key))
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
    if (item.find(e.parent()).isPresent()) {
      throw Refused.at(item, "An item cannot be moved into itself");
    }
    if (items.listOf(item.id()).equals(e.parent())) {
      return items.moved(item, e.index());
    }
    if (isList(e.parent())) {
      throw Refused.at(item, "An item belongs to its own list; add one to the other list");
    }
    return moveOut(e, item);
  }

  /** Whether a node stands in a placement that was inserted into another one. */
  private boolean insertedPlacement(NodeId id) {
    return shown.carrier(id).map(NodeId::isInside).orElse(false);
  }

  private Node copied(NodeId id) {
    return Lifting.from(stored, shown, library, showing, this::derived, id)
        .lifted(unfilled().taken(id).orElseThrow(() -> Refused.gone(id)));
  }

  /** A move out of a placement is a removal there and an independent copy elsewhere. */
  private Edit moveOut(Edit.Move e, Node moved) {
    Node copy = copied(moved.id());
    Edit.Insert there = new Edit.Insert(e.parent(), e.index(), copy);
    return new Edit.Group(
        List.of(remove(new Edit.Remove(e.node())), e.parent().isInside() ? insert(there) : there));
  }

  /** What is lifted out is read without what fills the site, so that its slots stay slots. */
  private Shown unfilled() {
    Showing bare = showing.withoutFillings();
    return bare == showing ? shown : Shown.of(stored, bare, library);
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
