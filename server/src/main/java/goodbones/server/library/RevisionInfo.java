package goodbones.server.library;

import java.time.Instant;

/**
 * A revision without its tree.
 *
 * @param followedPiece for a follow-up: the piece whose release it follows; else empty
 * @param followedRevision the revision of that; 0 for no follow-up
 */
public record RevisionInfo(
    int number,
    String note,
    Instant released,
    boolean goneBackOn,
    String followedPiece,
    int followedRevision) {

  public boolean isFollowUp() {
    return followedRevision > 0;
  }
}
