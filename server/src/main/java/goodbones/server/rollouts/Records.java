package goodbones.server.rollouts;

import goodbones.propagation.Rollout;
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
    Rollout rollout = kept.rollout();
    return new Done(
        kept.id(),
        kept.pieceId(),
        pieces.get(kept.pieceId()).name(),
        kept.revision(),
        kept.applied(),
        kept.appliedBy(),
        rollout.siteIds().stream().map(site -> sites.get(site).name()).toList(),
        rollout.adopted().stream()
            .map(Rollout.AdoptedStep::piece)
            .filter(piece -> !piece.equals(kept.pieceId()))
            .distinct()
            .map(piece -> pieces.get(piece).name())
            .toList(),
        rollout.by().isEmpty() ? "" : pieces.get(rollout.by()).name(),
        kept.takenBack(),
        rollout.by().isEmpty() ? backTo(kept) : 0,
        pieces.version(kept.pieceId()));
  }

  /** Where a release itself was wrong, the library can go back once nobody shows it any more. */
  private int backTo(RolloutEntity kept) {
    int earlier = kept.revision() - 1;
    boolean current = pieces.current(kept.pieceId()) == kept.revision();
    return kept.takenBack() != null && current && earlier > 0 && isShownNowhere(kept) ? earlier : 0;
  }

  private boolean isShownNowhere(RolloutEntity kept) {
    return sites.all().stream()
        .map(site -> sites.adopted(site.id()).revisions().getOrDefault(kept.pieceId(), 0))
        .noneMatch(revision -> revision >= kept.revision());
  }
}
