package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * Lifts something that is shown in a placement out of it, as a document of its own that looks the
 * same. Placements inside stay tied: what differs from what their piece shows becomes their local
 * changes. The tree given in is not modified.
 */
public final class Lifting {
  private final Library library;
  private final Showing outside;
  private final UnaryOperator<NodeId> ids;
  private final Map<LocalKey, LocalValue> around;
  private final Predicate<NodeId> placedHere;

  /**
   * @param outside which revisions placements show where it is put; one that would show another
   *     revision there stays on the one that it shows now
   * @param ids from a node's id to that of its copy; the same for the same node
   * @param around the local changes of the placement that it stands in, addressed as the tree is;
   *     fillings among them stay fillings, and what is not seen is kept
   * @param placedHere whether a placement was put there by the document itself, so that it holds
   *     all that differs already
   */
  public Lifting(
      Library library,
      Showing outside,
      UnaryOperator<NodeId> ids,
      Map<LocalKey, LocalValue> around,
      Predicate<NodeId> placedHere) {
    this.library = library;
    this.outside = outside;
    this.ids = ids;
    this.around = around;
    this.placedHere = placedHere;
  }

  /**
   * Lifts out of a document what is shown in one of its placements.
   *
   * @param at a node in the placement
   */
  public static Lifting from(
      Node stored,
      Shown shown,
      Library library,
      Showing outside,
      UnaryOperator<NodeId> ids,
      NodeId at) {
    Map<LocalKey, LocalValue> around = new TreeMap<>();
    shown
        .carrier(at)
        .ifPresent(
            path ->
                Optional.ofNullable(Placements.of(stored).get(path))
                    .ifPresent(
                        carrier ->
                            carrier
                                .changes()
                                .forEach(
                                    (key, value) ->
                                        around.put(
                                            new LocalKey(key.node().within(path), key.aspect()),
                                            value))));
    return new Lifting(
        library,
        outside,
        ids,
        around,
        id -> shown.origin(id).map(o -> o.isInserted()).orElse(true));
  }

  /**
   * Lifts a node with everything in it.
   *
   * @param node of an expanded tree
   */
  public Node lifted(Node node) {
    if (node.placement().isEmpty()) {
      return node.withId(ids.apply(node.id()))
          .withChildren(node.children().stream().map(this::lifted).toList());
    }
    Node alone = node.withId(ids.apply(node.id())).withChildren(List.of());
    return placedHere.test(node.id())
        ? alone
        : alone.withPlacement(new Tied(node, node.placement().get()).placement());
  }

  /** What is placed in a piece, as a placement that holds all that differs by itself. */
  private final class Tied {
    private final Node member;
    private final Placement bound;
    private final Expanded piece;
    private final RevisionIndex base;
    private final Map<NodeId, Node> shown = new HashMap<>();
    private final Map<NodeId, NodeId> parents = new HashMap<>();
    private final Map<LocalKey, LocalValue> said = new TreeMap<>();
    private final TreeMap<LocalKey, LocalValue> changes = new TreeMap<>();
    private final TreeMap<NodeId, List<NodeId>> order = new TreeMap<>();

    Tied(Node member, Placement bound) {
      this.member = member;
      this.bound = bound;
      this.piece = library.expanded(bound.pieceId(), bound.settled());
      this.base = piece.index();
      member.walk(
          node -> {
            shown.put(node.id(), node);
            node.children().forEach(child -> parents.put(child.id(), node.id()));
          });
      said.putAll(bound.changes());
      around.forEach(
          (key, value) ->
              inside(key.node()).ifPresent(id -> said.put(new LocalKey(id, key.aspect()), value)));
    }

    /** A node's address as seen from inside; empty if it does not come from there. */
    private Optional<NodeId> inside(NodeId id) {
      String prefix = member.id().value() + "/";
      return id.value().startsWith(prefix)
          ? Optional.of(NodeId.of(id.value().substring(prefix.length())))
          : Optional.empty();
    }

    private Optional<NodeId> ofPiece(NodeId id) {
      return inside(id).filter(base::has);
    }

    Placement placement() {
      for (Node node : shown.values()) {
        if (node != member) {
          ofPiece(node.id()).ifPresentOrElse(id -> values(id, node), () -> insert(node));
        }
      }
      shown.values().forEach(this::reorders);
      removals(base.root(), false);
      keepUnseen();
      Placement tied =
          Placement.of(bound.pieceId())
              .withSettled(bound.settled())
              .withChanges(changes)
              .withOrder(order);
      boolean follows = outside.shownBy(tied) == bound.settled();
      return follows ? tied : tied.withPin(Optional.of(new Pin(bound.settled(), Pin.Reason.HELD)));
    }

