package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleProperty;
import goodbones.layout.Box;
import goodbones.layout.Screen;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/** The edges of a document that are seen, and stand where no word’s length decides. */
final class Edges {
  /** What is filled to its edges. */
  private static final Set<Kind> FILLED = Set.of(Kind.PICTURE, Kind.DIVIDER);

  /** What has words, which begin at its edge. */
  private static final Set<Kind> WORDS = Set.of(Kind.HEADING, Kind.TEXT, Kind.LABEL);

  private final Drawn drawn;
  private final Device device;
  private final Map<NodeId, Box> boxes;
  private final Map<NodeId, Box> withLongerWords;

  Edges(Drawn drawn, Device device) {
    this.drawn = drawn;
    this.device = device;
    this.boxes = drawn.boxes(Screen.of(device));
    this.withLongerWords = drawn.boxesWithLongerWords(Screen.of(device));
  }

  /**
   * One edge.
   *
   * @param chain the nodes around what it is of, outermost first, and that itself
   * @param side {@code left} or {@code right}
   * @param at from the left of the screen, in px
   * @param isOfBox whether something is drawn there; else words begin there
   */
  record Edge(List<Node> chain, String side, double at, boolean isOfBox) {
    Node node() {
      return chain.get(chain.size() - 1);
    }

    boolean isLeft() {
      return side.equals("left");
    }

    boolean isAround(Edge other) {
      return other.chain.contains(node());
    }
  }

  /** The edges that are compared with each other: those within a section, and of all sections. */
  List<List<Edge>> compared(Node page) {
    List<List<Edge>> compared = new ArrayList<>();
    List<Edge> beginnings = new ArrayList<>();
    for (Node section : page.children()) {
      List<Edge> edges = new ArrayList<>();
      collect(List.of(page), section, edges);
      for (String side : List.of("left", "right")) {
        compared.add(edges.stream().filter(edge -> edge.side().equals(side)).toList());
      }
      edges.stream()
          .filter(edge -> edge.isLeft() && edge.at() > 0)
          .min(Comparator.comparingDouble(Edge::at))
          .ifPresent(beginnings::add);
    }
    compared.add(beginnings);
    return compared;
  }

  private void collect(List<Node> around, Node node, List<Edge> edges) {
    if (node.hiddenOn().contains(device) || !css(node, StyleProperty.PIN).equals("none")) {
      return;
    }
    List<Node> chain = new ArrayList<>(around);
    chain.add(node);
    boolean isOfBox = FILLED.contains(node.kind()) || isSeen(node);
    if (isOfBox) {
      at(node, Box::x).ifPresent(left -> edges.add(new Edge(chain, "left", left, true)));
      at(node, Box::right).ifPresent(right -> edges.add(new Edge(chain, "right", right, true)));
    } else if (WORDS.contains(node.kind()) && css(node, StyleProperty.TEXT_ALIGN).equals("start")) {
      at(node, Box::x)
          .map(left -> left + drawn.px(node, StyleProperty.PADDING_LEFT, device))
          .ifPresent(left -> edges.add(new Edge(chain, "left", left, false)));
    }
    node.children().forEach(child -> collect(chain, child, edges));
  }

  /** Whether it has a ground or a border. */
  private boolean isSeen(Node node) {
    return (node.kind() == Kind.BOX || node.kind() == Kind.COLUMN)
        && (!css(node, StyleProperty.BORDER).equals("none")
            || !css(node, StyleProperty.SHADOW).equals("none")
            || !css(node, StyleProperty.GRADIENT).equals("none")
            || !css(node, StyleProperty.BACKGROUND_COLOR).equals("transparent"));
  }

  private Optional<Double> at(Node node, ToDoubleFunction<Box> side) {
    Box here = boxes.get(node.id());
    Box longer = withLongerWords.get(node.id());
    if (here == null || longer == null) {
      return Optional.empty();
    }
    double at = side.applyAsDouble(here);
    return at == side.applyAsDouble(longer) ? Optional.of(at) : Optional.empty();
  }

  private String css(Node node, StyleProperty property) {
    return drawn.css(node, property, device);
  }
}
