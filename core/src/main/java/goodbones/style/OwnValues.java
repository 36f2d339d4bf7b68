package goodbones.style;

import goodbones.document.Node;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Gives a node's own values for a key, nearest first; the first one decides. */
@FunctionalInterface
public interface OwnValues {
  List<Layer> layers(Node node, StyleKey key);

  /**
   * The properties for which there may be layers at a node; of all others there are none. Asked
   * once for each node, so that most properties need no look-up.
   */
  default Set<StyleProperty> properties(Node node) {
    return EnumSet.allOf(StyleProperty.class);
  }
}
