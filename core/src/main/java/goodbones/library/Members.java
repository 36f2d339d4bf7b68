package goodbones.library;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.PageShown;
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
   * A view of an expanded tree without its members: each placement and each item gives its place to
   * what it shows; patterns, and parts that are switched off, have none.
   */
  public static Node withoutMembers(Node node) {
    return drawn(node, Members::withoutMembers);
  }

  /** What a placement or an item shows outermost; anything else itself. */
  public static Node outermost(Node node) {
    Node at = node;
    while (at.kind().isMember() && !at.children().isEmpty()) {
      at = at.children().get(0);
    }
    return at;
  }

  /** A node as it is drawn, with what stands in it as that is drawn. */
  static Node drawn(Node node, UnaryOperator<Node> children) {
    Node at = outermost(node);
    List<Node> seen = new ArrayList<>(at.children().size());
    boolean same = true;
    for (Node child : at.children()) {
      if (isSeen(child)) {
        Node drawn = children.apply(child);
        same &= drawn == child;
        seen.add(drawn);
      } else {
        same = false;
      }
    }
    return named(node, showing(node, at, same ? at : at.withChildren(seen)));
  }

  /**
   * What a placement is called goes for what it shows; of several, what the outermost is called.
   */
  private static Node named(Node member, Node drawn) {
    Node at = member;
    while (at.kind().isMember() && at.name().isBlank() && !at.children().isEmpty()) {
      at = at.children().get(0);
    }
    return at.name().equals(drawn.name()) || !at.kind().isMember()
        ? drawn
        : drawn.withName(at.name());
  }

  /** What stands in items shows the page that they name, the innermost first. */
  private static Node showing(Node member, Node outermost, Node drawn) {
    Node at = member;
    List<String> pages = new ArrayList<>();
    while (at != outermost) {
      PageShown.of(at).ifPresent(page -> pages.add(0, page));
      at = at.children().get(0);
    }
    Node shown = drawn;
    for (String page : pages) {
      shown = PageShown.showing(shown, page);
    }
    return shown;
  }

  /** Whether there is anything of it to draw. */
  private static boolean isSeen(Node node) {
    if (node.options().off() || node.kind() == Kind.PATTERN) {
      return false;
    }
    if (node.kind().isMember() && !node.children().isEmpty()) {
      return isSeen(node.children().get(0));
    }
    // An item whose content was moved elsewhere.
    return node.kind() != Kind.ITEM;
  }
}
