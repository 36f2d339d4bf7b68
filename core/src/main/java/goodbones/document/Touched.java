package goodbones.document;

import java.util.Set;
import java.util.TreeSet;

/**
 * The nodes that an edit changes, by their address in what is shown. Two edits that touch different
 * nodes can both hold, whichever comes first.
 */
public final class Touched {
  private Touched() {}

  /**
   * @param root what is shown, or stored, before the edit; taking a node away touches all in it
   */
  public static Set<NodeId> by(Edit edit, Node root) {
    Set<NodeId> touched = new TreeSet<>();
    collect(edit, root, touched);
    return touched;
  }

  private static void collect(Edit edit, Node root, Set<NodeId> touched) {
    if (edit instanceof Edit.Group group) {
      group.edits().forEach(each -> collect(each, root, touched));
    } else if (edit instanceof Edit.Remove e) {
      touched.add(e.node());
      root.find(e.node()).ifPresent(node -> node.walk(inside -> touched.add(inside.id())));
    } else if (edit instanceof Edit.Move e) {
      touched.add(e.node());
    } else if (edit instanceof Edit.SetLocal e) {
      touched.add(e.key().node().within(e.placement()));
    } else if (!(edit instanceof Edit.Insert) && !(edit instanceof Edit.SetOrder)) {
      touched.addAll(edit.nodes());
    }
  }
}
