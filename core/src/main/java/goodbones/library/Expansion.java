package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Options;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.Variant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Expands one document: its placements and the items of its lists become members around what they
 * show, and a named variant is laid on the whole.
 */
final class Expansion {
  private final Showing showing;
  private final Library library;
  private final Fillings fillings;
  private final Picks picks;
  private final Map<NodeId, Origin> origins = new HashMap<>();
  private int depth;

  /**
   * @param picks what is chosen about the document from outside
   */
  Expansion(Showing showing, Library library, Fillings fillings, Picks picks) {
    this.showing = showing;
    this.library = library;
    this.fillings = fillings;
    this.picks = picks;
  }

  /** Of a document of its own. */
  static Expanded of(
      Node document, Showing showing, Library library, Fillings fillings, Picks picks) {
    Optional<Variant> variant =
        picks
            .at(new LocalKey(document.id(), Aspect.VARIANT))
            .flatMap(value -> ((LocalValue.VariantIs) value).variant())
            .flatMap(document.options()::named);
    Picks all = picks.over(variant.map(f -> Picks.of(f.layer().layer())).orElse(Picks.NONE));
    Expansion expansion = new Expansion(showing, library, fillings, all);
    Node root = expansion.expand(document);
    Map<NodeId, Varied> varied = new HashMap<>();
    if (variant.isPresent()) {
      root = expansion.varied(root, variant.get(), varied);
      Options shown = root.options().showing(Optional.of(variant.get().id()));
      root = root.withOptions(shown);
    }
    expansion.reckonWith(document.options().variants());
    return new Expanded(root, expansion.origins, varied, expansion.depth);
  }

  /** A placement may pick any of them, however deep it goes. */
  private void reckonWith(List<Variant> variants) {
    for (Variant variant : variants) {
      Expansion inserts = inserts(Picks.NONE);
      Placements.withInserts(variant.layer(), inserts::expand);
      depth = Math.max(depth, inserts.depth);
    }
  }

  private Node expand(Node node) {
    if (node.kind() == Kind.PLACEMENT) {
      return placed(node);
    }
    return node.isList() ? list(node) : Members.mapChildren(node, this::expand);
  }

  private Node placed(Node node) {
    Placement placement = node.placement().orElseThrow();
    int number = showing.shownBy(placement);
    Layer said = Translation.layer(library, placement, number);
    Picks chosen = picks.inside(node.id()).over(Picks.of(said));
    Fillings.Filling filling =
        picks.isEmpty()
            ? fillings.of(
                node,
                number,
                showing.fillings(),
                () -> filled(node, placement, said, number, chosen))
            : filled(node, placement, said, number, chosen);
    return added(filling);
  }

  private Node added(Fillings.Filling filling) {
    origins.putAll(filling.origins());
    depth = Math.max(depth, filling.depth());
    return filling.member();
  }

  private Fillings.Filling filled(
      Node node, Placement placement, Layer said, int number, Picks chosen) {
    Expanded piece = library.expanded(placement.pieceId(), number, chosen);
    return laid(node, said, piece, chosen, placement.pieceId(), number);
  }

  /** A list keeps its pattern as an empty member, so that it can be known as one. */
  private Node list(Node list) {
    Node pattern = list.children().get(0);
    Map<NodeId, Node> known = new LinkedHashMap<>();
    list.children().stream().skip(1).forEach(item -> known.put(item.id(), item));
    LocalValue.ItemsAre stored = LocalValue.ItemsAre.of(list);
    LocalValue.ItemsAre items =
        picks
            .at(new LocalKey(list.id(), Aspect.ITEMS))
            .map(said -> ((LocalValue.ItemsAre) said).over(stored))
            .orElse(stored);
    List<Node> children = new ArrayList<>(List.of(pattern.withChildren(List.of())));
    for (NodeId id : items.ids()) {
      if (!pattern.children().isEmpty()) {
        Node item = Optional.ofNullable(known.get(id)).orElseGet(() -> Node.item(id));
        children.add(added(item(item, pattern.children().get(0))));
      }
    }
    if (items.ids().isEmpty() && !pattern.children().isEmpty()) {
      // A placement may add the first item.
      Node first = pattern.children().get(0);
      depth = Math.max(depth, 1 + of(first, showing, library, new Fillings(), Picks.NONE).depth());
    }
    return list.withChildren(children);
  }

