package goodbones.server.workbench;

import goodbones.document.Aspect;
import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.document.Placement;
import goodbones.library.Exchange;
import goodbones.library.Members;
import goodbones.library.Origin;
import goodbones.library.Placements;
import goodbones.library.Shown;
import goodbones.library.Translation;
import goodbones.library.VariantEditor;
import goodbones.server.drawing.Wording;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.library.UsageIndex;
import goodbones.server.workbench.Views.ItemView;
import goodbones.server.workbench.Views.ListView;
import goodbones.server.workbench.Views.LocalChangeView;
import goodbones.server.workbench.Views.NodeView;
import goodbones.server.workbench.Views.PartView;
import goodbones.server.workbench.Views.PlacementView;
import goodbones.server.workbench.Views.StyleChoice;
import goodbones.server.workbench.Views.TrayView;
import goodbones.structure.RowEdits.Unit;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Describes shown trees and their placements for the interface. */
@Component
class WorkbenchViews {
  private final Pieces pieces;
  private final UsageIndex usage;

  WorkbenchViews(Pieces pieces, UsageIndex usage) {
    this.pieces = pieces;
    this.usage = usage;
  }

  /** A node and all in it, parents before children. */
  static List<NodeView> nodes(Shown shown, Cascade cascade, Node node, String parent) {
    List<NodeView> views = new ArrayList<>();
    collect(shown, cascade, node, parent, views);
    return views;
  }

  private static void collect(
      Shown shown, Cascade cascade, Node node, String parent, List<NodeView> views) {
    views.add(node(shown, cascade, node, parent));
    node.children().forEach(child -> collect(shown, cascade, child, node.id().value(), views));
  }

