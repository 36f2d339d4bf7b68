package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  private LocalEdits(Node stored, Shown shown) {
    this.stored = stored;
    this.shown = shown;
  }

  /**
   * @param stored the page as it is stored
   * @param shown the page as it is shown; edits are aimed at its nodes
   * @throws Refused if the edit makes no sense inside a placement, or its target is not there
   */
  static Edit translate(Node stored, Shown shown, Edit edit) {
    return new LocalEdits(stored, shown).translate(edit);
  }

  private Edit translate(Edit edit) {
    if (edit instanceof Edit.Group group) {
      return new Edit.Group(group.edits().stream().map(this::translate).toList());
    } else if (edit instanceof Edit.Insert e && e.parent().isInside()) {
      return insert(e);
    } else if (edit instanceof Edit.Remove e && e.node().isInside()) {
      return remove(e);
    } else if (edit instanceof Edit.Move e && (e.node().isInside() || e.parent().isInside())) {
      return move(e);
    } else if (edit instanceof Edit.SetContent e && e.node().isInside()) {
      return content(e);
    } else if (edit instanceof Edit.SetStyle e && e.node().isInside()) {
      Aspect aspect = Aspect.style(e.key());
      boolean inPiece =
          libraryNode(e.node()).map(n -> n.styles().containsKey(e.key())).orElse(false);
      boolean nothing = e.value().isEmpty() && !inPiece;
      return local(e.node(), aspect, new LocalValue.StyleIs(e.value()), nothing)
          .orElseGet(
              () -> inInsert(e.node(), new Edit.SetStyle(e.node().inner(), e.key(), e.value())));
    } else if (edit instanceof Edit.SetVisibility e && e.node().isInside()) {
      return local(e.node(), Aspect.VISIBILITY, new LocalValue.HiddenOn(e.hiddenOn()), false)
          .orElseGet(
              () -> inInsert(e.node(), new Edit.SetVisibility(e.node().inner(), e.hiddenOn())));
    } else if (edit instanceof Edit.SetNamedStyles e && e.node().isInside()) {
      return local(e.node(), Aspect.NAMED_STYLES, new LocalValue.NamedStylesAre(e.ids()), false)
          .orElseGet(() -> inInsert(e.node(), new Edit.SetNamedStyles(e.node().inner(), e.ids())));
    } else if (edit instanceof Edit.SetScheme e && e.node().isInside()) {
      return local(e.node(), Aspect.SCHEME, new LocalValue.SchemeIs(e.scheme()), false)
          .orElseGet(() -> inInsert(e.node(), new Edit.SetScheme(e.node().inner(), e.scheme())));
    } else if (edit instanceof Edit.Rename e && e.node().isInside()) {
      throw Refused.at(node(e.node()), "Its name belongs to the piece; rename it there");
    } else if (edit instanceof Edit.SetSlot e && e.node().isInside()) {
      throw Refused.at(node(e.node()), "What is a slot is said in the piece; change it there");
    }
    return edit;
  }

  private Node node(NodeId id) {
    return shown.root().find(id).orElseThrow(() -> Refused.gone(id));
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
      return inInsert(e.node(), new Edit.SetContent(e.node().inner(), e.field(), e.value()));
    }
    LocalKey key = new LocalKey(e.node().inner(), Aspect.content(e.field()));
    boolean slot = library.get().slots().contains(e.field());
    boolean same = e.value().equals(Optional.ofNullable(library.get().content().get(e.field())));
    Optional<LocalValue> value =
        same && !slot ? Optional.empty() : e.value().map(LocalValue.ContentIs::new);
    return new Edit.SetLocal(e.node().outer(), key, value);
  }

  /** A local change of a library node; empty if the node is a local insert's. */
  private Optional<Edit> local(NodeId id, Aspect aspect, LocalValue value, boolean nothing) {
    return libraryNode(id)
        .map(
            node -> {
              LocalKey key = new LocalKey(id.inner(), aspect);
              boolean same = new RevisionIndex(node).value(key).map(value::equals).orElse(false);
              return new Edit.SetLocal(
                  id.outer(), key, nothing || same ? Optional.empty() : Optional.of(value));
            });
  }

  /** An edit inside a local insert, carried out on the insert itself. */
  private Edit inInsert(NodeId id, Edit inner) {
    Map.Entry<LocalKey, LocalValue.PlacedUnder> insert =
        insertHolding(id).orElseThrow(() -> Refused.gone(id));
    Node subtree = insert.getValue().inserted().orElseThrow();
    Node edited = Editor.apply(subtree, inner).root();
    return new Edit.SetLocal(
        id.outer(),
        insert.getKey(),
        Optional.of(new LocalValue.PlacedUnder(insert.getValue().parent(), Optional.of(edited))));
  }

  private Optional<Map.Entry<LocalKey, LocalValue.PlacedUnder>> insertHolding(NodeId id) {
    for (Map.Entry<LocalKey, LocalValue> entry : placement(id).changes().entrySet()) {
      if (entry.getValue() instanceof LocalValue.PlacedUnder placed
          && placed.inserted().flatMap(n -> n.find(id.inner())).isPresent()) {
        return Optional.of(Map.entry(entry.getKey(), placed));
      }
    }
    return Optional.empty();
  }

  private boolean isPlacementRoot(NodeId id) {
    return shown.root().parentOf(id).map(parent -> !parent.id().isInside()).orElse(true);
  }

  private Edit insert(Edit.Insert e) {
    if (insertHolding(e.parent()).isPresent()) {
      return inInsert(e.parent(), new Edit.Insert(e.parent().inner(), e.index(), e.subtree()));
    }
    Node parent = node(e.parent());
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

  private Edit remove(Edit.Remove e) {
    if (isPlacementRoot(e.node())) {
      return new Edit.Remove(e.node().outer());
    }
    if (libraryNode(e.node()).isPresent()) {
      return new Edit.SetLocal(
          e.node().outer(),
          new LocalKey(e.node().inner(), Aspect.REMOVED),
          Optional.of(new LocalValue.IsRemoved()));
    }
    LocalKey own = new LocalKey(e.node().inner(), Aspect.PLACED);
    List<Edit> edits = new ArrayList<>();
    edits.add(
        placement(e.node()).changes().containsKey(own)
            ? new Edit.SetLocal(e.node().outer(), own, Optional.empty())
            : inInsert(e.node(), new Edit.Remove(e.node().inner())));
    // What of the piece was moved into it goes with it, and not back to where it stood.
    node(e.node())
        .walk(
            inside -> {
              if (libraryNode(inside.id()).isPresent()) {
                edits.add(
                    new Edit.SetLocal(
                        e.node().outer(),
                        new LocalKey(inside.id().inner(), Aspect.REMOVED),
                        Optional.of(new LocalValue.IsRemoved())));
              }
            });
    return edits.size() == 1 ? edits.get(0) : new Edit.Group(edits);
  }

  private Edit move(Edit.Move e) {
    if (e.node().isInside() && isPlacementRoot(e.node())) {
      return new Edit.Move(e.node().outer(), e.parent(), e.index());
    }
    Node moved = node(e.node());
    Node parent = node(e.parent());
    if (!e.node().isInside()) {
      return new Edit.Group(
          List.of(
              new Edit.Remove(e.node()), insert(new Edit.Insert(e.parent(), e.index(), moved))));
    }
    if (!e.parent().isInside() || !e.node().outer().equals(e.parent().outer())) {
      return moveOut(e, moved);
    }
    if (moved.find(e.parent()).isPresent()) {
      throw Refused.at(moved, "A " + moved.kind().word() + " cannot be moved into itself");
    }
    Catalogue.requireNoneNew(parent.withChildren(List.of()), parent.withChildren(List.of(moved)));
    NodeId into = e.parent().inner();
    LocalKey key = new LocalKey(e.node().inner(), Aspect.PLACED);
    Optional<Node> inserted =
        Optional.ofNullable(placement(e.node()).changes().get(key))
            .map(v -> (LocalValue.PlacedUnder) v)
            .flatMap(LocalValue.PlacedUnder::inserted);
    if (inserted.isEmpty() && libraryNode(e.node()).isEmpty()) {
      return inInsert(e.node(), new Edit.Move(e.node().inner(), into, e.index()));
    }
    return new Edit.Group(
        List.of(
            new Edit.SetLocal(
                e.node().outer(), key, Optional.of(new LocalValue.PlacedUnder(into, inserted))),
            new Edit.SetOrder(
                e.node().outer(), into, orderWith(parent, e.node().inner(), e.index()))));
  }

  /** A move out of a placement is a removal there and an independent copy elsewhere. */
  private Edit moveOut(Edit.Move e, Node moved) {
    Node copy = moved.mapIds(this::derived);
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
