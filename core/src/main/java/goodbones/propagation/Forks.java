package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Layer;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Translation;
import goodbones.library.Variants;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What comes of a placement under the answers that change what is seen of it: it is rebased anew as
 * it would have been with that answer from the beginning.
 */
final class Forks {
  private final Placement stored;
  private final int shownNow;
  private final Library library;
  private final Translation translation;
  private final Function<Placement, Rebased> rebased;

  /**
   * @param stored the placement as it is kept
   * @param translation of it to the revision that is to be shown
   * @param rebased rebases it as it would have been
   */
  Forks(
      Placement stored,
      int shownNow,
      Library library,
      Translation translation,
      Function<Placement, Rebased> rebased) {
    this.stored = stored;
    this.shownNow = shownNow;
    this.library = library;
    this.translation = translation;
    this.rebased = rebased;
  }

  /** Taking the library's shows again what is removed or switched off here. */
  Map<Settlement, Alternative> withoutHiding(LocalKey key) {
    return Map.of(Settlement.TAKE, later(without(key)));
  }

  /** To stay with a variant that is gone is to have what it did as local changes. */
  Map<Settlement, Alternative> variantGone(LocalKey variant) {
    LocalKey at = translation.stored(variant).orElseThrow();
    int made = Optional.of(stored.changes().get(at)).map(LocalChange::madeOn).orElseThrow();
    int from = made == 0 ? shownNow : made;
    Translation then = Translation.of(library, stored, from);
    Layer spelledOut =
        Variants.spelledOut(
            library.expanded(stored.pieceId(), from, then.picks()), then.layer(), at);
    return Map.of(
        Settlement.STAY,
        later(then.storing(stored, spelledOut, Set.of())),
        Settlement.TAKE,
        later(without(variant)));
  }

  /** To stay with a part that the library switched off is to switch it on here. */
  Map<Settlement, Alternative> switchedOff(NodeId part, int madeOn) {
    LocalValue shown = new LocalValue.SwitchedIs(true);
    return Map.of(
        Settlement.STAY,
        later(
            stored.withChange(
                new LocalKey(part, Aspect.SWITCHED), Optional.of(new LocalChange(shown, madeOn)))));
  }

  private Alternative later(Placement other) {
    return new Alternative(() -> rebased.apply(other));
  }

  /** The placement without one of its changes, which is told as it is at the end of the way. */
  private Placement without(LocalKey moved) {
    return stored.withChange(translation.stored(moved).orElseThrow(), Optional.empty());
  }
}
