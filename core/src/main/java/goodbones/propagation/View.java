package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Overlay;
import goodbones.library.RevisionIndex;
import goodbones.library.Standing;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What a placement shows under a revision: where everything stands, and what of it is seen. */
final class View {
  private final RevisionIndex revision;
  private final Placement placement;
  private final Standing standing;
  private @Nullable Node shown;

  View(RevisionIndex revision, Placement placement) {
    this.revision = revision;
    this.placement = placement;
    this.standing = new Standing(revision, placement);
  }

  RevisionIndex revision() {
    return revision;
  }

  /** Where everything stands, removed subtrees included. */
  Standing standing() {
    return standing;
  }

  Node shown() {
    Node made = shown;
    if (made == null) {
      made = Overlay.show(revision, placement);
      shown = made;
    }
    return made;
  }

  /** Whether a change has a place in the shown tree: a node that is not inside something hidden. */
  boolean sees(LocalKey key) {
    if (!revision.has(key.node()) && standing.parent(key.node()).isEmpty()) {
      return false;
    }
    Set<NodeId> line = standing.upwards(key.node());
    boolean hides =
        key.aspect() instanceof Aspect.Removed || key.aspect() instanceof Aspect.Switched;
    if (hides) {
      line.remove(key.node());
    }
    return line.stream().noneMatch(id -> isRemovedHere(id) || isOff(id));
  }

  private boolean isRemovedHere(NodeId id) {
    return placement.changes().containsKey(new LocalKey(id, Aspect.REMOVED));
  }

  private boolean isOff(NodeId id) {
    return switchedHere(id)
        .map(is -> !is.on())
        .orElseGet(() -> revision.node(id).map(node -> node.options().off()).orElse(false));
  }

  private Optional<LocalValue.SwitchedIs> switchedHere(NodeId id) {
    return placement.changes().get(new LocalKey(id, Aspect.SWITCHED))
            instanceof LocalValue.SwitchedIs is
        ? Optional.of(is)
        : Optional.empty();
  }

  /** The outermost part around a node that the revision switches off, and nobody here. */
  Optional<NodeId> switchedOff(NodeId id) {
    return standing.upwards(id).stream()
        .filter(at -> switchedHere(at).isEmpty() && isOff(at))
        .reduce((inner, outer) -> outer);
  }
}
