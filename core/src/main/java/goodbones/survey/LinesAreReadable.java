package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.layout.Box;
import java.util.List;
import java.util.Optional;

/** Readers lose their place on the way back from the end of a long line. */
final class LinesAreReadable extends SurveyRule {
  /** Letters on a line; WCAG 2.2, 1.4.8 (level AAA) asks for 80, common practice goes to 90. */
  private static final int MOST = 90;

  private static final int GOOD = 70;

  /** How wide a letter is, in ems, on average: common practice. */
  private static final double LETTER = 0.5;

  LinesAreReadable() {
    super("line-length", "No line has more than 90 characters", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    return document.shown().all().stream()
        .filter(node -> node.kind() == Kind.TEXT && isLong(node))
        .map(node -> finding(document, document.drawn(site), node))
        .flatMap(Optional::stream)
        .toList();
  }

  private static boolean isLong(Node node) {
    return SurveyedDocument.words(node).lines().anyMatch(line -> line.length() > MOST);
  }

  private static Optional<Finding> finding(SurveyedDocument document, Drawn drawn, Node node) {
    double letter = drawn.textSize(node, Device.DESKTOP) * LETTER;
    double inner =
        drawn
            .box(node, Device.DESKTOP)
            .map(Box::width)
            .map(width -> width - sides(drawn, node))
            .orElse(0.0);
    if (letter <= 0 || inner / letter <= MOST) {
      return Optional.empty();
    }
    long width = Math.round(GOOD * letter + sides(drawn, node));
    return Optional.of(
        document
            .at(
                node,
                "Its lines have about "
                    + Math.round(inner / letter)
                    + " characters: 45 to 90 read well, such as "
                    + width
                    + " px wide")
            .mendedBy(
                new Edit.SetStyle(
                    node.id(),
                    StyleKey.of(StyleProperty.MAX_WIDTH),
                    Optional.of(StyleValue.literal(width + "px")))));
  }

  private static double sides(Drawn drawn, Node node) {
    return drawn.px(node, StyleProperty.PADDING_LEFT, Device.DESKTOP)
        + drawn.px(node, StyleProperty.PADDING_RIGHT, Device.DESKTOP);
  }
}
