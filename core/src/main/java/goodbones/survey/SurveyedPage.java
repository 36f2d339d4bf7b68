package goodbones.survey;

import goodbones.site.SitePage;
import java.util.List;

/**
 * A page as a whole.
 *
 * @param documents its own and the parts around it, in the order in which they are read
 */
public record SurveyedPage(SitePage page, String description, List<SurveyedDocument> documents) {
  public SurveyedPage {
    documents = List.copyOf(documents);
  }
}
