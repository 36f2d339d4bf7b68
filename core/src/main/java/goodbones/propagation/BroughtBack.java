package goodbones.propagation;

import goodbones.document.Node;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Placements;
import java.util.Optional;

/**
 * A page that comes back as a whole shows what it showed. A placement whose piece the site shows in
 * another revision by now stays on the one of then, and waits: what was changed on it is not shown
 * on another revision unasked.
 */
public final class BroughtBack {
  private BroughtBack() {}

  /**
   * @param then what the site had adopted when the page was there
   * @param now what it has adopted
   */
  public static Node page(Node root, Adopted then, Adopted now) {
    return Placements.mapped(root, (path, placement) -> asShown(placement, then, now));
  }

  private static Placement asShown(Placement placement, Adopted then, Adopted now) {
    Optional<Integer> was = Optional.ofNullable(then.revisions().get(placement.pieceId()));
    Optional<Integer> is = Optional.ofNullable(now.revisions().get(placement.pieceId()));
    return placement.pin().isPresent() || was.isEmpty() || was.equals(is)
        ? placement
        : placement.withPin(Optional.of(new Pin(was.get(), Pin.Reason.WAITING)));
  }
}
