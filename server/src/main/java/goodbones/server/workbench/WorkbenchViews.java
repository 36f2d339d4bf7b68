package goodbones.server.workbench;

import goodbones.document.Aspect;
import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Origin;
import goodbones.library.Revision;
import goodbones.library.Shown;
import goodbones.server.drawing.Wording;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.workbench.Views.LocalChangeView;
import goodbones.server.workbench.Views.NodeView;
import goodbones.server.workbench.Views.PlacementView;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Describes shown trees and their placements for the interface. */
@Component
class WorkbenchViews {
  private final Pieces pieces;

  WorkbenchViews(Pieces pieces) {
    this.pieces = pieces;
  }

  /** A node and all in it, parents before children. */
  static List<NodeView> nodes(Shown shown, Node node, String parent) {
    List<NodeView> views = new ArrayList<>();
    collect(shown, node, parent, views);
    return views;
  }

  private static void collect(Shown shown, Node node, String parent, List<NodeView> views) {
    views.add(node(shown, node, parent));
    node.children().forEach(child -> collect(shown, child, node.id().value(), views));
  }

  static NodeView node(Shown shown, Node node, String parent) {
    Optional<Origin> origin = shown.origin(node.id());
    long locals =
        origin
            .map(
                o ->
                    o.libraryNode().isEmpty()
                        ? 1L
                        : o.changed().stream()
                            .filter(k -> !isFilling(k, o.libraryNode().get()))
                            .count())
            .orElse(0L);
    return new NodeView(
        node.id().value(),
        parent,
        node.kind().word(),
        Wording.title(node),
        node.name(),
        node.hiddenOn().stream().map(Device::word).toList(),
        origin.map(o -> o.placement().value()).orElse(""),
        (int) locals);
  }

  private static boolean isFilling(LocalKey key, Node libraryNode) {
    return key.aspect() instanceof Aspect.Content content
        && libraryNode.slots().contains(content.field());
  }

  List<PlacementView> placements(Node page, Adopted adopted, SiteFinishes finishes) {
    List<PlacementView> views = new ArrayList<>();
    page.walk(
        node -> {
          if (node.kind() == Kind.PLACEMENT) {
            views.add(placement(node, adopted, finishes));
          }
        });
    return views;
  }

  private PlacementView placement(Node node, Adopted adopted, SiteFinishes finishes) {
    Placement placement = node.placement().orElseThrow();
    Revision revision = pieces.revision(placement.pieceId(), adopted.shownBy(placement));
    PieceState piece = pieces.get(placement.pieceId());
    Wording wording = new Wording(finishes);
    List<LocalChangeView> changes = new ArrayList<>();
    int fillings = 0;
    for (Map.Entry<LocalKey, LocalValue> entry : placement.changes().entrySet()) {
      LocalKey key = entry.getKey();
      Optional<Node> library = revision.root().find(key.node());
      if (library.isPresent() && isFilling(key, library.get())) {
        fillings++;
      } else {
        NodeId shownId = key.node().within(node.id());
        changes.add(
            new LocalChangeView(
                shownId.value(),
                library.map(Wording::title).orElse(""),
                key.aspect().toString(),
                Wording.label(library.map(Node::kind).orElse(null), key.aspect()),
                wording.value(Optional.of(entry.getValue()))));
      }
    }
    return new PlacementView(
        node.id().value(),
        piece.id(),
        piece.name(),
        revision.number(),
        piece.current(),
        placement.pin().map(p -> p.reason().name().toLowerCase()).orElse(""),
        fillings,
        changes,
        pieces.reach(piece.id()));
  }
}
