package goodbones.library;

import goodbones.document.LocalKey;
import goodbones.document.Node;
import java.util.Optional;
import java.util.Set;

/**
 * What a named variant of a piece does to a node.
 *
 * @param variant the variant's name
 * @param changed the keys that it changes
 * @param beneath the node without it; empty if only the variant has it
 */
public record Varied(String variant, Set<LocalKey> changed, Optional<Node> beneath) {
  public Varied {
    changed = Set.copyOf(changed);
  }
}
