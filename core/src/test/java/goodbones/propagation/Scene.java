package goodbones.propagation;

import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Adopted;
import goodbones.library.Library;
import goodbones.library.PageEditor;
import goodbones.library.Revision;
import goodbones.library.Shown;
import goodbones.testing.Trees;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** A generated piece with several revisions, and a page that places it and changes it locally. */
final class Scene {
  static final String PIECE = "piece";
  static final NodeId PLACEMENT = NodeId.of("p");
  static final NodeId PAGE = NodeId.of("page");

  final long seed;
  final Trees trees;
  final List<Node> revisions = new ArrayList<>();
  Node page;

  Scene(long seed, int releases) {
    this.seed = seed;
    Trees pieces = new Trees(seed, "n");
    revisions.add(pieces.section());
    for (int i = 0; i < releases; i++) {
      Node last = revisions.get(revisions.size() - 1);
      revisions.add(pieces.edited(last, 1 + pieces.random().nextInt(4)));
    }
    this.trees = new Trees(seed * 31 + 7, "own");
    this.page =
        Node.of(PAGE, Kind.PAGE, "").withChildren(List.of(Node.placing(PLACEMENT, "", PIECE)));
    editLocally(1, 1 + trees.random().nextInt(6));
  }

  Library library() {
    return (piece, number) -> new Revision(piece, number, revisions.get(number - 1), "", 1);
  }

  Shown shown(Node page, int revision) {
    return Shown.of(page, new Adopted(Map.of(PIECE, revision)), library());
  }

  /** Makes random edits on the page as it is shown under a revision. */
  void editLocally(int revision, int edits) {
    for (int i = 0; i < edits; i++) {
      try {
        page =
            applied(
                page,
                revision,
                trees.edit(shown(page, revision).root(), n -> n.id().isInside(), false));
      } catch (Refused refused) {
        // A refused edit changes nothing.
      }
      if (page.children().isEmpty()) {
        page = page.withChildren(List.of(Node.placing(PLACEMENT, "", PIECE)));
      }
    }
  }

  Node applied(Node before, int revision, Edit edit) {
    return new PageEditor(new Adopted(Map.of(PIECE, revision)), library(), new Rebasing(library()))
        .apply(before, edit)
        .root();
  }

  Placement placement() {
    return page.children().get(0).placement().orElseThrow();
  }

  Node with(Placement placement) {
    return page.change(PLACEMENT, node -> node.withPlacement(placement));
  }
}
