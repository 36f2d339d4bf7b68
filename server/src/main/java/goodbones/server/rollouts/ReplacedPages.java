package goodbones.server.rollouts;

import goodbones.document.Node;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Placements;
import goodbones.propagation.Replacement;
import goodbones.propagation.Rollout;
import goodbones.server.library.Pieces;
import goodbones.server.sites.ReplacedSince;
import goodbones.server.sites.Sites;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** Replacements that a page missed are done on it when it is brought back, and noted as theirs. */
@Component
class ReplacedPages implements ReplacedSince {
  private final RolloutRepository rollouts;
  private final Pieces pieces;
  private final Sites sites;

  ReplacedPages(RolloutRepository rollouts, Pieces pieces, Sites sites) {
    this.rollouts = rollouts;
    this.pieces = pieces;
    this.sites = sites;
  }

  @Override
  public Node replaced(String siteId, String pageId, Node root, Instant gone) {
    Node now = root;
    for (RolloutEntity each :
        rollouts.findByTakenBackIsNullAndAppliedGreaterThanEqualOrderById(gone)) {
      Rollout rollout = each.rollout();
      if (!rollout.by().isEmpty() && holds(now, rollout.pieceId())) {
        Node after = replaced(siteId, now, rollout);
        each.alsoWritten(Rollout.written(siteId, pageId, now, after));
        rollouts.save(each);
        now = after;
      }
    }
    return now;
  }

  private static boolean holds(Node root, String piece) {
    return Placements.of(root).values().stream().anyMatch(p -> p.pieceId().equals(piece));
  }

  private Node replaced(String siteId, Node root, Rollout rollout) {
    Adopted adopted = sites.adopted(siteId);
    String by = rollout.by();
    int revision = adopted.revisions().getOrDefault(by, pieces.toPlace(by));
    if (!adopted.revisions().containsKey(by)) {
      sites.adopt(siteId, by, revision);
    }
    return new Replacement(pieces, rollout.pieceId())
        .in(root, sites.adopted(siteId), Placement.of(by, revision))
        .root();
  }
}
