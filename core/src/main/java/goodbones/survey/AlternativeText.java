package goodbones.survey;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.render.Pictured;
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
        .filter(node -> saysNothing(node, site))
        .map(
            node ->
                document.at(
                    node,
                    "It has no alternative text: say what it shows, or that it is decoration"))
        .toList();
  }

  private static boolean saysNothing(Node node, SurveyedSite site) {
    return node.kind() == Kind.PICTURE
        && node.content().get("picture") instanceof FieldValue.Picture picture
        && !picture.decoration()
        && picture.alt().isBlank()
        && site.picture(picture).filter(AlternativeText::saysNothing).isPresent();
  }

  private static boolean saysNothing(Pictured known) {
    return known.alt().isBlank() && !known.decoration();
  }
}
