package goodbones.library;

import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.Optional;
import java.util.Set;

/**
 * Where a shown node that stands in a placement comes from.
 *
 * @param libraryNode the node as the revision has it; empty for a local insert
 * @param changed the keys of this node's local changes, slot fillings included
 */
public record Origin(
    NodeId placement,
    String pieceId,
    int revision,
    Optional<Node> libraryNode,
    Set<LocalKey> changed) {}
