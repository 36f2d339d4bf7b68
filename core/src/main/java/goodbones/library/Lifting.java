package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalOrder;
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
  private static final int NONE_SHOWN = -1;

  private final Library library;
  private final Showing outside;
  private final UnaryOperator<NodeId> ids;
  private final Map<LocalKey, LocalChange> around;
  private final Optional<Carrier> carrier;
  private final Predicate<NodeId> placedHere;

  /**
   * The placement whose local changes are around what is lifted.
   *
   * @param path what its nodes are addressed from
   */
  public record Carrier(NodeId path, String pieceId) {}

  /**
   * @param outside which revisions placements show where it is put; one that would show another
   *     revision there stays on the one that it shows now
   * @param ids from a node's id to that of its copy; the same for the same node
   * @param around the local changes of the placement that it stands in, addressed as the tree is;
   *     fillings among them stay fillings, and what is not seen is kept
   * @param carrier that placement; empty where what it says is as good as made now
   * @param placedHere whether a placement was put there by the document itself, so that it holds
   *     all that differs already
   */
  public Lifting(
      Library library,
      Showing outside,
      UnaryOperator<NodeId> ids,
      Map<LocalKey, LocalChange> around,
      Optional<Carrier> carrier,
      Predicate<NodeId> placedHere) {
    this.library = library;
    this.outside = outside;
    this.ids = ids;
    this.around = around;
    this.carrier = carrier;
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
    Map<LocalKey, LocalChange> around = new TreeMap<>();
    Optional<Carrier> carrier = Optional.empty();
    Optional<NodeId> path = shown.carrier(at);
    Placement holds = path.map(Placements.of(stored)::get).orElse(null);
    if (path.isPresent() && holds != null) {
      around.putAll(said(holds, path.get(), library, outside));
      carrier = Optional.of(new Carrier(path.get(), holds.pieceId()));
    }
    return new Lifting(
        library,
        outside,
        ids,
        around,
        carrier,
        id -> shown.origin(id).map(o -> o.isInserted()).orElse(true));
  }

  /** The local changes of a placement as what is shown has them, from outside. */
  private static Map<LocalKey, LocalChange> said(
      Placement carrier, NodeId path, Library library, Showing outside) {
    if (carrier.pieceId().isEmpty()) {
      return carrier.within(path).changes();
    }
    Map<LocalKey, LocalChange> said = new TreeMap<>();
    Translation translation = Translation.of(library, carrier, outside.shownBy(carrier));
    translation
        .layer()
        .changes()
        .forEach(
            (key, value) -> {
              LocalChange stored =
                  translation.stored(key).map(carrier.changes()::get).orElseThrow();
              said.put(
                  new LocalKey(key.node().within(path), key.aspect()), stored.withValue(value));
            });
    return said;
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
    if (node.kind() == Kind.PLACEMENT && isKeptSince(node)) {
      return lifted(node.children().get(0));
    }
    if (node.placement().isEmpty()) {
      return filled(node)
          .withId(ids.apply(node.id()))
          .withOptions(node.options().withVariants(List.of()).showing(Optional.empty()))
          .withChildren(
              node.children().stream().filter(Lifting::isSeen).map(this::lifted).toList());
    }
    Node alone = node.withId(ids.apply(node.id())).withChildren(List.of());
    return placedHere.test(node.id())
        ? alone
        : alone.withPlacement(tied(node, node.placement().get()));
  }

  /** What a node is copied as: of what draws no box and is not tied, what it shows. */
  private static Node becomesPlain(Node node) {
    boolean draws =
        node.kind() != Kind.ITEM && !(node.kind() == Kind.PLACEMENT && isKeptSince(node));
    return draws || node.children().isEmpty() ? node : becomesPlain(node.children().get(0));
  }

  /** In the view of a revision in which a part was none of its own yet, no piece is named. */
  private static boolean isKeptSince(Node node) {
    return !node.children().isEmpty()
        && node.placement().map(Placement::pieceId).filter(String::isEmpty).isPresent();
  }

  /** What becomes a plain node has no place any more that the site could fill. */
  private Node filled(Node node) {
    Node now = node;
    for (String field : node.options().siteSlots()) {
      boolean own = around.containsKey(new LocalKey(node.id(), Aspect.content(field)));
      Optional<FieldValue> ofSite =
          own ? Optional.empty() : outside.fillings().of(node.id(), field);
      now = ofSite.isPresent() ? now.withContent(field, ofSite) : now;
    }
    return now;
  }

  private static boolean isSeen(Node node) {
    boolean emptyItem = node.kind() == Kind.ITEM && node.children().isEmpty();
    return node.kind() != Kind.PATTERN && !emptyItem && !node.options().off();
  }

  private Placement tied(Node node, Placement bound) {
    int number = bound.bound();
    Map<LocalKey, LocalValue> chosen = Items.shown(node);
    SortedMap<LocalKey, LocalValue> forms = new TreeMap<>(chosen);
    forms.keySet().removeIf(key -> key.aspect() instanceof Aspect.Items);
    Expanded piece = library.expanded(bound.pieceId(), number, new Picks(new TreeMap<>(chosen)));
    RevisionIndex plain = library.expanded(bound.pieceId(), number, new Picks(forms)).index();
    RevisionIndex own = library.expanded(bound.pieceId(), number).index();
    Placement tied =
        new Tied(node, bound, piece.index(), own)
            .placement(picks(chosen, plain, own))
            .withBound(number);
    boolean follows = outside.shownBy(tied) == number;
    return follows ? tied : tied.withPin(Optional.of(new Pin(number, Pin.Reason.HELD)));
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
    private final Map<LocalKey, LocalChange> said = new TreeMap<>();
    private final TreeMap<LocalKey, LocalChange> changes = new TreeMap<>();
    private final TreeMap<NodeId, LocalOrder> order = new TreeMap<>();

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
      if (!bound.pieceId().isEmpty()) {
        Translation translation = Translation.of(library, bound, bound.bound());
        translation
            .layer()
            .changes()
            .forEach(
                (key, value) ->
                    said.put(
                        key,
                        translation
                            .stored(key)
                            .map(bound.changes()::get)
                            .orElseThrow()
                            .withValue(value)));
      }
      around.forEach(
          (key, change) ->
              inside(key.node())
                  .ifPresent(
                      id ->
                          said.put(
                              new LocalKey(id, key.aspect()),
                              new LocalChange(change.value(), madeOnHere(change.madeOn())))));
    }

    /**
     * The revision of the piece here that was shown where a change around it was made.
     *
     * @return {@link #NONE_SHOWN} if none was, for it was not a piece of its own then
     */
    private int madeOnHere(int madeOnAround) {
      if (bound.pieceId().isEmpty()) {
        return madeOnAround;
      }
      if (madeOnAround == 0 || carrier.isEmpty()) {
        return bound.bound();
      }
      Carrier around = carrier.get();
      if (around.pieceId().isEmpty() || !member.id().isIn(around.path())) {
        return bound.bound();
      }
      return library
          .expanded(around.pieceId(), madeOnAround)
          .index()
          .node(member.id().from(around.path()))
          .flatMap(Node::placement)
          .filter(there -> there.pieceId().equals(bound.pieceId()))
          .map(Placement::bound)
          .orElse(NONE_SHOWN);
    }

    /** What is seen was settled on what is shown; so it may count as made there. */
    private LocalChange seen(LocalKey key, LocalValue value) {
      LocalChange change = said.get(key);
      boolean known = change != null && change.madeOn() != NONE_SHOWN;
      return new LocalChange(value, known ? change.madeOn() : bound.bound());
    }

    /** A node's address as seen from inside; empty if it does not come from there. */
    private Optional<NodeId> inside(NodeId id) {
      return id.isIn(member.id()) ? Optional.of(id.from(member.id())) : Optional.empty();
    }

    private Optional<NodeId> ofPiece(NodeId id) {
      return inside(id).filter(base::has);
    }

    Placement placement(Map<LocalKey, LocalValue> picks) {
      Map<LocalKey, LocalChange> all = new TreeMap<>(said);
      said.keySet().removeIf(key -> key.aspect().isPick());
      for (Node node : shown.values()) {
        if (node != member) {
          ofPiece(node.id()).ifPresentOrElse(id -> values(id, node), () -> insert(node));
        }
      }
      shown.values().forEach(this::reorders);
      removals(base.root(), false);
      keepUnseen();
      said.putAll(all);
      picks.forEach((key, value) -> changes.put(key, seen(key, value)));
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
          changes.put(key, seen(key, here.get()));
        }
      }
      Optional<NodeId> under = Optional.ofNullable(parents.get(node.id())).flatMap(this::inside);
      Optional<NodeId> parent = parentHere(node);
      LocalKey placed = new LocalKey(id, Aspect.PLACED);
      boolean moved = said.containsKey(placed) || !base.parent(id).equals(under);
      if (moved && base.parent(id).isPresent() && parent.isPresent()) {
        changes.put(
            placed, seen(placed, new LocalValue.PlacedUnder(parent.get(), Optional.empty())));
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
                put(
                    new LocalKey(id, Aspect.PLACED),
                    new LocalValue.PlacedUnder(parent.get(), Optional.empty())));
        order.put(
            parent.get(),
            new LocalOrder(
                node.children().stream().map(child -> here(child.id())).toList(), bound.bound()));
      }
    }

    /** The address of a node's parent here: one of the piece's, or that of a copy. */
    private Optional<NodeId> parentHere(Node node) {
      return Optional.ofNullable(parents.get(node.id())).map(this::here);
    }

    private NodeId here(NodeId id) {
      return ofPiece(id).orElseGet(() -> ids.apply(becomesPlain(shown.get(id)).id()));
    }

    /** What is not the piece's own and stands under something that is: a local insert. */
    private void insert(Node node) {
      NodeId parent = parents.get(node.id());
      if (parent == null || ofPiece(parent).isEmpty()) {
        return;
      }
      Node copy = lifted(withoutPieces(node));
      put(
          new LocalKey(copy.id(), Aspect.PLACED),
          new LocalValue.PlacedUnder(ofPiece(parent).get(), Optional.of(copy)));
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
        order.put(here(parent), new LocalOrder(children, bound.bound()));
      }
    }

    /** The outermost of what is not seen; what was moved out of that stands elsewhere. */
    private void removals(Node node, boolean inRemoved) {
      boolean gone = !shown.containsKey(node.id().within(member.id()));
      if (gone && !inRemoved) {
        LocalKey removed = new LocalKey(node.id(), Aspect.REMOVED);
        changes.put(removed, seen(removed, new LocalValue.IsRemoved()));
      }
      node.children().forEach(child -> removals(child, gone));
    }

    private void put(LocalKey key, LocalValue value) {
      changes.put(key, new LocalChange(value, bound.bound()));
    }

    /**
     * Also what is said of items that are left out: they can come back. What was said before this
     * was a piece of its own could not be rebased when it does, so only fillings of it go along.
     */
    private void keepUnseen() {
      said.forEach(
          (key, change) -> {
            boolean unseen = !shown.containsKey(key.node().within(member.id()));
            boolean aValue = !(key.aspect() instanceof Aspect.Placed);
            boolean there = base.has(key.node()) || own.has(key.node());
            boolean known = change.madeOn() != NONE_SHOWN;
            if (unseen && aValue && there && (known || base.isSlot(key) || own.isSlot(key))) {
              changes.putIfAbsent(
                  key, known ? change : new LocalChange(change.value(), bound.bound()));
            }
          });
    }
  }
}
