package goodbones.survey;

import java.util.ArrayList;
import java.util.List;

/** WCAG 2.2, 1.3.1, by technique G141: headings are nested by their levels. */
final class HeadingsInOrder extends SurveyRule {
  HeadingsInOrder() {
    super("heading-order", "No heading skips a level", "WCAG 2.2, 1.3.1, technique G141");
  }

  @Override
  public List<Finding> on(SurveyedPage page, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    int before = 0;
    for (SurveyedPage.Heading heading : page.headings()) {
      if (before > 0 && heading.level() > before + 1) {
        findings.add(
            heading
                .found(
                    "It has level "
                        + heading.level()
                        + " after one of level "
                        + before
                        + ": give it level "
                        + (before + 1))
                .mendedBy(OneMainHeading.level(heading, before + 1)));
      }
      before = heading.level();
    }
    return findings;
  }
}
