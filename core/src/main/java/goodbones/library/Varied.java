package goodbones.library;

import goodbones.document.LocalKey;
import goodbones.document.Node;
import java.util.Optional;
import java.util.Set;

/**
 * What a named form of a piece does to a node.
 *
 * @param form the form's name
 * @param changed the keys that it changes
 * @param beneath the node without it; empty if only the form has it
 */
public record Varied(String form, Set<LocalKey> changed, Optional<Node> beneath) {
  public Varied {
    changed = Set.copyOf(changed);
  }
}
