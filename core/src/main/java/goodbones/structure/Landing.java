package goodbones.structure;

import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Members;
import goodbones.library.UnknownPiece;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Puts things down where the hand lets go: into a container, before one of its children, or beside
 * something. Only the containers that the catalogue needs are made; none is forced on what can
 * stand there by itself.
 */
public final class Landing {
  /** What is put down. */
  public sealed interface Load {}

  /** Nodes that stand in the document, to be moved. */
  public record Carried(List<NodeId> ids) implements Load {
    public Carried {
      ids = List.copyOf(ids);
    }
  }

  /** Nodes that are not in the document yet. */
  public record Brought(List<Node> nodes) implements Load {
    public Brought {
      nodes = List.copyOf(nodes);
    }
  }

  private final Bench bench;
  private final Fresh fresh;

  public Landing(Bench bench) {
    this.bench = bench;
    this.fresh = new Fresh(bench.ids());
  }

  /**
   * Puts a load into a container.
   *
   * @param before the child before which it goes; empty for the end
   * @throws Refused if it cannot stand there
   */
  public Edit into(NodeId parentId, Optional<NodeId> before, Load load) {
    Node parent = bench.need(parentId);
    List<Node> nodes = nodes(load);
    if (nodes.isEmpty()) {
      throw Refused.at(parent, "There is nothing to put down here");
    }
    for (Node node : nodes) {
      if (node.find(parentId).isPresent()) {
        throw Refused.at(node, node.kind().oneOfIt() + " cannot be moved into itself");
      }
    }
    if (bench.isList(parentId)
        && !(load instanceof Carried
            && nodes.stream().allMatch(node -> bench.item(node).isPresent()))) {
      throw Refused.at(parent, Catalogue.LIST_HOLDS_ITEMS);
    }
    int index = index(parent, before, load);
    boolean columns = nodes.stream().allMatch(node -> kindOf(node) == Kind.COLUMN);
    List<Edit> edits = new ArrayList<>();
    if (parent.kind() == Kind.ROW) {
      intoRow(parent, index, load, columns, edits);
    } else if (columns && Catalogue.mayHold(parent.kind(), Kind.ROW)) {
      Node row = fresh.rowOf(List.of());
      edits.add(new Edit.Insert(parentId, index, row));
      put(load, bench.under(parentId, row.id()), 0, edits);
    } else {
      nodes.forEach(node -> requireHome(parent, node));
      put(load, parentId, index, edits);
    }
    return new Edit.Group(edits);
  }

  /**
   * Puts a load as near to something as it can stand: into it, else right after it, else after what
   * is around it. Rows go after a row, not into a column of it.
   *
   * @param before the child before which it goes if it goes into it; empty for the end
   * @throws Refused if it can stand nowhere around it
   */
  public Edit near(NodeId id, Optional<NodeId> before, Load load) {
    Node at = bench.need(id);
    Optional<NodeId> next = before;
    while (true) {
      Optional<Node> parent = bench.parent(at);
      try {
        if (at.kind().holdsOthers() && !(at.kind() == Kind.ROW && isRows(load))) {
          return into(at.id(), next, load);
        }
      } catch (Refused notHere) {
        if (parent.isEmpty()) {
          throw notHere;
        }
      }
      Node around = parent.orElseThrow();
      int after = around.indexOf(at.id()) + 1;
      next =
          after < around.children().size()
              ? Optional.of(around.children().get(after).id())
              : Optional.empty();
      at = around;
    }
  }

  /**
   * Puts a load beside something: into a column of its own in the same row, or in a new row with
   * it.
   *
   * @throws Refused if it cannot stand there
   */
  public Edit beside(NodeId targetId, boolean after, Load load) {
    Node target = bench.need(targetId);
    if (nodes(load).stream().anyMatch(node -> node.find(targetId).isPresent())) {
      throw Refused.at(target, "A thing cannot be put beside itself");
    }
    Node parent = bench.needParent(target);
    boolean alone = parent.kind() == Kind.COLUMN && parent.children().size() == 1;
    Node column = target.kind() == Kind.COLUMN ? target : alone ? parent : null;
    if (column != null) {
      Node row = bench.needParent(column);
      int at = row.indexOf(column.id()) + (after ? 1 : 0);
      Optional<NodeId> before =
          at < row.children().size() ? Optional.of(row.children().get(at).id()) : Optional.empty();
      return into(row.id(), before, load);
    }
    if (bench.isList(parent.id())) {
      throw Refused.at(target, Catalogue.LIST_HOLDS_ITEMS);
    }
    if (!Catalogue.mayHold(parent.kind(), Kind.ROW)
        || !Catalogue.mayHold(Kind.COLUMN, target.kind())) {
      throw Refused.at(
          target, "Nothing can stand beside a " + target.kind().word() + "; put it above or below");
    }
    List<Edit> edits = new ArrayList<>();
    Node own = fresh.of(Kind.COLUMN);
    Node row = fresh.rowOf(List.of(own));
    edits.add(new Edit.Insert(parent.id(), parent.indexOf(targetId), row));
    row = row.withId(bench.under(parent.id(), row.id()));
    edits.add(new Edit.Move(targetId, bench.under(parent.id(), own.id()), 0));
    boolean columns = nodes(load).stream().allMatch(node -> kindOf(node) == Kind.COLUMN);
    intoRow(row, after ? 1 : 0, load, columns, edits);
    return new Edit.Group(edits);
  }

