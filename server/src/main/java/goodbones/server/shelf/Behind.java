package goodbones.server.shelf;

import goodbones.library.Adopted;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.library.PlacedAt;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import java.util.List;
import java.util.Map;

/** Which sites show an older revision than the current one, itself or inside others; read once. */
public final class Behind {
  private final List<PlacedAt> placed;
  private final Map<String, Adopted> adopted;
  private final Map<String, Map<String, Integer>> followUps;
  private final List<SiteInfo> sites;

  public Behind(Pieces pieces, Sites sites) {
    this.placed = pieces.placedAt();
    this.adopted = sites.adopted();
    this.followUps = pieces.followUps();
    this.sites = sites.all();
  }

  /** The names of the sites. */
  public List<String> of(PieceState piece) {
    Map<String, Integer> following = followUps.getOrDefault(piece.id(), Map.of());
    return sites.stream()
        .filter(
            site ->
                placed.stream()
                    .filter(at -> at.siteId().equals(site.id()))
                    .anyMatch(at -> isBehind(at, piece, following)))
        .map(SiteInfo::name)
        .toList();
  }

  private boolean isBehind(PlacedAt at, PieceState piece, Map<String, Integer> following) {
    int shown =
        adopted
            .getOrDefault(at.siteId(), new Adopted(Map.of()))
            .revisions()
            .getOrDefault(at.pieceId(), 0);
    return at.pieceId().equals(piece.id())
        ? shown != piece.current()
        : shown < following.getOrDefault(at.pieceId(), 0);
  }
}
