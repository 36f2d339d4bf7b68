package goodbones.survey;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import java.util.List;

/** WCAG 2.2, 1.1.1: a picture that says something has a text that says it too. */
final class AlternativeText extends SurveyRule {
  AlternativeText() {
    super(
        "alternative-text",
        "Every picture says what it shows, or is decoration on purpose",
        "WCAG 2.2, 1.1.1");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    return document.shown().all().stream()
        .filter(AlternativeText::saysNothing)
        .map(
            node ->
                document.at(
                    node,
                    "It has no alternative text, so it counts as decoration: say what it shows if"
                        + " it is none"))
        .toList();
  }

  private static boolean saysNothing(Node node) {
    return node.kind() == Kind.PICTURE
        && node.content().get("picture") instanceof FieldValue.Picture picture
        && !picture.standIn()
        && picture.alt().isBlank();
  }
}