  private List<Node> nodes(Load load) {
    return load instanceof Carried carried
        ? bench.outermost(carried.ids())
        : ((Brought) load).nodes();
  }

  private boolean isRows(Load load) {
    return nodes(load).stream().allMatch(node -> kindOf(node) == Kind.ROW);
  }

  /** The index among the children that stay. */
  private int index(Node parent, Optional<NodeId> before, Load load) {
    List<NodeId> moving =
        load instanceof Carried ? nodes(load).stream().map(Node::id).toList() : List.of();
    int index = 0;
    for (Node child : parent.children()) {
      if (before.isPresent() && child.id().equals(before.get())) {
        return index;
      }
      index += moving.contains(child.id()) ? 0 : 1;
    }
    return index;
  }

  /** A placement stands where the outermost node of its piece could. */
  private Kind kindOf(Node node) {
    Optional<Placement> placed = node.placement().filter(p -> node.kind() == Kind.PLACEMENT);
    try {
      return placed
          .map(p -> bench.library().expanded(p.pieceId(), bench.showing().shownBy(p)))
          .map(piece -> piece.drawn().kind())
          .orElse(node.kind() == Kind.PLACEMENT ? Kind.SECTION : node.kind());
    } catch (UnknownPiece unknown) {
      return Kind.SECTION;
    }
  }

  private void requireHome(Node parent, Node node) {
    Kind kind = kindOf(node);
    if (!Catalogue.mayHold(parent.kind(), kind)) {
      throw Refused.at(node, Catalogue.misplaced(parent.kind(), kind));
    }
  }

  /** Columns join the row; anything else gets a column of its own. */
  private void intoRow(Node row, int index, Load load, boolean columns, List<Edit> edits) {
    List<Node> nodes = nodes(load);
    boolean sameRow =
        load instanceof Carried && nodes.stream().allMatch(node -> row.indexOf(node.id()) >= 0);
    if (columns) {
      if (!sameRow) {
        RowEdits.requireRoom(row, row.children().size() + nodes.size());
      }
      put(load, row.id(), index, edits);
    } else {
      Node column = fresh.of(Kind.COLUMN);
      nodes.forEach(node -> requireHome(column, node));
      RowEdits.requireRoom(row, row.children().size() + 1);
      edits.add(new Edit.Insert(row.id(), index, column));
      put(load, bench.under(row.id(), column.id()), 0, edits);
    }
    if (!sameRow) {
      edits.addAll(RowEdits.equally(row));
    }
  }

  /** Moves or inserts; rows that columns leave close up, and go when they are empty. */
  private void put(Load load, NodeId parent, int index, List<Edit> edits) {
    if (load instanceof Brought brought) {
      int at = index;
      for (Node node : brought.nodes()) {
        edits.add(new Edit.Insert(parent, at++, node));
      }
      return;
    }
    Map<NodeId, List<Node>> leaving = new LinkedHashMap<>();
    int at = index;
    for (Node node : nodes(load)) {
      if (node.kind() == Kind.COLUMN) {
        Node row = bench.needParent(node);
        if (!row.id().equals(parent)) {
          leaving.computeIfAbsent(row.id(), id -> new ArrayList<>()).add(node);
        }
      }
      edits.add(new Edit.Move(node.id(), parent, at++));
    }
    leaving.forEach((row, columns) -> closeUp(bench.need(row), columns, edits));
  }

