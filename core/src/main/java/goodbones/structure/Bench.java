package goodbones.structure;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.library.Items;
import goodbones.library.Library;
import goodbones.library.Lifting;
import goodbones.library.Members;
import goodbones.library.Placements;
import goodbones.library.Relocations;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.library.Translation;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * What hands work on: a document as it is stored and as it is shown, in a site's look.
 *
 * @param stored differs from what is shown only where placements stand
 * @param ids gives an id that was never used
 * @param library where the pieces are looked up that stand in the document
 * @param showing which revisions its placements show
 */
public record Bench(
    Node stored,
    Shown shown,
    SiteFinishes finishes,
    Supplier<NodeId> ids,
    Library library,
    Showing showing) {

  Node root() {
    return shown.root();
  }

  /** A cascade of what is shown; it keeps what it has worked out. */
  Cascade cascade() {
    return new Cascade(shown.root(), shown, finishes);
  }

  /**
   * @throws Refused if it is not there
   */
  Node need(NodeId id) {
    return root().find(id).orElseThrow(() -> Refused.gone(id));
  }

  Optional<Node> parent(Node node) {
    return root().parentOf(node.id());
  }

  /**
   * @throws Refused if it is the outermost node
   */
  Node needParent(Node node) {
    return parent(node)
        .orElseThrow(
            () ->
                Refused.at(
                    node,
                    "The outermost "
                        + node.kind().word()
                        + " stays where it is; choose"
                        + " something inside it"));
  }

  /** How something that is put under a parent is addressed once it stands there. */
  NodeId under(NodeId parent, NodeId fresh) {
    return shown.under(parent, fresh);
  }

  /** The nodes with those left out that stand inside another of them, in the document's order. */
  List<Node> outermost(List<NodeId> ids) {
    Set<NodeId> wanted = new HashSet<>(ids);
    wanted.forEach(this::need);
    List<Node> list = new ArrayList<>();
    collect(root(), wanted, list);
    return list;
  }

  private static void collect(Node node, Set<NodeId> wanted, List<Node> list) {
    if (wanted.contains(node.id())) {
      list.add(node);
    } else {
      node.children().forEach(child -> collect(child, wanted, list));
    }
  }

  /** Whether something that is shown is a list of like items. */
  boolean isList(NodeId id) {
    return member(id).isList();
  }

  /** The item of a list whose outermost node this is. */
  Optional<Node> item(Node node) {
    return shown.members().find(shown.outward(node.id())).filter(n -> n.kind() == Kind.ITEM);
  }

  /** Another item like one that is shown at a placement, for the same list. */
  private Node anotherItem(Node item) {
    NodeId carrier = shown.carrier(item.id()).orElseThrow();
    NodeId list = shown.members().parentOf(item.id()).orElseThrow().id();
    Node fresh = Node.item(ids.get()).withContent(item.content());
    Node unfilled = unfilled().members().find(item.id()).orElse(item);
    return Optional.ofNullable(Placements.of(stored).get(carrier))
        .flatMap(
            placement ->
                Items.like(
                    library,
                    placement.pieceId(),
                    showing.shownBy(placement),
                    Translation.picks(library, placement, showing.shownBy(placement)),
                    list.from(carrier),
                    item.id().from(carrier).beside(fresh.id()),
                    unfilled,
                    lifting(item.id(), fresh())))
        .map(fresh::withPlacement)
        .orElse(fresh);
  }

  /**
   * What takes the name of something that is shown: the document’s own placement, if it is the
   * outermost thing that this shows.
   */
  public NodeId named(NodeId id) {
    Optional<Node> outermost = shown.members().find(id.outer()).map(Members::outermost);
    return outermost.filter(node -> node.id().equals(id)).isPresent() ? id.outer() : id;
  }

  /** A node as it is to be copied: as it is stored, what stands in it as a placement tied. */
  Node toCopy(Node node) {
    NodeId id = shown.outward(node.id());
    Optional<Node> item = item(node);
    if (item.isPresent() && id.isInside()) {
      return anotherItem(item.get());
    }
    return id.isInside()
        ? lifting(node.id(), derived(shown.carrier(id).orElseThrow())).lifted(taken(id))
        : stored.find(id).orElse(node);
  }

  /**
   * A copy with what fills slots of the whole site in it.
   *
   * @param fillings fill the same slots of the copy
   */
  record Copied(Node node, List<Edit> fillings) {
    Copied {
      fillings = List.copyOf(fillings);
    }
  }

  /** A node as it is to be kept as a piece: its slots of the whole site stay slots. */
  Copied toKeep(Node node) {
    NodeId id = shown.outward(node.id());
    if (!id.isInside() || item(node).isPresent()) {
      return new Copied(toCopy(node), List.of());
    }
    UnaryOperator<NodeId> newIds = derived(shown.carrier(id).orElseThrow());
    Showing bare = showing.withoutFillings();
    Node copy = Lifting.from(stored, shown, library, bare, newIds, node.id()).lifted(taken(id));
    List<Edit> fillings = new ArrayList<>();
    member(id)
        .walk(
            each -> {
              for (String field : each.options().siteSlots()) {
                NodeId there = newIds.apply(each.id());
                boolean plain =
                    copy.find(there).isPresent()
                        && !shown.isChanged(each.id(), Aspect.content(field));
                showing
                    .fillings()
                    .of(each.id(), field)
                    .filter(value -> plain && showing.fillings().of(there, field).isEmpty())
                    .ifPresent(
                        value ->
                            fillings.add(
                                new Edit.FillSite(
                                    there, field, Optional.of(value), Optional.empty())));
              }
            });
    return new Copied(copy, fillings);
  }

  /** New ids, the same for the same node. */
  private UnaryOperator<NodeId> fresh() {
    Map<NodeId, NodeId> given = new HashMap<>();
    return id -> given.computeIfAbsent(id, each -> ids.get());
  }

  /** A node as it can be put anywhere: the items of lists become what they show. */
  Node toTakeAway(Node node) {
    Node copy = toCopy(node);
    boolean ofList =
        copy.all().stream().anyMatch(n -> n.kind() == Kind.PATTERN || n.kind() == Kind.ITEM);
    return ofList ? lifting(node.id(), fresh()).lifted(taken(shown.outward(node.id()))) : copy;
  }

  /**
   * Ids for copies of what stands in a placement: derived, so that it can be known again what a
   * copy was made of.
   */
  UnaryOperator<NodeId> derived(NodeId placement) {
    String prefix = placement.value() + "/";
    Map<NodeId, NodeId> given = new HashMap<>();
    return id ->
        given.computeIfAbsent(
            id,
            each -> {
              String path = each.value();
              NodeId inside =
                  path.startsWith(prefix) ? NodeId.of(path.substring(prefix.length())) : each;
              NodeId copy = Relocations.unlinked(placement, inside);
              return stored.find(copy).isEmpty() ? copy : ids.get();
            });
  }

  /** Lifts out of its placement what is shown there. */
  Lifting lifting(NodeId at, UnaryOperator<NodeId> newIds) {
    return Lifting.from(stored, shown, library, showing, newIds, at);
  }

  /**
   * A node with the placements in it as members, and without what fills the site.
   *
   * @throws Refused if it is not there
   */
  private Node taken(NodeId id) {
    return unfilled().taken(id).orElseThrow(() -> Refused.gone(id));
  }

  private Shown unfilled() {
    Showing bare = showing.withoutFillings();
    return bare == showing ? shown : Shown.of(stored, bare, library);
  }

  Node member(NodeId id) {
    return shown.members().find(id).orElseThrow(() -> Refused.gone(id));
  }
}
