package goodbones.structure;

import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import java.util.List;

/**
 * A named style that is not known where something was brought to, and what was set in its place.
 *
 * @param node where it was
 * @param name what the style was called
 * @param settings what it said, now settings of the node; none where something else says all of it
 */
public record GaveWay(NodeId node, String name, List<StyleKey> settings) {
  public GaveWay {
    settings = List.copyOf(settings);
  }
}
