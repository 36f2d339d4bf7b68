package goodbones.survey;

import java.util.List;

/** Search results show the description under the title. */
final class PagesAreDescribed extends SurveyRule {
  PagesAreDescribed() {
    super("description", "Every page has a description", "common practice");
  }

  @Override
  public List<Finding> on(SurveyedPage page, SurveyedSite site) {
    return page.description().isBlank()
        ? List.of(page.whole("It has no description for search results: write a sentence"))
        : List.of();
  }
}
