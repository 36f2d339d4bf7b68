package goodbones.propagation;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Adopted;
import goodbones.library.AsksFirst;
import goodbones.library.Library;
import goodbones.library.PageEditor;
import goodbones.library.Shown;
import goodbones.library.SiteFillings;
import goodbones.testing.Shelf;
import goodbones.testing.Trees;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A generated piece in which others stand, to depth four with the page, with several revisions; and
 * a page that places it and changes it locally. One scene in three has nothing in its piece.
 */
final class Scene {
  static final String PIECE = "piece";
  static final NodeId PLACEMENT = NodeId.of("p");
  static final NodeId PAGE = NodeId.of("page");
  private static final List<String> INNER = List.of("leaf", "card", "group");

  final long seed;
  final Trees trees;
  final Shelf shelf = new Shelf();

  /** What the piece's revisions show, with all that stands in them. */
  final List<Node> revisions = new ArrayList<>();

  Node page;

  /** What the site's pages fill once for all. */
  SiteFillings fillings = SiteFillings.NONE;

  Scene(long seed, int releases) {
    this(seed, releases, 0);
  }

  /**
   * @param boxes how many more stand in the piece
   */
  Scene(long seed, int releases, int boxes) {
    this.seed = seed;
    Trees pieces = new Trees(seed, "n").withLists();
    boolean flat = seed % 3 == 0;
    if (!flat) {
      shelve(pieces);
    }
    Node section = pieces.section();
    List<Node> more = new ArrayList<>(section.children());
    for (int i = 0; i < boxes; i++) {
      more.add(pieces.box());
    }
    section = boxes == 0 ? section : section.withChildren(more);
    shelf.keep(PIECE, flat ? section : holding(section, pieces, "group"));
    while (shelf.current(PIECE) <= releases) {
      String piece =
          flat || pieces.random().nextInt(2) == 0
              ? PIECE
              : INNER.get(pieces.random().nextInt(INNER.size()));
      Node edited = shelf.edited(piece, pieces, 1 + pieces.random().nextInt(4));
      shelf.release(piece, edited, asked -> Optional.empty());
    }
    for (int i = 1; i <= releases + 1; i++) {
      revisions.add(shelf.expanded(PIECE, i).root());
    }
    this.trees = new Trees(seed * 31 + 7, "own");
    if (!flat) {
      trees.place(List.of(shelf.placeable("leaf"), shelf.placeable("card")));
    }
    this.page =
        Node.of(PAGE, Kind.PAGE, "").withChildren(List.of(Node.placing(PLACEMENT, "", PIECE)));
    editLocally(1, 1 + trees.random().nextInt(6));
  }

  /**
   * A leaf, a card that holds it, a group that holds both; each with changes of its own on them.
   */
  private void shelve(Trees pieces) {
    shelf.keep("leaf", pieces.box());
    shelf.keep("card", holding(pieces.box(), pieces, "leaf"));
    Node group = holding(holding(pieces.box(), pieces, "card"), pieces, "leaf");
    shelf.keep("group", group);
    for (String piece : List.of("card", "group")) {
      shelf.release(piece, shelf.edited(piece, pieces, 3), asked -> Optional.empty());
    }
  }

  private Node holding(Node root, Trees pieces, String piece) {
    int at = pieces.random().nextInt(root.children().size() + 1);
    List<Node> children = new ArrayList<>(root.children());
    children.add(at, shelf.placing(NodeId.of(root.id().value() + "-" + piece), piece));
    return root.withChildren(children);
  }

  Library library() {
    return shelf;
  }

  Adopted adopted(int revision) {
    return new Adopted(Map.of(PIECE, revision), fillings);
  }

  Shown shown(Node page, int revision) {
    return Shown.of(page, adopted(revision), library());
  }

  /** Makes random edits on the page as it is shown under a revision. */
  void editLocally(int revision, int edits) {
    for (int i = 0; i < edits; i++) {
      try {
        page =
            applied(
                page, revision, trees.edit(shown(page, revision), n -> n.id().isInside(), false));
      } catch (Refused | AsksFirst refused) {
        // A refused edit changes nothing.
      }
      if (page.children().isEmpty()) {
        page = page.withChildren(List.of(Node.placing(PLACEMENT, "", PIECE)));
      }
    }
  }

  Node applied(Node before, int revision, Edit edit) {
    Adopted adopted = adopted(revision);
    Edited edited =
        new PageEditor(adopted, library(), new Rebasing(library(), adopted)).apply(before, edit);
    fillings = fillings.with(edited.fillings());
    return edited.root();
  }

  Placement placement() {
    return page.children().get(0).placement().orElseThrow();
  }

  Node with(Placement placement) {
    return page.change(PLACEMENT, node -> node.withPlacement(placement));
  }
}
