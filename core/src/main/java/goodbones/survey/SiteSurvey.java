package goodbones.survey;

import java.util.List;

/** The rules by which a site is surveyed, the gravest first. */
public final class SiteSurvey {
  /** All rules. */
  public static final List<SurveyRule> RULES =
      List.of(
          new LinksLeadSomewhere(),
          new AlternativeText(),
          new ContrastIsEnough(),
          new OneMainHeading(),
          new HeadingsInOrder(),
          new BoundIsSet(),
          new NothingStandsIn(),
          new NothingWaits(),
          new PhoneTextIsReadable(),
          new PagesAreDescribed());

  private SiteSurvey() {}
}
