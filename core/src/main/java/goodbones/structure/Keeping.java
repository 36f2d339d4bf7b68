package goodbones.structure;

import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Options;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Expanded;
import goodbones.library.Library;
import goodbones.library.PageEditor;
import goodbones.library.Placements;
import goodbones.library.Revision;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.propagation.Rebase;
import goodbones.propagation.Rebasing;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Makes a piece of a part of a document, and puts a placement of it in its place. */
public final class Keeping {
  private final Bench bench;

  public Keeping(Bench bench) {
    this.bench = bench;
  }

  /**
   * What keeping comes to.
   *
   * @param root the piece's document: what stands in it is bound as it was shown
   * @param edit puts the placement where the part stood
   */
  public record Kept(Node root, Edit edit) {}

  /**
   * What is kept for all clients has nothing of one client’s in it: other words, pictures and links
   * stand in for theirs, which fill the placement.
   *
   * @param pieceId what the piece will go by
   * @throws Refused if the node cannot be a piece
   */
  public Kept keepForAll(NodeId id, String pieceId) {
    Kept own = keep(id, pieceId);
    Edit.Insert placing = (Edit.Insert) own.edit().steps().get(0);
    Node clean =
        Placements.mapped(
            own.root(), (path, placement) -> placement.withChanges(picks(placement.changes())));
    Shown shown = Shown.of(own.root(), Showing.BOUND, bench.library());
    Node offered = Shown.of(clean, Showing.BOUND, bench.library()).root();
    List<Edit> neutral = new ArrayList<>();
    List<Edit> filled = new ArrayList<>();
    NodeId at = placing.subtree().id();
    shown
        .root()
        .walk(
            node ->
                node.content()
                    .forEach(
                        (field, value) -> {
                          if (isOfClient(node, field, value, offered)) {
                            Optional<FieldValue> standsIn = Neutral.of(node.kind(), value);
                            neutral.add(set(node.id(), field, standsIn));
                            filled.add(set(node.id().within(at), field, Optional.of(value)));
                          }
                        }));
    Node root = edited(own.root(), neutral, bench.library());
    Node page =
        Node.of(NodeId.of("around"), Kind.PAGE, "").withChildren(List.of(placing.subtree()));
    Node placed = edited(page, filled, with(pieceId, root)).children().get(0);
    return new Kept(
        root,
        new Edit.Group(
            List.of(
                new Edit.Insert(placing.parent(), placing.index(), placed),
                own.edit().steps().get(1))));
  }

  /** A piece’s own words that a placement leaves as they are are the library’s already. */
  private static boolean isOfClient(Node node, String field, FieldValue value, Node offered) {
    boolean ofSite = node.options().siteSlots().contains(field);
    boolean ofLibrary =
        node.id().isInside()
            && offered
                .find(node.id())
                .map(same -> value.equals(same.content().get(field)))
                .orElse(false);
    return !ofSite && !ofLibrary && Neutral.isOfClient(value);
  }

  private static Map<LocalKey, LocalValue> picks(Map<LocalKey, LocalValue> changes) {
    Map<LocalKey, LocalValue> picks = new TreeMap<>(changes);
    picks.keySet().removeIf(key -> !key.aspect().isPick());
    return picks;
  }

  private static Edit set(NodeId id, String field, Optional<FieldValue> value) {
    return new Edit.SetContent(id, field, value);
  }

  private static Node edited(Node document, List<Edit> edits, Library library) {
    return new PageEditor(Showing.BOUND, library, new Rebasing(library, Showing.BOUND))
        .apply(document, new Edit.Group(edits))
        .root();
  }

  /** The library with the piece in it. */
  private Library with(String pieceId, Node root) {
    Library others = bench.library();
    return new Library() {
      @Override
      public Revision revision(String piece, int number) {
        return piece.equals(pieceId)
            ? new Revision(pieceId, 1, root, "", 0)
            : others.revision(piece, number);
      }

      @Override
      public Expanded expanded(String piece, int number) {
        return piece.equals(pieceId)
            ? Library.super.expanded(piece, number)
            : others.expanded(piece, number);
      }
    };
  }

  /**
   * @param pieceId what the piece will go by
   * @throws Refused if the node cannot be a piece
   */
  public Kept keep(NodeId id, String pieceId) {
    Node node = bench.need(id);
    NodeId outward = bench.shown().outward(id);
    if (!outward.equals(id)) {
      throw Refused.at(node, "It is a piece already; place it where you want it");
    }
    if (node.kind() == Kind.PAGE) {
      throw Refused.at(node, "A whole page is no piece; keep a section of it");
    }
    Node parent = bench.needParent(node);
    Node copy = bench.toCopy(node);
    Node root =
        Placements.mapped(copy.withOptions(copy.options().withOptional(false)), this::bound);
    // Where it is an optional part, it is one as a placement.
    Node placement =
        Node.placing(bench.ids().get(), "", pieceId)
            .withOptions(Options.NONE.withOptional(copy.options().optional()))
            .withPlacement(Placement.of(pieceId).withSettled(1));
    return new Kept(
        root,
        new Edit.Group(
            List.of(
                new Edit.Insert(parent.id(), parent.indexOf(id), placement), new Edit.Remove(id))));
  }

  private Placement bound(NodeId path, Placement placement) {
    int shown = bench.showing().shownBy(placement);
    return placement.settled() == shown
        ? placement.withPin(Optional.empty())
        : Rebase.of(path, placement, shown, shown, bench.library(), bench.showing())
            .bound(Map.of());
  }
}
