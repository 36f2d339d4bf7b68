package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * WCAG 2.2, 2.5.8, without its exception for what stands alone: what stands near it may change.
 * Links in a text are excepted; those of menus are 24 px high by themselves.
 */
final class TargetsAreLargeEnough extends SurveyRule {
  /** In px. */
  private static final int LEAST = 24;

  TargetsAreLargeEnough() {
    super("target-size", "Every button is at least 24 px high", "WCAG 2.2, 2.5.8");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    for (Node node : document.shown().all()) {
      if (node.kind() == Kind.BUTTON && !SurveyedDocument.words(node).isBlank()) {
        Drawn drawn = document.drawn(site);
        double lowest =
            Arrays.stream(Device.values())
                .filter(device -> !node.hiddenOn().contains(device))
                .mapToDouble(device -> height(drawn, node, device))
                .min()
                .orElse(LEAST);
        if (lowest < LEAST) {
          findings.add(
              document
                  .at(node, "It is " + Math.round(lowest) + " px high: give it padding")
                  .mendedBy(higher(drawn, node, (int) Math.ceil((LEAST - lowest) / 2))));
        }
      }
    }
    return findings;
  }

  private static double height(Drawn drawn, Node node, Device device) {
    return drawn.lineHeight(node, device)
        + drawn.px(node, StyleProperty.PADDING_TOP, device)
        + drawn.px(node, StyleProperty.PADDING_BOTTOM, device);
  }

  private static Edit higher(Drawn drawn, Node node, int by) {
    List<Edit> edits = new ArrayList<>();
    for (StyleProperty side : List.of(StyleProperty.PADDING_TOP, StyleProperty.PADDING_BOTTOM)) {
      long to = Math.round(drawn.px(node, side, Device.DESKTOP)) + by;
      edits.add(
          new Edit.SetStyle(
              node.id(), StyleKey.of(side), Optional.of(StyleValue.literal(to + "px"))));
    }
    return new Edit.Group(edits);
  }
}
