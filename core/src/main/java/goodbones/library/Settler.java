package goodbones.library;

import goodbones.document.LocalKey;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.Set;

/** Makes local changes that were made on one revision hold on another, or says why they cannot. */
public interface Settler {
  /**
   * A placement under the revision that is to be shown.
   *
   * @param placement settled on another revision, or with changes that were dormant since another
   *     one and are seen again
   * @param pagesOwn whether the page's own holds wherever it would be asked; what cannot hold gives
   *     way
   * @return it follows if nothing has to be asked; otherwise it waits on the revision that it is
   *     settled on
   */
  Placement settle(NodeId id, Placement placement, int shown, boolean pagesOwn);

  /** The local changes that are seen neither on the revision settled on nor on the one shown. */
  Set<LocalKey> dormant(NodeId id, Placement placement, int shown);
}