  private Fillings.Filling item(Node item, Node pattern) {
    Layer layer = item.placement().orElseThrow().layer();
    Picks chosen = picks.inside(item.id()).over(Picks.of(layer));
    Expanded made = of(pattern, showing, library, new Fillings(), chosen);
    return laid(item, layer, made, chosen, "", 0);
  }

  /** A placement or an item around what it shows, its own changes laid on. */
  private Fillings.Filling laid(
      Node member, Layer layer, Expanded piece, Picks chosen, String pieceId, int number) {
    Expansion inserts = inserts(chosen);
    Layer expanded = Placements.withInserts(layer, inserts::expand);
    Map<NodeId, Set<LocalKey>> changed = changed(layer);
    RevisionIndex index = piece.index();
    Node shown = Overlay.show(index, expanded);
    Map<NodeId, Origin> from = new HashMap<>();
    shown.walk(
        each -> {
          Optional<Node> beneath = index.node(each.id());
          Optional<Origin> inner =
              beneath.isPresent()
                  ? piece.origin(each.id())
                  : Optional.ofNullable(inserts.origins.get(each.id()));
          from.put(
              each.id().within(member.id()),
              new Origin(
                  member.id(),
                  pieceId,
                  number,
                  beneath,
                  changed.getOrDefault(each.id(), Set.of()),
                  beneath.flatMap(there -> piece.varied(each.id())),
                  inner));
        });
    int deep = Math.max(piece.depthAt(member.id()), 1 + inserts.depth);
    if (deep > Expanded.NESTING_LIMIT) {
      throw Refused.at(
          member,
          "Pieces would stand in each other more than "
              + Expanded.NESTING_LIMIT
              + " deep here; put one of them in directly instead");
    }
    Node placed = shown.mapIds(id -> id.within(member.id()));
    Node around = member.withChildren(List.of(filledForSite(placed, from)));
    return new Fillings.Filling(number, showing.fillings(), inserts.depth == 0, around, from, deep);
  }

  private Node filledForSite(Node node, Map<NodeId, Origin> from) {
    SiteFillings ofSite = showing.fillings();
    if (ofSite.isEmpty()) {
      return node;
    }
    Node filled = ofSite.laid(node, Optional.ofNullable(from.get(node.id())));
    return Members.mapChildren(filled, child -> filledForSite(child, from));
  }

  /** For what a layer puts in. */
  private Expansion inserts(Picks chosen) {
    return new Expansion(showing, library, new Fillings(), chosen);
  }

  private static Map<NodeId, Set<LocalKey>> changed(Layer layer) {
    Map<NodeId, Set<LocalKey>> changed = new HashMap<>();
    for (LocalKey key : layer.changes().keySet()) {
      changed.computeIfAbsent(key.node(), id -> new LinkedHashSet<>()).add(key);
    }
    return changed;
  }

  private Node varied(Node root, Variant variant, Map<NodeId, Varied> varied) {
    Expansion inserts = inserts(picks);
    Layer layer = Placements.withInserts(variant.layer().layer(), inserts::expand);
    RevisionIndex beneath = new RevisionIndex(root);
    Map<NodeId, Set<LocalKey>> changed = changed(variant.layer().layer());
    Node shown = Overlay.show(beneath, layer);
    shown.walk(
        each -> {
          Set<LocalKey> keys = changed.getOrDefault(each.id(), Set.of());
          Optional<Node> below = beneath.node(each.id());
          if (!keys.isEmpty() || below.isEmpty()) {
            varied.put(each.id(), new Varied(variant.name(), keys, below));
          }
          if (below.isEmpty()) {
            Optional.ofNullable(inserts.origins.get(each.id()))
                .ifPresent(origin -> origins.put(each.id(), origin));
          }
        });
    depth = Math.max(depth, inserts.depth);
    return shown;
  }
}
