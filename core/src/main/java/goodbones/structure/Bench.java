package goodbones.structure;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.library.Library;
import goodbones.library.Lifting;
import goodbones.library.Relocations;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * What hands work on: a document as it is stored and as it is shown, in a site's look.
 *
 * @param stored differs from what is shown only where placements stand
 * @param ids gives an id that was never used
 * @param library where the pieces are looked up that stand in the document
 * @param showing which revisions its placements show
 */
public record Bench(
    Node stored,
    Shown shown,
    SiteFinishes finishes,
    Supplier<NodeId> ids,
    Library library,
    Showing showing) {

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
  NodeId under(NodeId parent, NodeId fresh) {
    return shown.under(parent, fresh);
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

  /** A node as it is to be copied: as it is stored, what stands in it as a placement tied. */
  Node toCopy(Node node) {
    NodeId id = shown.outward(node.id());
    return id.isInside()
        ? lifting(node.id(), derived(shown.carrier(id).orElseThrow())).lifted(member(id))
        : stored.find(id).orElse(node);
  }

  /**
   * Ids for copies of what stands in a placement: derived, so that it can be known again what a
   * copy was made of.
   */
  UnaryOperator<NodeId> derived(NodeId placement) {
    String prefix = placement.value() + "/";
    Map<NodeId, NodeId> given = new HashMap<>();
    return id ->
        given.computeIfAbsent(
            id,
            each -> {
              String path = each.value();
              NodeId inside =
                  path.startsWith(prefix) ? NodeId.of(path.substring(prefix.length())) : each;
              NodeId copy = Relocations.unlinked(placement, inside);
              return stored.find(copy).isEmpty() ? copy : ids.get();
            });
  }

  /** Lifts out of its placement what is shown there. */
  Lifting lifting(NodeId at, UnaryOperator<NodeId> newIds) {
    return Lifting.from(stored, shown, library, showing, newIds, at);
  }

  /**
   * A node with the placements in it as members.
   *
   * @throws Refused if it is not there
   */
  Node member(NodeId id) {
    return shown.members().find(id).orElseThrow(() -> Refused.gone(id));
  }
}
