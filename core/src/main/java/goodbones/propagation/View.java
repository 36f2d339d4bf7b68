package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Overlay;
import goodbones.library.RevisionIndex;
import goodbones.library.Standing;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What a placement shows under a revision: where everything stands, and what of it is seen. */
final class View {
  private final RevisionIndex revision;
  private final Layer said;
  private final Standing standing;
  private final Set<NodeId> removed = new HashSet<>();
  private final Map<NodeId, Boolean> switched = new HashMap<>();
  private @Nullable Overlay overlay;

  View(RevisionIndex revision, Layer said) {
    this.revision = revision;
    this.said = said;
    this.standing = new Standing(revision, said.changes());
    said.changes()
        .forEach(
            (key, value) -> {
              if (value instanceof LocalValue.IsRemoved) {
                removed.add(key.node());
              } else if (value instanceof LocalValue.SwitchedIs is) {
                switched.put(key.node(), is.on());
              }
            });
  }

  RevisionIndex revision() {
    return revision;
  }

  /** Where everything stands, removed subtrees included. */
  Standing standing() {
    return standing;
  }

  /** A node with all below it as it is shown; empty if it is not. */
  Optional<Node> shown(NodeId id) {
    Overlay made = overlay;
    if (made == null) {
      made = new Overlay(revision, said, standing);
      overlay = made;
    }
    return made.shown(id);
  }

  /** Whether a change has a place in the shown tree: a node that is not inside something hidden. */
  boolean sees(LocalKey key) {
    if (!revision.has(key.node()) && standing.parent(key.node()).isEmpty()) {
      return false;
    }
    boolean hides =
        key.aspect() instanceof Aspect.Removed || key.aspect() instanceof Aspect.Switched;
    return !standing.isUnder(
        key.node(), at -> !(hides && at.equals(key.node())) && (removed.contains(at) || isOff(at)));
  }

  private boolean isOff(NodeId id) {
    Boolean on = switched.get(id);
    return on == null ? revision.isOff(id) : !on;
  }

  /** The outermost part around a node that the revision switches off, and nobody here. */
  Optional<NodeId> switchedOff(NodeId id) {
    return standing.upwards(id).stream()
        .filter(at -> !switched.containsKey(at) && isOff(at))
        .reduce((inner, outer) -> outer);
  }
}
