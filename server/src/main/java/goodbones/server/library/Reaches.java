package goodbones.server.library;

import goodbones.library.PieceGraph;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** How far changes of all pieces go, through the pieces that contain them too; read once. */
public final class Reaches {
  private final PieceGraph graph;
  private final Map<String, List<Use>> placed = new HashMap<>();

  Reaches(PieceGraph graph, List<Use> rows) {
    this.graph = graph;
    for (Use row : rows) {
      placed.computeIfAbsent(row.pieceId(), id -> new ArrayList<>()).add(row);
    }
  }

  /** The pieces that are placed at each site itself, by site. */
  public Map<String, Set<String>> bySite() {
    Map<String, Set<String>> bySite = new HashMap<>();
    placed.forEach(
        (piece, rows) ->
            rows.forEach(
                row -> bySite.computeIfAbsent(row.siteId(), id -> new HashSet<>()).add(piece)));
    return bySite;
  }

  public Reach of(String pieceId) {
    Set<String> pages = new HashSet<>();
    Set<String> sites = new HashSet<>();
    int placements = 0;
    int held = 0;
    for (String piece : graph.upwards(List.of(pieceId))) {
      for (Use row : placed.getOrDefault(piece, List.of())) {
        pages.add(row.ownerId());
        sites.add(row.siteId());
        placements++;
        held += row.held() ? 1 : 0;
      }
    }
    return new Reach(placements, pages.size(), sites.size(), held);
  }
}