    private void values(NodeId id, Node node) {
      Node library = base.node(id).orElseThrow();
      Set<Aspect> aspects = new TreeSet<>(Aspect.of(node));
      aspects.addAll(Aspect.of(library));
      said.keySet().stream()
          .filter(key -> key.node().equals(id))
          .forEach(key -> aspects.add(key.aspect()));
      for (Aspect aspect : aspects) {
        Optional<LocalValue> here = aspect.read(node);
        LocalKey key = new LocalKey(id, aspect);
        if (here.isPresent() && (said.containsKey(key) || !here.equals(aspect.read(library)))) {
          changes.put(key, here.get());
        }
      }
      Optional<NodeId> under = Optional.ofNullable(parents.get(node.id())).flatMap(this::inside);
      Optional<NodeId> parent = parentHere(node);
      LocalKey placed = new LocalKey(id, Aspect.PLACED);
      boolean moved = said.containsKey(placed) || !base.parent(id).equals(under);
      if (moved && base.parent(id).isPresent() && parent.isPresent()) {
        changes.put(placed, new LocalValue.PlacedUnder(parent.get(), Optional.empty()));
        order(node);
      }
    }

    /** A piece in between may have put children of one parent into another order. */
    private void reorders(Node node) {
      Optional<NodeId> parent = ofPiece(node.id());
      if (parent.isEmpty()) {
        return;
      }
      List<NodeId> here =
          node.children().stream()
              .flatMap(child -> ofPiece(child.id()).stream())
              .filter(id -> base.parent(id).equals(parent))
              .toList();
      List<NodeId> there =
          base.node(parent.get()).orElseThrow().children().stream()
              .map(Node::id)
              .filter(here::contains)
              .toList();
      if (!here.equals(there)) {
        here.forEach(
            id ->
                changes.put(
                    new LocalKey(id, Aspect.PLACED),
                    new LocalValue.PlacedUnder(parent.get(), Optional.empty())));
        order.put(parent.get(), node.children().stream().map(child -> here(child.id())).toList());
      }
    }

    /** The address of a node's parent here: one of the piece's, or that of a copy. */
    private Optional<NodeId> parentHere(Node node) {
      return Optional.ofNullable(parents.get(node.id())).map(this::here);
    }

    private NodeId here(NodeId id) {
      return ofPiece(id).orElseGet(() -> ids.apply(id));
    }

    /** What is not the piece's own and stands under something that is: a local insert. */
    private void insert(Node node) {
      NodeId parent = parents.get(node.id());
      if (parent == null || ofPiece(parent).isEmpty()) {
        return;
      }
      NodeId copy = ids.apply(node.id());
      changes.put(
          new LocalKey(copy, Aspect.PLACED),
          new LocalValue.PlacedUnder(
              ofPiece(parent).get(), Optional.of(lifted(withoutPieces(node)))));
      order(node);
    }

    private Node withoutPieces(Node node) {
      return node.withChildren(
          node.children().stream()
              .filter(child -> ofPiece(child.id()).isEmpty())
              .map(this::withoutPieces)
              .toList());
    }

    private void order(Node placed) {
      NodeId parent = parents.get(placed.id());
      if (parent != null) {
        List<NodeId> children = new ArrayList<>();
        shown.get(parent).children().forEach(child -> children.add(here(child.id())));
        order.put(here(parent), children);
      }
    }

    /** The outermost of what is not seen; what was moved out of that stands elsewhere. */
    private void removals(Node node, boolean inRemoved) {
      boolean gone = !shown.containsKey(node.id().within(member.id()));
      if (gone && !inRemoved) {
        changes.put(new LocalKey(node.id(), Aspect.REMOVED), new LocalValue.IsRemoved());
      }
      node.children().forEach(child -> removals(child, gone));
    }

    private void keepUnseen() {
      said.forEach(
          (key, value) -> {
            boolean unseen = !shown.containsKey(key.node().within(member.id()));
            boolean aValue = !(key.aspect() instanceof Aspect.Placed);
            if (unseen && aValue && base.has(key.node())) {
              changes.put(key, value);
            }
          });
    }
  }
}
