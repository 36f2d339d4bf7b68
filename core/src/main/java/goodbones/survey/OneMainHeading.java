package goodbones.survey;

import java.util.List;

/** Readers who go from heading to heading begin at the main one. */
final class OneMainHeading extends SurveyRule {
  OneMainHeading() {
    super("main-heading", "Every page has one main heading", "common practice");
  }

  @Override
  public List<Finding> on(SurveyedPage page, SurveyedSite site) {
    List<SurveyedPage.Heading> main =
        page.headings().stream().filter(heading -> heading.level() == 1).toList();
    if (main.isEmpty()) {
      return List.of(page.whole("It has no heading of level 1: give its title that level"));
    }
    return main.stream()
        .skip(1)
        .map(heading -> heading.found("It is one more heading of level 1: give it level 2"))
        .toList();
  }
}
