package goodbones.survey;

import goodbones.document.Bound;
import goodbones.document.FieldValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import java.util.ArrayList;
import java.util.List;

/** What follows the client is left out where it is published as long as it is not set. */
final class BoundIsSet extends SurveyRule {
  BoundIsSet() {
    super("bound", "What follows the client’s details is set", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    for (Node node : document.shown().all()) {
      for (Mark mark : SurveyedDocument.marks(node, Mark.Type.BOUND)) {
        Bound.ofWord(mark.value())
            .filter(what -> !what.isOfItem() && !site.bound().contains(what))
            .ifPresent(what -> findings.add(unset(document, node, what.title(), what.word())));
      }
      switch (node.kind()) {
        case MENU -> {
          if (node.content().get("menu") instanceof FieldValue.Menu menu
              && !site.menus().contains(menu.name())) {
            findings.add(
                document
                    .at(node, "The menu “" + menu.name() + "” has no links: add some under Menus")
                    .untilSet("menu:" + menu.name()));
          }
        }
        case LOGO -> {
          if (!site.hasLogo()) {
            findings.add(unset(document, node, "Logo", "logo"));
          }
        }
        case SOCIAL -> {
          if (!site.hasSocial()) {
            findings.add(unset(document, node, "Social links", "social"));
          }
        }
        default -> {
          // Nothing else follows the client.
        }
      }
    }
    return findings;
  }

  private static Finding unset(SurveyedDocument document, Node node, String what, String word) {
    return document
        .at(
            node,
            what + ": not set, and left out where it is published; set it under Client details")
        .untilSet(word);
  }
}
