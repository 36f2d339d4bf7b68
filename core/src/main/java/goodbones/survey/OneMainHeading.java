package goodbones.survey;

import goodbones.document.Edit;
import goodbones.document.FieldValue;
import java.util.List;
import java.util.Optional;

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
      Finding none = page.whole("It has no heading of level 1: give its title that level");
      return List.of(
          page.headings().stream()
              .findFirst()
              .filter(first -> first.document().id().equals(page.page().id()))
              .map(first -> none.mendedBy(level(first, 1)))
              .orElse(none));
    }
    return main.stream()
        .skip(1)
        .map(
            heading ->
                heading
                    .found("It is one more heading of level 1: give it level 2")
                    .mendedBy(level(heading, 2)))
        .toList();
  }

  /** Gives a heading another level. */
  static Edit level(SurveyedPage.Heading heading, int level) {
    return new Edit.SetContent(
        heading.node().id(), "level", Optional.of(new FieldValue.Level(level)));
  }
}
