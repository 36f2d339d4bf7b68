package goodbones.propagation;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Overlay;
import goodbones.library.RevisionIndex;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What a placement showed under the revision on which some of its changes were made. */
final class Before {
  private final RevisionIndex revision;
  private final Placement placement;
  private final Map<NodeId, NodeId> parents;
  private @Nullable Node shown;

  Before(RevisionIndex revision, Placement placement) {
    this.revision = revision;
    this.placement = placement;
    this.parents = Overlay.parents(revision.root(), placement);
  }

  RevisionIndex revision() {
    return revision;
  }

  /** Child to parent as shown, removed subtrees included. */
  Map<NodeId, NodeId> parents() {
    return parents;
  }

  Node shown() {
    Node made = shown;
    if (made == null) {
      made = Overlay.show(revision.root(), placement);
      shown = made;
    }
    return made;
  }
}
