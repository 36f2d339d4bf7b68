package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.Optional;
import java.util.Set;

/**
 * Where a shown node that stands in a placement comes from: layer by layer, the outermost placement
 * first.
 *
 * @param placement the outermost placement or item that it stands in
 * @param pieceId the piece that is placed there; none for an item of a list
 * @param revision the revision of it that is shown
 * @param libraryNode the node as that revision shows it, before this placement's local changes;
 *     empty for a local insert
 * @param changed the keys of this node's local changes at the placement, slot fillings included
 * @param varied what the piece's variant does to the node, where one is shown that does
 * @param inner where the node comes from inside that piece, if it stands in a placement there too;
 *     for a local insert, in a placement that was inserted
 */
public record Origin(
    NodeId placement,
    String pieceId,
    int revision,
    Optional<Node> libraryNode,
    Set<LocalKey> changed,
    Optional<Varied> varied,
    Optional<Origin> inner) {

  /** The innermost layer of a piece: that in whose own tree the node stands. */
  public Origin innermost() {
    return inner.map(Origin::innermost).filter(in -> !in.isOfItem()).orElse(this);
  }

  /** Whether it stands in an item of a list, and not in a placement of a piece. */
  public boolean isOfItem() {
    return pieceId.isEmpty();
  }

  /** As seen from the placement that holds what is done to it. */
  Origin carried() {
    return isOfInserted() ? inner.orElseThrow().carried() : this;
  }

  /** Whether the placement that holds what is done to a node says what a field of it holds. */
  boolean saysItself(NodeId node, String field) {
    Origin holder = carried();
    return holder.libraryNode().isEmpty()
        || holder.changed().stream()
            .anyMatch(
                key ->
                    key.aspect().equals(Aspect.content(field))
                        && (node.equals(key.node()) || node.value().endsWith("/" + key.node())));
  }

  /** Whether the document itself put it there, and not one of the pieces. */
  boolean isInserted() {
    return libraryNode.isEmpty() && inner.map(Origin::isInserted).orElse(true);
  }

  /** Whether it belongs to a placement that was inserted here, and not to what is placed here. */
  boolean isOfInserted() {
    return libraryNode.isEmpty() && inner.isPresent();
  }

  /**
   * The innermost placement that the node stands in, by its path; of what was moved elsewhere, the
   * one that it comes from.
   *
   * @return empty if it stands in items of the document's own lists only
   */
  public Optional<NodeId> placedIn() {
    return inner
        .flatMap(Origin::placedIn)
        .map(in -> in.within(placement))
        .or(() -> isOfItem() ? Optional.empty() : Optional.of(placement));
  }
}
