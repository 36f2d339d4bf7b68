package goodbones.survey;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.PageShown;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** WCAG 2.2, 2.4.4 asks that a link’s purpose is clear; one without a target has none. */
final class LinksLeadSomewhere extends SurveyRule {
  LinksLeadSomewhere() {
    super("links", "Every link leads somewhere", "WCAG 2.2, 2.4.4, and common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    for (Node item : document.members().all()) {
      Optional<String> page =
          PageShown.of(item).filter(id -> leadsNowhere(PageShown.PAGE + id, site));
      if (page.isPresent() && !item.children().isEmpty()) {
        findings.add(
            document.at(
                item.children().get(0),
                "The page that it shows is gone: choose another, or leave it out"));
      }
    }
    for (Node node : document.shown().all()) {
      if (node.kind() == Kind.BUTTON) {
        String link = node.content().get("link") instanceof FieldValue.Link to ? to.target() : "";
        if (leadsNowhere(link, site)) {
          findings.add(
              document.at(
                  node,
                  link.isEmpty()
                      ? "It has no link: choose where it leads"
                      : "It leads nowhere now: choose another target"));
        }
      }
      for (Mark mark : SurveyedDocument.marks(node, Mark.Type.LINK)) {
        if (leadsNowhere(mark.value(), site)) {
          String on = SurveyedDocument.words(node).substring(mark.from(), mark.to());
          findings.add(
              document.at(node, "The link on “" + on + "” leads nowhere: choose another target"));
        }
      }
    }
    return findings;
  }

  private static boolean leadsNowhere(String link, SurveyedSite site) {
    return site.links().address(link).isEmpty();
  }
}
