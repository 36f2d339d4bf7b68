package goodbones.structure;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Placements;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;

/** What a new page begins with. Neither pieces nor pages are modified. */
public final class PageStart {
  private PageStart() {}

  /** Pieces one below the other, none of them filled. */
  public static Node of(NodeId id, List<Placement> placed, Supplier<NodeId> ids) {
    List<Node> sections = new ArrayList<>();
    for (Placement each : placed) {
      sections.add(Node.placing(ids.get(), "", each.pieceId()).withPlacement(each));
    }
    return Node.of(id, Kind.PAGE, "").withChildren(sections);
  }

  /**
   * What another page has, with new ids; placements stay tied, and stay on what they show there.
   *
   * @param words whether words, pictures and links come along; else the library's are seen at
   *     placements, and neutral ones in what is the page's own
   */
  public static Node like(Node page, boolean words, NodeId id, Supplier<NodeId> ids) {
    Node copy = Copies.of(page, ids).withId(id);
    return words ? copy : emptied(Placements.mapped(copy, (path, placed) -> emptied(placed)));
  }

  private static Node emptied(Node node) {
    TreeMap<String, FieldValue> content = new TreeMap<>();
    node.content()
        .forEach(
            (field, value) ->
                (Neutral.isOfClient(value) ? Neutral.of(node.kind(), value) : Optional.of(value))
                    .ifPresent(kept -> content.put(field, kept)));
    return node.withContent(content)
        .withChildren(node.children().stream().map(PageStart::emptied).toList());
  }

  private static Placement emptied(Placement placement) {
    return placement.mapped(
        (key, value) -> {
          if (value instanceof LocalValue.PlacedUnder placed && placed.inserted().isPresent()) {
            Node inserted = emptied(placed.inserted().get());
            return Optional.of(new LocalValue.PlacedUnder(placed.parent(), Optional.of(inserted)));
          }
          return isFilling(value) ? Optional.empty() : Optional.of(value);
        });
  }

  /** A picture that was taken away stays away; what says nothing of the client's stays too. */
  private static boolean isFilling(LocalValue value) {
    return value instanceof LocalValue.ContentIs is
        && is.value()
            .filter(
                content ->
                    !(content instanceof FieldValue.Level || content instanceof FieldValue.Icon))
            .isPresent();
  }
}
