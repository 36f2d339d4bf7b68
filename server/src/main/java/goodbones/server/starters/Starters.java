package goodbones.server.starters;

import goodbones.server.library.Pieces;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts the pieces to start with into the library. */
@Service
class Starters {
  private final Pieces pieces;

  Starters(Pieces pieces) {
    this.pieces = pieces;
  }

  /** All of them, what stands in others first. */
  static List<Starter> all() {
    List<Starter> all = new ArrayList<>(Blocks.all());
    all.addAll(Openings.all());
    all.addAll(Claims.all());
    all.addAll(Listed.all());
    all.add(Listed.voices());
    all.addAll(Said.all());
    all.addAll(Skeletons.all());
    all.addAll(Around.all());
    return all;
  }

  /**
   * Keeps them.
   *
   * @param finishes the revision of the finishes that has the roles they are drawn from
   */
  @Transactional
  void keep(int finishes) {
    for (Starter starter : all()) {
      pieces.keep(starter.id(), starter.said(), starter.root(), "A piece to start with", finishes);
    }
  }
}
