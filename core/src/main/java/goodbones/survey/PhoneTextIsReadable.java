package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Words on a phone that are too small to read without enlarging them. */
final class PhoneTextIsReadable extends SurveyRule {
  /** In px. */
  private static final double LEAST = 12;

  PhoneTextIsReadable() {
    super("phone-text", "No words on a phone are smaller than 12 px", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    Map<NodeId, Double> small = new HashMap<>();
    document
        .look(site)
        .pairs()
        .forEach(
            (pair, nodes) -> {
              double size = pair.textSize(site.look());
              if (pair.device() == Device.PHONE && size < LEAST) {
                nodes.forEach(node -> small.merge(node, size, Math::min));
              }
            });
    return document
        .inOrder(
            small,
            size -> String.format(Locale.ROOT, "%.1f px on a phone: make it at least 12 px", size))
        .stream()
        .map(finding -> finding.mendedBy(larger(finding.node().orElseThrow())))
        .toList();
  }

  private static Edit larger(NodeId node) {
    return new Edit.SetStyle(
        node, StyleKey.parse("font-size@phone"), Optional.of(StyleValue.literal("12px")));
  }
}
