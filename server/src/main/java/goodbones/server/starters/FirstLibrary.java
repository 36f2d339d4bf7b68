package goodbones.server.starters;

import goodbones.server.compositions.FirstCompositions;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gives a house that has nothing yet finishes, pieces and compositions to start with. */
@Component
public class FirstLibrary implements SmartInitializingSingleton {
  private final FinishesStore finishes;
  private final Pieces pieces;
  private final Starters starters;
  private final FirstCompositions compositions;

  FirstLibrary(
      FinishesStore finishes, Pieces pieces, Starters starters, FirstCompositions compositions) {
    this.finishes = finishes;
    this.pieces = pieces;
    this.starters = starters;
    this.compositions = compositions;
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    begin();
  }

  /** Does nothing where there are finishes or pieces already. */
  @Transactional
  public void begin() {
    if (finishes.current() > 0 || !pieces.names().isEmpty()) {
      return;
    }
    finishes.keep(FirstFinishes.house(), "The first drawing");
    starters.keep(finishes.current());
    compositions.keep();
  }
}
