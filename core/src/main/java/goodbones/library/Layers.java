package goodbones.library;

import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Variant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The layers that a document has on its own tree: the named variants of a piece, and what the items
 * of its lists say. Where a part is kept as a piece or unlinked, they go along.
 */
final class Layers {
  private final Library library;
  private final Showing showing;

  Layers(Showing showing, Library library) {
    this.showing = showing;
    this.library = library;
  }

  /** What has to be done to a document so that its layers say the same as before. */
  List<Edit> followed(Node before, Node after) {
    List<Edit> edits = new ArrayList<>();
    if (!after.options().variants().isEmpty()) {
      Relocations moved = between(before, after);
      for (Variant variant : after.options().variants()) {
        Placement layer = moved(variant.layer(), moved);
        if (!layer.equals(variant.layer())) {
          edits.add(
              new Edit.SetVariant(after.id(), variant.id(), Optional.of(variant.withLayer(layer))));
        }
      }
    }
    Map<NodeId, Node> patterns = new HashMap<>();
    before.walk(node -> collect(node, patterns));
    after.walk(
        list -> {
          Node pattern = list.isList() ? patterns.get(list.children().get(0).id()) : null;
          if (pattern != null && pattern != list.children().get(0)) {
            items(pattern, list, edits);
          }
        });
    return edits;
  }

  private static void collect(Node node, Map<NodeId, Node> patterns) {
    if (node.kind() == Kind.PATTERN) {
      patterns.put(node.id(), node);
    }
  }

  private void items(Node before, Node list, List<Edit> edits) {
    Relocations moved = between(before, list.children().get(0));
    for (Node item : list.children().subList(1, list.children().size())) {
      item.placement()
          .ifPresent(
              said -> {
                Placement there = moved(said, moved);
                if (!there.equals(said)) {
                  edits.add(new Edit.SetPlacement(item.id(), there));
                }
              });
    }
  }

  private static Placement moved(Placement layer, Relocations moved) {
    return layer.saying(moved.layer(layer.layer()), 0);
  }

  private Relocations between(Node before, Node after) {
    return before == after
        ? Relocations.NONE
        : Relocations.between(
            Expanded.of(before, showing, library).index(),
            Expanded.of(after, showing, library).index());
  }
}
