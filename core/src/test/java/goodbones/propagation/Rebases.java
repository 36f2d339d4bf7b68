package goodbones.propagation;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Revision;
import goodbones.library.Showing;
import java.util.List;

/** A rebase over revisions that are given as trees. */
final class Rebases {
  private Rebases() {}

  /**
   * @param first the number of the first revision given, on which the changes were made
   * @param revisions the one shown now and every one on the way, in order
   */
  static Rebased of(NodeId id, Placement placement, int first, List<Node> revisions) {
    Library library =
        (piece, number) -> new Revision(piece, number, revisions.get(number - first), "", 1);
    return Rebase.of(
        id,
        placement.withBound(first),
        first,
        first + revisions.size() - 1,
        library,
        Showing.BOUND);
  }
}
