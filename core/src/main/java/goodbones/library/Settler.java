package goodbones.library;

import goodbones.document.NodeId;
import goodbones.document.Placement;

/** Makes local changes that were made on one revision hold on another, or says why they cannot. */
public interface Settler {
  /**
   * A placement that was shown on one revision and is to be shown on another.
   *
   * @return it follows if nothing has to be asked; otherwise it waits on the first of the two
   */
  Placement moved(NodeId id, Placement placement, int from, int to);

  /**
   * A placement that comes from elsewhere: every change is rebased from the revision that it was
   * made on.
   *
   * @return it shows the given revision if nothing has to be asked; otherwise it waits on one on
   *     which all that it says holds
   */
  Placement arrived(NodeId id, Placement placement, int shown);

  /**
   * A placement after an edit: whatever the edit made, brought back or brought into sight is
   * rebased from the revision that it was made on.
   *
   * @param before the placement without the edit, on the same revision
   * @param pagesOwn whether the page's own holds wherever it would be asked; what cannot hold gives
   *     way
   * @throws AsksFirst if something has to be decided
   */
  Placement edited(NodeId id, Placement before, Placement after, int shown, boolean pagesOwn);
}