  static NodeView node(Shown shown, Cascade cascade, Node node, String parent) {
    Optional<Origin> origin = shown.carried(node.id());
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
        placedIn(shown, node),
        (int) locals,
        inPercent(cascade, node));
  }

  private static List<String> inPercent(Cascade cascade, Node node) {
    return node.kind() == Kind.ROW
        ? Arrays.stream(Device.values())
            .filter(device -> Unit.of(node, cascade, device) == Unit.PER_CENT)
            .map(Device::word)
            .toList()
        : List.of();
  }

  private static String placedIn(Shown shown, Node node) {
    return shown
        .origin(node.id())
        .flatMap(Origin::placedIn)
        .filter(path -> !isForm(shown, path))
        .map(NodeId::value)
        .orElse("");
  }

  /** A piece that is looked at in a form is no placement of anything. */
  private static boolean isForm(Shown shown, NodeId path) {
    return shown
        .members()
        .find(path)
        .flatMap(Node::placement)
        .filter(placement -> placement.pieceId().equals(VariantEditor.PIECE))
        .isPresent();
  }

  /** Every list that is shown, with its items. */
  static List<ListView> lists(Node stored, Shown shown) {
    List<ListView> lists = new ArrayList<>();
    shown
        .members()
        .walk(
            node -> {
              if (node.isList()) {
                lists.add(
                    new ListView(
                        node.id().value(),
                        stored.find(node.id()).map(Node::isList).orElse(false),
                        PageShown.lot(node),
                        node.children().stream()
                            .filter(item -> item.kind() == Kind.ITEM)
                            .map(
                                item ->
                                    new ItemView(
                                        item.id().value(),
                                        PageShown.of(item).orElse(""),
                                        Members.withoutMembers(item).id().value()))
                            .toList()));
              }
            });
    return lists;
  }

  /** Every optional part, also those that are switched off. */
  static List<PartView> parts(Shown shown) {
    List<PartView> parts = new ArrayList<>();
    shown
        .members()
        .walk(
            node -> {
              if (node.options().optional() || node.options().off()) {
                parts.add(
                    new PartView(
                        node.id().value(),
                        placedIn(shown, node),
                        Wording.title(Members.withoutMembers(node)),
                        !node.options().off()));
              }
            });
    return parts;
  }

  private static boolean isFilling(LocalKey key, Node libraryNode) {
    return key.aspect() instanceof Aspect.Content content
        && libraryNode.slots().contains(content.field());
  }

  /**
   * Every placement that is shown in a document, at any depth.
   *
   * @param stored the document as it is kept
   */
  List<PlacementView> placements(Node stored, Shown shown, SiteFinishes finishes) {
    Map<NodeId, Placement> own = new HashMap<>(Placements.of(stored));
    stored.walk(node -> node.placement().ifPresent(said -> own.putIfAbsent(node.id(), said)));
    List<PlacementView> views = new ArrayList<>();
    collect(shown.members(), "", own, shown, new Wording(finishes), views);
    return views;
  }

  private void collect(
      Node node,
      String in,
      Map<NodeId, Placement> own,
      Shown shown,
      Wording wording,
      List<PlacementView> views) {
    String around = in;
    boolean placed = node.kind() == Kind.PLACEMENT && !node.children().isEmpty();
    if (placed && !isForm(shown, node.id())) {
      views.add(placement(node, in, own, shown, wording));
      around = node.id().value();
    }
    for (Node child : node.children()) {
      collect(child, around, own, shown, wording, views);
    }
  }

  /** What a placement says, as what is shown in it has it. */
  private Layer said(Placement carrier, Node inside, Shown shown) {
    return shown
        .carried(inside.id())
        .map(origin -> Translation.layer(pieces, carrier, origin.revision()))
        .orElseGet(carrier::layer);
  }

  private PlacementView placement(
      Node member, String in, Map<NodeId, Placement> own, Shown shown, Wording wording) {
    Optional<Placement> itself = Optional.ofNullable(own.get(member.id()));
    Node root = member.children().get(0);
    Origin inside = shown.origin(root.id()).map(Origin::innermost).orElseThrow();
    PieceState piece = pieces.get(inside.pieceId());
    NodeId carrier = itself.isPresent() ? member.id() : shown.carrier(member.id()).orElseThrow();
    String within = member.id().value() + "/";
    List<LocalChangeView> changes = new ArrayList<>();
    int fillings = 0;
    for (Map.Entry<LocalKey, LocalValue> entry :
        said(Objects.requireNonNull(own.get(carrier)), root, shown).changes().entrySet()) {
      LocalKey key = entry.getKey();
      NodeId id = key.node().within(carrier);
      if (!id.value().startsWith(within)) {
        continue;
      }
      Optional<Node> library = shown.carried(id).flatMap(Origin::libraryNode);
      if (library.isPresent() && isFilling(key, library.get())) {
        fillings++;
      } else {
        changes.add(
            new LocalChangeView(
                id.value(),
                library.map(Wording::title).orElse(""),
                key.aspect().toString(),
                Wording.label(library.map(Node::kind).orElse(null), key.aspect()),
                wording.value(Optional.of(entry.getValue()))));
      }
    }
    return new PlacementView(
        member.id().value(),
        in,
        itself.isEmpty(),
        piece.id(),
        piece.name(),
        inside.revision(),
        piece.current(),
        itself.flatMap(Placement::pin).map(pin -> pin.reason().name().toLowerCase()).orElse(""),
        fillings,
        root.options().variants().stream()
            .map(form -> new StyleChoice(form.id(), form.name()))
            .toList(),
        root.options().variant().orElse(""),
        changes,
        itself.map(placement -> tray(placement, inside.revision(), wording)).orElse(List.of()),
        usage.reach(piece.id()));
  }

  private List<TrayView> tray(Placement placement, int shown, Wording wording) {
    if (placement.left().isEmpty()) {
      return List.of();
    }
    List<TrayView> views = new ArrayList<>();
    new Exchange(pieces)
        .tray(placement, shown)
        .forEach(
            (piece, kept) ->
                views.add(
                    new TrayView(
                        piece,
                        pieces.get(piece).name(),
                        kept.values().stream()
                            .map(value -> wording.value(Optional.of(value)))
                            .toList())));
    return views;
  }
}
