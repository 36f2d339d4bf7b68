package goodbones.server.library;

import goodbones.document.Node;
import goodbones.library.Described;
import goodbones.library.Guess;
import java.util.List;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Describes pieces that were kept before pieces were described, before the port is open. */
@Component
class OldPieces implements SmartInitializingSingleton {
  private final DescribedRepository described;
  private final Descriptions descriptions;
  private final Pieces pieces;

  OldPieces(DescribedRepository described, Descriptions descriptions, Pieces pieces) {
    this.described = described;
    this.descriptions = descriptions;
    this.pieces = pieces;
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    List<DescribedEntity> unknown = described.unknown();
    for (DescribedEntity about : unknown) {
      PieceState piece = pieces.get(about.pieceId());
      Node drawn = pieces.drafted(piece).drawn();
      Described guessed = Guess.of(drawn);
      about.describe(
          Described.of(piece.name(), guessed.kind(), guessed.purpose()).withNotes(about.notes()));
      described.save(about);
      descriptions.shows(piece.id(), piece.root(), drawn, piece.draft());
    }
  }
}
