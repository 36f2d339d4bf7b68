package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.layout.Box;
import goodbones.layout.Screen;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** WCAG 2.2, 1.4.10: nothing is to be scrolled sideways, down to 320 px. */
final class NothingOverflows extends SurveyRule {
  private static final double WITHIN = 0.5;
  private static final List<Screen> SCREENS =
      List.of(
          Screen.of(Device.DESKTOP),
          Screen.of(Device.TABLET),
          Screen.of(Device.PHONE),
          new Screen(Device.PHONE, 320, 568));

  NothingOverflows() {
    super("overflow", "Nothing stands out of the screen", "WCAG 2.2, 1.4.10");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    outOf(document.shown(), document, document.drawn(site), findings);
    return findings;
  }

  /** The outermost boxes that stand out; what is in them does too. */
  private static void outOf(
      Node node, SurveyedDocument document, Drawn drawn, List<Finding> findings) {
    for (Screen screen : SCREENS) {
      Map<NodeId, Box> boxes = drawn.boxes(screen);
      Box box = boxes.get(node.id());
      double over = box == null ? 0 : box.right() - drawn.width(screen);
      if (over > WITHIN) {
        findings.add(
            document.at(
                node,
                "At "
                    + Math.round(screen.width())
                    + " px it stands out of "
                    + (drawn.width(screen) < screen.width() ? "its column" : "the screen")
                    + " by "
                    + Math.round(over)
                    + " px: give it a width in per cent, or a maximum width"));
        return;
      }
    }
    node.children().forEach(child -> outOf(child, document, drawn, findings));
  }
}
