package goodbones.library;

import goodbones.document.NodeId;
import goodbones.document.Placement;

/** Makes local changes that were made on one revision hold on another, or says why they cannot. */
public interface Settler {
  /**
   * A placement under the revision that is to be shown.
   *
   * @param placement settled on another revision
   * @return it follows if nothing has to be asked; otherwise it waits on the revision that it is
   *     settled on
   */
  Placement settle(NodeId id, Placement placement, int shown);
}
