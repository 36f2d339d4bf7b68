package goodbones.testing;

import goodbones.document.Node;
import goodbones.document.Placement;
import goodbones.library.Overlay;
import goodbones.library.RevisionIndex;
import goodbones.library.Standing;

/** What a placement makes of a tree written out by hand. */
public final class Laid {
  private Laid() {}

  public static Node show(Node revision, Placement placement) {
    return Overlay.show(new RevisionIndex(revision), placement.layer());
  }

  public static Standing standing(Node revision, Placement placement) {
    return new Standing(new RevisionIndex(revision), placement.layer().changes());
  }
}
