package goodbones.server.library;

import goodbones.library.Described;
import java.time.Instant;

/**
 * A piece without its document.
 *
 * @param current the newest revision; 0 for a draft only
 * @param root the kind of its outermost node, which says where it can stand
 * @param draft whether its draft differs from the current revision
 * @param variants how many it has
 * @param words what it says, for searching
 * @param changed when it was worked on last
 */
public record DescribedPiece(
    String id,
    Described said,
    int current,
    String root,
    boolean draft,
    boolean retired,
    int variants,
    String words,
    Instant changed) {

  /** Whether it can be placed at a client's: released, in use, and not another client's. */
  public boolean mayBePlacedAt(String siteId) {
    return current > 0 && !retired && said.mayStandIn(siteId);
  }
}
