package goodbones.structure;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.layout.Arithmetic;
import goodbones.layout.Box;
import goodbones.layout.Measured;
import goodbones.layout.Screen;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Works out whether an edit leaves everything as it is seen: every box where it was at all three
 * widths, every text with the style that it had.
 */
public final class Proof {
  private static final double WITHIN = 0.02;
  private static final Set<StyleProperty> PAINT =
      Set.of(
          StyleProperty.BACKGROUND_COLOR,
          StyleProperty.OVERLAY_COLOR,
          StyleProperty.GRADIENT,
          StyleProperty.BORDER,
          StyleProperty.SHADOW,
          StyleProperty.RULE_WIDTH);

  private final Bench bench;

  public Proof(Bench bench) {
    this.bench = bench;
  }

  /**
   * Whether an edit of what is shown can be made without anything looking different, apart from a
   * container that goes, which must paint nothing itself.
   */
  boolean staysAsItIs(Edit edit, Node going) {
    return paintsNothing(going, bench.cascade()) && staysAsItIs(edit);
  }

  /** Whether an edit of what is shown can be made without anything looking different. */
  public boolean staysAsItIs(Edit edit) {
    Node root = concerned(edit);
    Node page = page(root);
    Node after = page(Editor.apply(root, edit).root());
    Cascade then = new Cascade(page, bench.shown(), bench.finishes());
    Cascade now = new Cascade(after, Shown.of(after), bench.finishes());
    for (Device each : Device.values()) {
      Screen screen = Screen.of(each);
      Map<NodeId, Box> boxes = Arithmetic.boxes(page, then, screen, Measured.GUESSED);
      Map<NodeId, Box> moved = Arithmetic.boxes(after, now, screen, Measured.GUESSED);
      for (Node node : after.all()) {
        boolean same =
            page.find(node.id())
                .map(was -> sameBox(was, boxes, moved) && sameType(was, node, then, now, screen))
                .orElse(true);
        if (!same) {
          return false;
        }
      }
    }
    return true;
  }

  /** What stands straight on the page and is not concerned only moves up or down with it. */
  private Node concerned(Edit edit) {
    List<NodeId> ids = edit.nodes();
    Node root = bench.root();
    return root.withChildren(
        root.children().stream()
            .filter(child -> ids.stream().anyMatch(id -> child.find(id).isPresent()))
            .toList());
  }

  private static Node page(Node root) {
    return root.kind() == Kind.PAGE
        ? root
        : Node.of(NodeId.of("proof-page"), Kind.PAGE, "").withChildren(List.of(root));
  }

  private static boolean paintsNothing(Node node, Cascade cascade) {
    if (node.kind() == Kind.SECTION && node.content().containsKey("picture")
        || node.scheme().isPresent()
        || !node.hiddenOn().isEmpty()) {
      return false;
    }
    for (Node box : node.kind() == Kind.ROW ? concat(node) : List.of(node)) {
      for (StyleProperty property : PAINT) {
        for (Device device : Device.values()) {
          boolean paints =
              Catalogue.hasStyle(box.kind(), property)
                  && !cascade
                      .won(box, property, device, State.NORMAL)
                      .css()
                      .equals(property.initial());
          if (paints) {
            return false;
          }
        }
      }
    }
    return true;
  }

  private static List<Node> concat(Node row) {
    List<Node> boxes = new ArrayList<>(row.children());
    boxes.add(row);
    return boxes;
  }

  private static boolean sameBox(Node node, Map<NodeId, Box> boxes, Map<NodeId, Box> moved) {
    Box was = boxes.get(node.id());
    Box is = moved.get(node.id());
    return was == null || is == null ? was == is : was.isNear(is, WITHIN);
  }

  private static boolean sameType(Node was, Node is, Cascade then, Cascade now, Screen screen) {
    if (!is.kind().isElement()) {
      return true;
    }
    for (StyleProperty property : Catalogue.styles(is.kind())) {
      for (State state : Catalogue.states(is.kind())) {
        boolean same =
            !property.inherited()
                || then.won(was, property, screen.device(), state)
                    .css()
                    .equals(now.won(is, property, screen.device(), state).css());
        if (!same) {
          return false;
        }
      }
    }
    return true;
  }
}
