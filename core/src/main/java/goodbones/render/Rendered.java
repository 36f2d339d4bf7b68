package goodbones.render;

import goodbones.document.NodeId;
import goodbones.fonts.FontFace;
import java.util.List;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.stream.Collectors;

/**
 * A rendered page, in parts, so that a site's pages can share one style sheet.
 *
 * @param open the start tag of the body element
 * @param blocks what stands straight on the page, in its order
 * @param rules the CSS of each generated class, by class name
 * @param tokens the custom properties in use: name to value
 * @param scopes the same again for each colour scheme in use, by the class of its sections
 * @param faces the font files in use
 * @param pictures the ids of the pictures in use
 */
public record Rendered(
    String open,
    List<Block> blocks,
    SortedMap<String, String> rules,
    SortedMap<String, String> tokens,
    SortedMap<String, SortedMap<String, String>> scopes,
    SortedSet<FontFace> faces,
    Set<String> pictures) {

  /** One thing that stands straight on the page. */
  public record Block(NodeId node, String html) {}

  public Rendered {
    blocks = List.copyOf(blocks);
  }

  /** The HTML of the body element. */
  public String body() {
    return open
        + "<main><div class=\"own\">"
        + blocks.stream().map(Block::html).collect(Collectors.joining())
        + "</div></main></body>";
  }
}
