package goodbones.library;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.Graph;
import org.jgrapht.alg.shortestpath.BFSShortestPath;
import org.jgrapht.graph.AsSubgraph;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleDirectedGraph;
import org.jgrapht.traverse.BreadthFirstIterator;
import org.jgrapht.traverse.TopologicalOrderIterator;

/** Which pieces stand in which. Edges go from a piece to those that contain it. */
public final class PieceGraph {
  private final Graph<String, DefaultEdge> graph = new SimpleDirectedGraph<>(DefaultEdge.class);

  /**
   * @param contained for each piece, the pieces that stand directly in it
   */
  public PieceGraph(Map<String, ? extends Collection<String>> contained) {
    contained.forEach(
        (container, pieces) -> {
          graph.addVertex(container);
          for (String piece : pieces) {
            graph.addVertex(piece);
            if (!piece.equals(container)) {
              graph.addEdge(piece, container);
            }
          }
        });
  }

  /**
   * Some pieces and everything that contains one of them, to any depth, each after all that it
   * contains.
   *
   * @throws IllegalArgumentException if a piece contains itself
   */
  public List<String> upwards(Collection<String> from) {
    Set<String> reached = new HashSet<>();
    for (String piece : from) {
      graph.addVertex(piece);
      new BreadthFirstIterator<>(graph, piece).forEachRemaining(reached::add);
    }
    Set<DefaultEdge> edges = new HashSet<>();
    reached.forEach(piece -> edges.addAll(graph.outgoingEdgesOf(piece)));
    List<String> order = new ArrayList<>();
    new TopologicalOrderIterator<>(new AsSubgraph<>(graph, reached, edges))
        .forEachRemaining(order::add);
    return order;
  }

  /**
   * How one piece comes to stand in another.
   *
   * @return the pieces from the inner one outwards, both included; empty if it does not
   */
  public List<String> line(String inner, String outer) {
    if (inner.equals(outer)) {
      return List.of(inner);
    }
    if (!graph.containsVertex(inner) || !graph.containsVertex(outer)) {
      return List.of();
    }
    var path = new BFSShortestPath<>(graph).getPath(inner, outer);
    return path == null ? List.of() : List.copyOf(path.getVertexList());
  }
}
