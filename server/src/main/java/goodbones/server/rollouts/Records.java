package goodbones.server.rollouts;

import goodbones.server.library.Pieces;
import goodbones.server.rollouts.RolloutViews.Done;
import goodbones.server.sites.Sites;
import java.util.List;
import org.springframework.stereotype.Component;

/** What was rolled out. */
@Component
class Records {
  private final RolloutRepository repository;
  private final Pieces pieces;
  private final Sites sites;

  Records(RolloutRepository repository, Pieces pieces, Sites sites) {
    this.repository = repository;
    this.pieces = pieces;
    this.sites = sites;
  }

  /** Every rollout, the newest first. */
  List<Done> all() {
    return repository.findAllByOrderByIdDesc().stream().map(this::done).toList();
  }

  /** Keeps a record. */
  Done keep(RolloutEntity done) {
    return done(repository.save(done));
  }

  Done done(RolloutEntity kept) {
    return new Done(
        kept.id(),
        kept.pieceId(),
        pieces.get(kept.pieceId()).name(),
        kept.revision(),
        kept.applied(),
        kept.appliedBy(),
        kept.rollout().adopted().stream().map(step -> sites.get(step.siteId()).name()).toList(),
        kept.takenBack());
  }
}
