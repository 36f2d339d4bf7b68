package goodbones.library;

import goodbones.document.Kind;
import goodbones.document.Node;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** Placements as members of an expanded tree, which draw no box. */
public final class Members {
  private Members() {}

  /** A node with its children changed; whatever does not change stays the same object. */
  static Node mapChildren(Node node, UnaryOperator<Node> change) {
    List<Node> children = new ArrayList<>(node.children().size());
    boolean same = true;
    for (Node child : node.children()) {
      Node changed = change.apply(child);
      same &= changed == child;
      children.add(changed);
    }
    return same ? node : node.withChildren(children);
  }

  /**
   * A view of an expanded tree without its members: each placement gives its place to what it
   * shows.
   */
  public static Node withoutMembers(Node node) {
    Node at = node;
    while (at.kind() == Kind.PLACEMENT && !at.children().isEmpty()) {
      at = at.children().get(0);
    }
    return mapChildren(at, Members::withoutMembers);
  }
}
