package goodbones.server.shelf;

import goodbones.library.Adopted;
import goodbones.server.library.Pieces;
import goodbones.server.library.Reaches;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Which sites show an older revision than the current one, itself or inside others; read once. */
public final class Behind {
  private final List<SiteInfo> sites;
  private final Map<String, Set<String>> behind = new HashMap<>();

  public Behind(Pieces pieces, Reaches reaches, Sites sites) {
    this.sites = sites.all();
    Map<String, Adopted> adopted = sites.adopted();
    Map<String, Integer> currents = pieces.currents();
    Map<String, Map<String, Integer>> following = byContainer(pieces.followUps());
    reaches
        .bySite()
        .forEach(
            (site, placed) -> {
              Map<String, Integer> shown =
                  adopted.getOrDefault(site, new Adopted(Map.of())).revisions();
              for (String piece : placed) {
                int number = shown.getOrDefault(piece, 0);
                if (number != currents.getOrDefault(piece, 0)) {
                  add(piece, site);
                }
                following
                    .getOrDefault(piece, Map.of())
                    .forEach(
                        (followed, since) -> {
                          if (number < since) {
                            add(followed, site);
                          }
                        });
              }
            });
  }

  /** By the containing piece: the pieces that it followed, with the number of that revision. */
  private static Map<String, Map<String, Integer>> byContainer(
      Map<String, Map<String, Integer>> followUps) {
    Map<String, Map<String, Integer>> turned = new HashMap<>();
    followUps.forEach(
        (followed, containers) ->
            containers.forEach(
                (container, number) ->
                    turned
                        .computeIfAbsent(container, id -> new HashMap<>())
                        .put(followed, number)));
    return turned;
  }

  private void add(String pieceId, String siteId) {
    behind.computeIfAbsent(pieceId, id -> new HashSet<>()).add(siteId);
  }

  /** The names of the sites. */
  public List<String> of(String pieceId) {
    Set<String> here = behind.getOrDefault(pieceId, Set.of());
    return sites.stream().filter(site -> here.contains(site.id())).map(SiteInfo::name).toList();
  }
}
