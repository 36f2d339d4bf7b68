package goodbones.propagation;

import goodbones.document.Node;
import goodbones.library.Adopted;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.Map;

/** A site of one page with bare finishes. */
final class Sites {
  private Sites() {}

  static SiteNow of(Node page, int adopted) {
    return new SiteNow(
        "site",
        new SiteFinishes(Finishes.of(List.of(), List.of(), Map.of()), Map.of()),
        new Adopted(Map.of(Scene.PIECE, adopted)),
        List.of(new SiteNow.PageNow("page", 1, page)));
  }
}
