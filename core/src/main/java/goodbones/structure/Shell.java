package goodbones.structure;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import java.util.SortedMap;
import java.util.TreeMap;

/** The shell of a piece: what its outermost box looks like, with nothing in it. */
public final class Shell {
  private Shell() {}

  /**
   * An empty box that looks as a piece’s outermost one, tied to nothing. Its background, spacing,
   * width and type settings come along; what it holds, and its picture, do not.
   *
   * @param root the piece’s outermost node as it is drawn; it is not modified
   * @throws Refused if nothing could stand in it
   */
  public static Node of(Node root, NodeId id) {
    if (!root.kind().holdsOthers()) {
      throw Refused.at(
          root, root.kind().oneOfIt() + " is no shell: nothing can stand in it; place it whole");
    }
    SortedMap<StyleKey, StyleValue> look = new TreeMap<>(root.styles());
    // How columns share a row says nothing where there are none.
    look.keySet().removeIf(key -> key.property() == StyleProperty.COLUMNS);
    return Node.of(id, root.kind(), "")
        .withStyles(look)
        .withNamedStyles(root.namedStyles())
        .withScheme(root.scheme());
  }
}
