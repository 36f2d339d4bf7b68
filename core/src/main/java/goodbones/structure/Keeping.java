package goodbones.structure;

import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Options;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Placements;
import goodbones.propagation.Rebase;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
        Node.placing(bench.ids().get(), node.name(), pieceId)
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
