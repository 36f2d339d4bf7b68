package goodbones.server.rollouts;

import goodbones.server.library.Pieces;
import goodbones.server.library.RevisionInfo;
import goodbones.server.rollouts.RolloutViews.GoBackRequest;
import goodbones.server.sites.OldPages;
import java.util.List;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;

/**
 * A revision that was withdrawn when the library did not go back by going forward yet, and that is
 * the current one still, is gone back on, before the port is open.
 */
@Component
class WithdrawnBefore implements SmartInitializingSingleton {
  private final Pieces pieces;
  private final GoingBack goingBack;
  private final OldPages oldPages;

  WithdrawnBefore(Pieces pieces, GoingBack goingBack, OldPages oldPages) {
    this.pieces = pieces;
    this.goingBack = goingBack;
    this.oldPages = oldPages;
  }

  @Override
  public void afterSingletonsInstantiated() {
    oldPages.carryOver();
    for (String piece : pieces.names().keySet()) {
      List<RevisionInfo> revisions = pieces.revisions(piece);
      if (revisions.get(0).goneBackOn()) {
        revisions.stream()
            .filter(revision -> !revision.goneBackOn())
            .findFirst()
            .ifPresent(
                kept ->
                    goingBack.goBack(
                        new GoBackRequest(piece, pieces.version(piece), kept.number()),
                        "Good Bones"));
      }
    }
  }
}
