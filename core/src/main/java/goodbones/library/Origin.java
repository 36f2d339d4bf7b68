package goodbones.library;

import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.Optional;
import java.util.Set;

/**
 * Where a shown node that stands in a placement comes from: layer by layer, the outermost placement
 * first.
 *
 * @param placement the outermost placement that it stands in
 * @param pieceId the piece that is placed there
 * @param revision the revision of it that is shown
 * @param libraryNode the node as that revision shows it, before this placement's local changes;
 *     empty for a local insert
 * @param changed the keys of this node's local changes at the placement, slot fillings included
 * @param inner where the node comes from inside that piece, if it stands in a placement there too;
 *     for a local insert, in a placement that was inserted
 */
public record Origin(
    NodeId placement,
    String pieceId,
    int revision,
    Optional<Node> libraryNode,
    Set<LocalKey> changed,
    Optional<Origin> inner) {

  /** The innermost layer: the piece in whose own tree the node stands. */
  public Origin innermost() {
    return inner.map(Origin::innermost).orElse(this);
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
   * The placements that the node stands in, from the outside in, by their paths; of what was moved
   * elsewhere, those that it comes from.
   */
  public NodeId path() {
    return inner.map(in -> in.path().within(placement)).orElse(placement);
  }
}
