package goodbones.style;

import goodbones.document.Node;
import goodbones.document.StyleKey;
import java.util.List;

/** Gives a node's own values for a key, nearest first; the first one decides. */
@FunctionalInterface
public interface OwnValues {
  List<Layer> layers(Node node, StyleKey key);
}
