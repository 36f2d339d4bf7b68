package goodbones.structure;

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
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** Makes a list of like things out of things that stand side by side, and takes it apart again. */
public final class Listing {
  private final Bench bench;

  public Listing(Bench bench) {
    this.bench = bench;
  }

  /**
   * Makes a list of something and all beside it that is built alike: the first of them becomes the
   * pattern, what differs in the others is said by their items.
   *
   * @throws Refused if it does not stand in the document's own tree, or cannot be repeated
   */
  public Edit make(NodeId id) {
    Node node = own(id);
    Node parent = bench.stored().parentOf(id).orElseThrow(() -> outermost(node));
    if (parent.kind() == Kind.PAGE || bench.stored().kind() == Kind.PAGE) {
      throw Refused.at(node, "A list belongs to a piece: keep what is around it as one first");
    }
    if (parent.kind() == Kind.PATTERN || node.kind().isMember()) {
      throw Refused.at(node, "It is made from a list's pattern already");
    }
    List<Node> alike = parent.children().stream().filter(each -> isAlike(node, each)).toList();
    Node first = alike.get(0);
    List<Node> list = new ArrayList<>();
    list.add(Node.of(bench.ids().get(), Kind.PATTERN, "").withChildren(List.of(first)));
    alike.forEach(each -> list.add(item(first, each)));
    List<Edit> edits = new ArrayList<>();
    alike.forEach(each -> edits.add(new Edit.Remove(each.id())));
    if (alike.size() == parent.children().size()) {
      edits.add(new Edit.Insert(parent.id(), 0, list.get(0)));
      for (int i = 1; i < list.size(); i++) {
        edits.add(new Edit.Insert(parent.id(), i - 1, list.get(i)));
      }
    } else if (parent.kind() == Kind.ROW) {
      throw Refused.at(
          node, "The other columns are built otherwise; put what is alike into a row of its own");
    } else {
      Node around = Node.of(bench.ids().get(), Kind.BOX, "").withChildren(list);
      edits.add(new Edit.Insert(parent.id(), parent.indexOf(first.id()), around));
    }
    return new Edit.Group(edits);
  }

  /**
   * Takes a list of the document's own apart: every item becomes what it shows, tied to nothing.
   *
   * @throws Refused if it is none, or does not stand in the document's own tree
   */
  public Edit plain(NodeId id) {
    Node list = own(id);
    if (!list.isList()) {
      throw Refused.at(list, "It is no list; there is nothing to take apart");
    }
    List<Edit> edits = new ArrayList<>();
    list.children().forEach(child -> edits.add(new Edit.Remove(child.id())));
    int at = 0;
    for (Node item : bench.member(id).children()) {
      if (item.kind() == Kind.ITEM) {
        Node shown = item.children().get(0);
        Node copy = bench.lifting(shown.id(), bench.derived(item.id())).lifted(item);
        edits.add(new Edit.Insert(id, at++, copy));
      }
    }
    return new Edit.Group(edits);
  }

  private Node own(NodeId id) {
    return bench
        .stored()
        .find(id)
        .orElseThrow(
            () ->
                Refused.at(
                    bench.member(id), "It comes from a piece; lists are made in the piece itself"));
  }

  private static Refused outermost(Node node) {
    return Refused.at(node, "The outermost part cannot be repeated; choose something inside it");
  }

  /** Whether two things have the same kinds of things in the same places. */
  private static boolean isAlike(Node one, Node other) {
    if (one.kind() != other.kind()
        || one.children().size() != other.children().size()
        || one.kind() == Kind.PLACEMENT
            && !one.placement()
                .map(Placement::pieceId)
                .equals(other.placement().map(Placement::pieceId))) {
      return false;
    }
    for (int i = 0; i < one.children().size(); i++) {
      if (!isAlike(one.children().get(i), other.children().get(i))) {
        return false;
      }
    }
    return true;
  }

  private Node item(Node pattern, Node like) {
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>();
    collect(pattern, like, changes);
    Node item = Node.item(bench.ids().get());
    return item.withName(like.name())
        .withPlacement(item.placement().orElseThrow().saying(Layer.NONE.withChanges(changes), 0));
  }

  private static void collect(Node pattern, Node like, TreeMap<LocalKey, LocalValue> changes) {
    Set<Aspect> aspects = new TreeSet<>(Aspect.of(pattern));
    aspects.addAll(Aspect.of(like));
    for (Aspect aspect : aspects) {
      Optional<LocalValue> value = aspect.read(like);
      if (value.isPresent() && !value.equals(aspect.read(pattern))) {
        changes.put(new LocalKey(pattern.id(), aspect), value.get());
      }
    }
    like.placement()
        .ifPresent(
            placed ->
                placed
                    .layer()
                    .changes()
                    .forEach(
                        (key, value) ->
                            changes.put(
                                new LocalKey(key.node().within(pattern.id()), key.aspect()),
                                value)));
    for (int i = 0; i < pattern.children().size(); i++) {
      collect(pattern.children().get(i), like.children().get(i), changes);
    }
  }
}
