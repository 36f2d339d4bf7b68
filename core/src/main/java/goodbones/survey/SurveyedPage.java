package goodbones.survey;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.site.SitePage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A page as a whole.
 *
 * @param documents its own and the parts around it, in the order in which they are read
 */
public record SurveyedPage(SitePage page, String description, List<SurveyedDocument> documents) {
  private static final int LEVEL = 2;

  /** A heading where it is read on the page. */
  record Heading(SurveyedDocument document, Node node, int level) {
    Finding found(String message) {
      return document.at(node, message);
    }
  }

  public SurveyedPage {
    documents = List.copyOf(documents);
  }

  Finding whole(String message) {
    return new Finding(page.id(), Optional.empty(), message);
  }

  /** The headings that a reader comes to, in their order: what has no words is not there. */
  List<Heading> headings() {
    List<Heading> headings = new ArrayList<>();
    for (SurveyedDocument document : documents) {
      for (Node node : document.shown().all()) {
        if (node.kind() == Kind.HEADING && !SurveyedDocument.words(node).isBlank()) {
          int level =
              node.content().get("level") instanceof FieldValue.Level of ? of.level() : LEVEL;
          headings.add(new Heading(document, node, level));
        }
      }
    }
    return headings;
  }
}