  private void closeUp(Node row, List<Node> gone, List<Edit> edits) {
    if (bench.isList(row.id())) {
      if (gone.size() < row.children().size()) {
        edits.addAll(RowEdits.equally(row));
      }
    } else if (gone.size() == row.children().size()) {
      edits.add(new Edit.Remove(row.id()));
    } else if (gone.size() == 1) {
      edits.addAll(RowEdits.without(row, row.indexOf(gone.get(0).id())));
    } else {
      edits.addAll(RowEdits.equally(row));
    }
  }

  /**
   * A new item at the end of a list, or right after one of its items.
   *
   * @param id the list, or something in one of its items
   * @throws Refused if it is neither
   */
  public Edit addItem(NodeId id) {
    Node node = bench.member(id);
    Optional<Node> around = Optional.empty();
    while (!node.isList()) {
      around = node.kind() == Kind.ITEM ? Optional.of(node) : around;
      Optional<Node> parent = bench.shown().members().parentOf(node.id());
      node = parent.orElseThrow(() -> Refused.at(bench.member(id), "It stands in no list"));
      if (!node.isList()) {
        around = Optional.empty();
      }
    }
    List<Node> items = node.children().subList(1, node.children().size());
    int index = around.map(item -> items.indexOf(item) + 1).orElse(items.size());
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.Insert(node.id(), index, Node.item(bench.ids().get())));
    if (node.kind() == Kind.ROW) {
      RowEdits.requireRoom(bench.need(node.id()), items.size() + 1);
      edits.addAll(RowEdits.equally(bench.need(node.id())));
    }
    return new Edit.Group(edits);
  }

  /** Copies of things, each right after its original. */
  public Edit duplicate(List<NodeId> ids) {
    List<Edit> edits = new ArrayList<>();
    for (Node node : bench.outermost(ids)) {
      Node parent = bench.needParent(node);
      Node copy = Copies.of(bench.toCopy(node), bench.ids());
      if (node.kind() == Kind.COLUMN) {
        RowEdits.requireRoom(parent, parent.children().size() + 1);
        edits.addAll(RowEdits.equally(parent));
      }
      edits.add(0, new Edit.Insert(parent.id(), parent.indexOf(node.id()) + 1, copy));
    }
    return new Edit.Group(edits);
  }

  /**
   * Makes an independent copy of a placement in its place: what it shows, tied to nothing. The
   * placements inside stay tied, unless all are to be copies.
   *
   * @param id the placement, or something in it; then it is the innermost one around that
   * @param allTheWayDown whether the placements inside become copies too
   * @throws Refused if the node does not stand in a placement
   */
  public Edit unlink(NodeId id, boolean allTheWayDown) {
    Node member = placementAround(id);
    Node outermost = member.children().get(0);
    Node drawn = Members.withoutMembers(outermost);
    Node shownThere = bench.need(drawn.id());
    Node parent = bench.needParent(shownThere);
    UnaryOperator<NodeId> ids = bench.derived(member.id());
    Node copy =
        allTheWayDown ? drawn.mapIds(ids) : bench.lifting(outermost.id(), ids).lifted(outermost);
    String name = shownThere.name();
    Node called = name.equals(drawn.name()) ? copy : copy.withName(name);
    return new Edit.Group(
        List.of(
            new Edit.Insert(parent.id(), parent.indexOf(shownThere.id()), called),
            new Edit.Remove(member.id())));
  }

  private Node placementAround(NodeId id) {
    Optional<Node> at = Optional.of(bench.member(id));
    while (at.isPresent() && at.get().kind() != Kind.PLACEMENT) {
      at = bench.shown().members().parentOf(at.get().id());
    }
    return at.orElseThrow(
        () ->
            Refused.at(bench.member(id), "It is tied to no piece, so there is nothing to unlink"));
  }

  /** Takes things away; columns give their share to their neighbours. */
  public Edit remove(List<NodeId> ids) {
    List<Edit> edits = new ArrayList<>();
    Map<NodeId, List<Node>> columns = new LinkedHashMap<>();
    for (Node node : bench.outermost(ids)) {
      bench.needParent(node);
      if (node.kind() == Kind.COLUMN) {
        columns.computeIfAbsent(bench.needParent(node).id(), id -> new ArrayList<>()).add(node);
      } else {
        edits.add(new Edit.Remove(node.id()));
      }
    }
    columns.forEach(
        (id, gone) -> {
          Node row = bench.need(id);
          if (gone.size() < row.children().size() || bench.isList(id)) {
            gone.forEach(column -> edits.add(new Edit.Remove(column.id())));
          }
          closeUp(row, gone, edits);
        });
    return new Edit.Group(edits);
  }
}
