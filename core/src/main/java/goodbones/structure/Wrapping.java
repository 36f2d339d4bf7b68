package goodbones.structure;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.style.Candidate;
import goodbones.style.Cascade;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts a container around things, and takes one away from around them. */
public final class Wrapping {
  private final Bench bench;
  private final Fresh fresh;

  public Wrapping(Bench bench) {
    this.bench = bench;
    this.fresh = new Fresh(bench.ids());
  }

  /**
   * Puts a container around siblings, where the first of them stands. A row gets a column for each.
   *
   * @param kind section, row or box
   * @throws Refused if they are no siblings, or it cannot stand there
   */
  public Edit wrap(List<NodeId> ids, Kind kind) {
    List<Node> nodes = bench.outermost(ids);
    Node first = nodes.get(0);
    Node parent = bench.needParent(first);
    for (Node node : nodes) {
      if (!bench.needParent(node).id().equals(parent.id())) {
        throw Refused.at(
            node,
            "It stands somewhere else than “"
                + first.title()
                + "”; choose things that stand"
                + " in the same container");
      }
    }
    if (kind != Kind.SECTION && kind != Kind.ROW && kind != Kind.BOX) {
      throw Refused.at(first, kind.oneOfIt() + " cannot be put around something");
    }
    if (!Catalogue.mayHold(parent.kind(), kind)) {
      throw Refused.at(first, Catalogue.misplaced(parent.kind(), kind));
    }
    Node wrapper = kind == Kind.ROW ? fresh.rowOf(List.of()) : fresh.of(kind);
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.Insert(parent.id(), parent.indexOf(first.id()), wrapper));
    NodeId around = bench.under(parent.id(), wrapper.id());
    for (int i = 0; i < nodes.size(); i++) {
      NodeId home = around;
      if (kind == Kind.ROW) {
        Node column = fresh.of(Kind.COLUMN);
        edits.add(new Edit.Insert(around, i, column));
        home = bench.under(around, column.id());
      }
      edits.add(new Edit.Move(nodes.get(i).id(), home, kind == Kind.ROW ? 0 : i));
    }
    return new Edit.Group(edits);
  }

  /**
   * Takes a container away; what stood in it takes its place and keeps the type settings that came
   * from it.
   *
   * @throws Refused if what is in it cannot stand there
   */
  public Edit unwrap(NodeId id) {
    Node node = bench.need(id);
    Node parent = bench.needParent(node);
    if (!node.kind().holdsOthers()) {
      throw Refused.at(node, node.kind().oneOfIt() + " is around nothing");
    }
    if (node.kind() == Kind.COLUMN) {
      return unwrapColumn(node, parent);
    }
    List<Node> content =
        node.kind() == Kind.ROW
            ? node.children().stream().flatMap(column -> column.children().stream()).toList()
            : node.children();
    Cascade cascade = bench.cascade();
    List<Edit> edits = new ArrayList<>();
    int at = parent.indexOf(id);
    for (Node child : content) {
      if (!Catalogue.mayHold(parent.kind(), child.kind())) {
        throw Refused.at(child, Catalogue.misplaced(parent.kind(), child.kind()));
      }
      List<Node> around =
          node.kind() == Kind.ROW ? List.of(bench.needParent(child), node) : List.of(node);
      edits.addAll(kept(child, around, cascade));
      edits.add(new Edit.Move(child.id(), parent.id(), at++));
    }
    edits.add(new Edit.Remove(id));
    return new Edit.Group(edits);
  }

  /** What stood in a column goes to its neighbour; the only column goes with its row. */
  private Edit unwrapColumn(Node column, Node row) {
    int index = row.indexOf(column.id());
    if (row.children().size() == 1) {
      return unwrap(row.id());
    }
    Node heir = row.children().get(index == 0 ? 1 : index - 1);
    List<Edit> edits = new ArrayList<>();
    int at = index == 0 ? 0 : heir.children().size();
    Cascade cascade = bench.cascade();
    for (Node child : column.children()) {
      edits.addAll(kept(child, List.of(column), cascade));
      edits.add(new Edit.Move(child.id(), heir.id(), at++));
    }
    edits.add(new Edit.Remove(column.id()));
    edits.addAll(RowEdits.without(row, index));
    return new Edit.Group(edits);
  }

  /**
   * The type settings that a child takes from containers that go, said at the child.
   *
   * @param around the nearest first
   */
  private static List<Edit> kept(Node child, List<Node> around, Cascade cascade) {
    List<Edit> edits = new ArrayList<>();
    for (StyleProperty property : StyleProperty.allInherited()) {
      if (!Catalogue.hasStyle(child.kind(), property)) {
        continue;
      }
      Optional<StyleValue> wider = Optional.empty();
      for (Device device : Device.values()) {
        Optional<StyleValue> from =
            around.stream()
                .map(node -> cascade.declared(node, property, device, State.NORMAL))
                .flatMap(Optional::stream)
                .findFirst()
                .flatMap(Candidate::value);
        boolean own = cascade.declared(child, property, device, State.NORMAL).isPresent();
        if (from.isPresent() && !own && !from.equals(wider)) {
          edits.add(new Edit.SetStyle(child.id(), StyleKey.of(property, device), from));
          wider = from;
        }
      }
    }
    return edits;
  }

  /** The containers in a subtree that add nothing. */
  public List<NodeId> needless(NodeId within) {
    return bench.need(within).all().stream().map(Node::id).filter(this::isNeedless).toList();
  }

  /**
   * Whether a container adds nothing: taking it away changes no box and no style of what stands in
   * it. That is worked out, not guessed.
   */
  public boolean isNeedless(NodeId id) {
    Node node = bench.need(id);
    boolean candidate =
        node.kind() == Kind.BOX
            || node.kind() == Kind.ROW && node.children().size() == 1
            || node.kind() == Kind.SECTION && node.children().size() == 1;
    if (!candidate || node.children().isEmpty()) {
      return false;
    }
    try {
      return new Proof(bench).staysAsItIs(unwrap(id), node);
    } catch (Refused notHere) {
      return false;
    }
  }
}
