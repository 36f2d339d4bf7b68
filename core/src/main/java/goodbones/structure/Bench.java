package goodbones.structure;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/**
 * What hands work on: a document as it is stored and as it is shown, in a site's look.
 *
 * @param stored differs from what is shown only where placements stand
 * @param ids gives an id that was never used
 */
public record Bench(Node stored, Shown shown, SiteFinishes finishes, Supplier<NodeId> ids) {

  Node root() {
    return shown.root();
  }

  /** A cascade of what is shown; it keeps what it has worked out. */
  Cascade cascade() {
    return new Cascade(shown.root(), shown, finishes);
  }

  /**
   * @throws Refused if it is not there
   */
  Node need(NodeId id) {
    return root().find(id).orElseThrow(() -> Refused.gone(id));
  }

  Optional<Node> parent(Node node) {
    return root().parentOf(node.id());
  }

  /**
   * @throws Refused if it is the outermost node
   */
  Node needParent(Node node) {
    return parent(node)
        .orElseThrow(
            () ->
                Refused.at(
                    node,
                    "The outermost "
                        + node.kind().word()
                        + " stays where it is; choose"
                        + " something inside it"));
  }

  /** How something that is put under a parent is addressed once it stands there. */
  static NodeId under(NodeId parent, NodeId fresh) {
    return parent.isInside() ? fresh.within(parent.outer()) : fresh;
  }

  /** Whether a node is the outermost of a placement. */
  boolean isPlaced(Node node) {
    return node.id().isInside() && parent(node).map(parent -> !parent.id().isInside()).orElse(true);
  }

  /** The nodes with those left out that stand inside another of them, in the document's order. */
  List<Node> outermost(List<NodeId> ids) {
    Set<NodeId> wanted = new HashSet<>(ids);
    wanted.forEach(this::need);
    List<Node> list = new ArrayList<>();
    collect(root(), wanted, list);
    return list;
  }

  private static void collect(Node node, Set<NodeId> wanted, List<Node> list) {
    if (wanted.contains(node.id())) {
      list.add(node);
    } else {
      node.children().forEach(child -> collect(child, wanted, list));
    }
  }

  /** A node as it is to be copied: a placement with its local changes, else what is shown. */
  Node toCopy(Node node) {
    return isPlaced(node) ? stored.find(node.id().outer()).orElse(node) : node;
  }
}
