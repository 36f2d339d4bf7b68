package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.survey.Edges.Edge;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * What stands a few pixels beside the line on which others stand looks like a mistake; edges are on
 * one line, or clearly apart. Asked of the edges that are seen within a section, and of where the
 * content of sections begins.
 */
final class EdgesLineUp extends SurveyRule {
  /** Closer than this are those that only a border divides, in px. */
  private static final double SAME = 1.5;

  /** From here on it is seen that something stands apart, in px. */
  private static final double APART = 4;

  EdgesLineUp() {
    super("edges", "Edges stand on one line, or clearly apart", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    Set<NodeId> said = new HashSet<>();
    Drawn drawn = document.drawn(site);
    for (Device device : Device.values()) {
      Edges edges = new Edges(drawn, device);
      for (List<Edge> together : edges.compared(document.shown())) {
        for (Off off : off(together)) {
          if (said.add(off.edge().node().id())) {
            findings.add(finding(document, drawn, device, off));
          }
        }
      }
    }
    return findings;
  }

  /**
   * An edge that is off.
   *
   * @param line where the others stand, in px
   * @param others how many stand there
   */
  private record Off(Edge edge, double line, long others) {}

  /** The first edge of each line that is off the line of more others. */
  private static List<Off> off(List<Edge> edges) {
    List<Off> off = new ArrayList<>();
    Set<Long> lines = new HashSet<>();
    for (Edge edge : edges) {
      long here = on(edge.at(), edges);
      edges.stream()
          .filter(other -> isBeside(edge, other) && !edge.isAround(other) && !other.isAround(edge))
          .filter(other -> on(other.at(), edges) > here)
          .max(Comparator.comparingLong(other -> on(other.at(), edges)))
          .filter(other -> lines.add(Math.round(edge.at())))
          .ifPresent(other -> off.add(new Off(edge, other.at(), on(other.at(), edges))));
    }
    return off;
  }

  private static boolean isBeside(Edge one, Edge other) {
    double apart = Math.abs(one.at() - other.at());
    return apart > SAME && apart <= APART;
  }

  private static long on(double line, List<Edge> edges) {
    return edges.stream().filter(edge -> Math.abs(edge.at() - line) < SAME / 2).count();
  }

  private static Finding finding(SurveyedDocument document, Drawn drawn, Device device, Off off) {
    double by = off.line() - off.edge().at();
    Finding finding =
        document.at(
            off.edge().node(),
            String.format(
                Locale.ROOT,
                "At %d px its %s edge stands %s px beside the line of %d others: bring it there,"
                    + " or clearly away",
                device.width(),
                off.edge().side(),
                number(Math.abs(by), 1),
                off.others()));
    return device == Device.DESKTOP
        ? mend(document, drawn, off.edge(), by).map(finding::mendedBy).orElse(finding)
        : finding;
  }

  /** A length of its own by which it is off, in it or in what it stands straight in. */
  private static Optional<Edit> mend(SurveyedDocument document, Drawn drawn, Edge edge, double by) {
    if (!edge.isLeft()) {
      return Optional.empty();
    }
    List<Node> chain = edge.chain();
    for (int i = chain.size() - 1; i > 0; i--) {
      Node node = chain.get(i);
      Node parent = chain.get(i - 1);
      if (!standsAtTheStart(drawn, parent, node)) {
        return Optional.empty();
      }
      boolean holds = i < chain.size() - 1;
      for (StyleProperty side :
          edge.isOfBox() && !holds
              ? List.of(StyleProperty.MARGIN_LEFT)
              : List.of(StyleProperty.PADDING_LEFT, StyleProperty.MARGIN_LEFT)) {
        Optional<Edit> mend = moved(document, node, side, by);
        if (mend.isPresent()) {
          return mend;
        }
      }
    }
    return Optional.empty();
  }

  private static Optional<Edit> moved(
      SurveyedDocument document, Node node, StyleProperty side, double by) {
    StyleKey key = StyleKey.of(side);
    return Optional.ofNullable(node.styles().get(key))
        .filter(value -> document.isOwn(node, key))
        .map(StyleValue::toString)
        .filter(value -> value.matches("\\d+(\\.\\d+)?px"))
        .map(value -> Double.parseDouble(value.replace("px", "")) + by)
        .filter(length -> length >= 0)
        .map(
            length ->
                new Edit.SetStyle(
                    node.id(), key, Optional.of(StyleValue.literal(number(length, 2) + "px"))));
  }

  /** Whether it begins where its container’s content does, whatever that is as wide as. */
  private static boolean standsAtTheStart(Drawn drawn, Node parent, Node node) {
    boolean down =
        switch (parent.kind()) {
          case COLUMN, BOX -> is(drawn, parent, StyleProperty.FLOW, "down");
          case SECTION, PAGE ->
              is(drawn, parent, StyleProperty.FLOW, "down")
                  && is(drawn, parent, StyleProperty.CONTENT_WIDTH, "none");
          default -> false;
        };
    return down
        && !parent.isList()
        && (is(drawn, node, StyleProperty.PLACE, "stretch")
            || is(drawn, node, StyleProperty.PLACE, "start"))
        && is(drawn, node, StyleProperty.PIN, "none")
        && !is(drawn, node, StyleProperty.MARGIN_LEFT, "auto")
        && !is(drawn, node, StyleProperty.MARGIN_RIGHT, "auto")
        && node.kind() != Kind.ROW;
  }

  private static boolean is(Drawn drawn, Node node, StyleProperty property, String css) {
    return drawn.css(node, property, Device.DESKTOP).equals(css);
  }

  private static String number(double value, int digits) {
    return BigDecimal.valueOf(value)
        .setScale(digits, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .toPlainString();
  }
}
