package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.document.Pin;
import goodbones.document.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
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
    if (node.kind() == Kind.ITEM) {
      Node shown = node.children().get(0);
      return lifted(PageShown.of(node).map(page -> PageShown.showing(shown, page)).orElse(shown));
    }
    if (node.placement().isEmpty()) {
      return node.withId(ids.apply(node.id()))
          .withOptions(node.options().withVariants(List.of()).showing(Optional.empty()))
          .withChildren(
              node.children().stream().filter(Lifting::isSeen).map(this::lifted).toList());
    }
    Node alone = node.withId(ids.apply(node.id())).withChildren(List.of());
    return placedHere.test(node.id())
        ? alone
        : alone.withPlacement(tied(node, node.placement().get()));
  }

  private static boolean isSeen(Node node) {
    boolean emptyItem = node.kind() == Kind.ITEM && node.children().isEmpty();
    return node.kind() != Kind.PATTERN && !emptyItem && !node.options().off();
  }

  private Placement tied(Node node, Placement bound) {
    Map<LocalKey, LocalValue> chosen = Items.shown(node);
    SortedMap<LocalKey, LocalValue> forms = new TreeMap<>(chosen);
    forms.keySet().removeIf(key -> key.aspect() instanceof Aspect.Items);
    Expanded piece =
        library.expanded(bound.pieceId(), bound.settled(), new Picks(new TreeMap<>(chosen)));
    RevisionIndex plain =
        library.expanded(bound.pieceId(), bound.settled(), new Picks(forms)).index();
    RevisionIndex own = library.expanded(bound.pieceId(), bound.settled()).index();
    Placement tied =
        new Tied(node, bound, piece.index(), own)
            .placement(picks(chosen, plain, own))
            .withSettled(bound.settled());
    boolean follows = outside.shownBy(tied) == bound.settled();
    return follows ? tied : tied.withPin(Optional.of(new Pin(bound.settled(), Pin.Reason.HELD)));
  }

  /**
   * Of what is chosen, what the piece itself does not have so.
   *
   * @param plain the piece with the forms that are chosen, and its own items
   * @param own the piece with nothing chosen
   */
  private static Map<LocalKey, LocalValue> picks(
      Map<LocalKey, LocalValue> chosen, RevisionIndex plain, RevisionIndex own) {
    Map<LocalKey, LocalValue> picks = new TreeMap<>();
    chosen.forEach(
        (key, value) -> {
          if (value instanceof LocalValue.ItemsAre items) {
            List<NodeId> there =
                plain
                    .node(key.node())
                    .map(list -> LocalValue.ItemsAre.of(list).ids())
                    .orElse(List.of());
            if (!items.ids().equals(there)) {
              Set<NodeId> added = new TreeSet<>(items.ids());
              there.forEach(added::remove);
              picks.put(key, new LocalValue.ItemsAre(items.ids(), added));
            }
          } else if (!own.value(key).equals(Optional.of(value))) {
            picks.put(key, value);
          }
        });
    return picks;
  }

  /**
   * What an item has to say to look as it is shown.
   *
   * @param pattern what it is made from, with what is chosen about that
   * @param plain the same with the forms that are chosen, and its own items
   * @param own the same with nothing chosen
   */
  Placement item(
      Node member,
      RevisionIndex pattern,
      RevisionIndex plain,
      RevisionIndex own,
      Map<LocalKey, LocalValue> chosen) {
    return new Tied(member, Placement.of(""), pattern, own).placement(picks(chosen, plain, own));
  }

  /** What is placed in a piece, as a placement that holds all that differs by itself. */
  private final class Tied {
    private final Node member;
    private final Placement bound;
    private final RevisionIndex base;
    private final RevisionIndex own;
    private final Map<NodeId, Node> shown = new HashMap<>();
    private final Map<NodeId, NodeId> parents = new HashMap<>();
    private final Map<LocalKey, LocalValue> said = new TreeMap<>();
    private final TreeMap<LocalKey, LocalValue> changes = new TreeMap<>();
    private final TreeMap<NodeId, List<NodeId>> order = new TreeMap<>();

    /**
     * @param base what is placed, with what is chosen about it
     * @param own the same with nothing chosen
     */
    Tied(Node member, Placement bound, RevisionIndex base, RevisionIndex own) {
      this.member = member;
      this.bound = bound;
      this.base = base;
      this.own = own;
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
      return id.isIn(member.id()) ? Optional.of(id.from(member.id())) : Optional.empty();
    }

    private Optional<NodeId> ofPiece(NodeId id) {
      return inside(id).filter(base::has);
    }

    Placement placement(Map<LocalKey, LocalValue> picks) {
      said.keySet().removeIf(key -> key.aspect().isPick());
      for (Node node : shown.values()) {
        if (node != member) {
          ofPiece(node.id()).ifPresentOrElse(id -> values(id, node), () -> insert(node));
        }
      }
      shown.values().forEach(this::reorders);
      removals(base.root(), false);
      keepUnseen();
      changes.putAll(picks);
      return Placement.of(bound.pieceId()).withChanges(changes).withOrder(order);
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

    /** Also what is said of items that are left out: they can come back. */
    private void keepUnseen() {
      said.forEach(
          (key, value) -> {
            boolean unseen = !shown.containsKey(key.node().within(member.id()));
            boolean aValue = !(key.aspect() instanceof Aspect.Placed);
            if (unseen && aValue && (base.has(key.node()) || own.has(key.node()))) {
              changes.put(key, value);
            }
          });
    }
  }
}
