package goodbones.survey;

import java.util.List;

/** The rules by which a site is surveyed, the gravest first. */
public final class SiteSurvey {
  /** By which what would dangle is found too. */
  public static final SurveyRule LINKS = new LinksLeadSomewhere();

  /** All rules. */
  public static final List<SurveyRule> RULES =
      List.of(
          LINKS,
          new AlternativeText(),
          new ContrastIsEnough(),
          new OneMainHeading(),
          new HeadingsInOrder(),
          new BoundIsSet(),
          new ItemsShowPages(),
          new NothingStandsIn(),
          new NothingWaits(),
          new NothingOverflows(),
          new PhoneTextIsReadable(),
          new TargetsAreLargeEnough(),
          new PicturesAreSharp(),
          new LinesAreReadable(),
          new EdgesLineUp(),
          new ValuesAreTokens(),
          new NothingIsWrappedInVain(),
          new PagesAreDescribed());

  private SiteSurvey() {}
}
