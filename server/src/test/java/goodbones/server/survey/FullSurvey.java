package goodbones.server.survey;

import goodbones.server.coverage.Coverages;
import goodbones.server.files.ClientFiles;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.pictures.Pictures;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.PageSettings;
import goodbones.server.sites.Sites;
import java.util.List;
import java.util.Objects;
import org.springframework.context.ApplicationContext;
import org.springframework.transaction.support.TransactionTemplate;

/** Surveys without anything that is remembered, to compare with. */
public final class FullSurvey {
  private FullSurvey() {}

  /** Every finding of a site, with nothing known of it before. */
  public static String of(ApplicationContext beans, String siteId) {
    return told(
        beans,
        new Surveys(
            beans.getBean(Sites.class),
            beans.getBean(ClientDetails.class),
            beans.getBean(PageSettings.class),
            beans.getBean(Coverages.class),
            beans.getBean(FinishesStore.class),
            beans.getBean(Pictures.class),
            beans.getBean(ClientFiles.class)),
        siteId);
  }

  /** Every finding of a site, as the application has it. */
  public static String remembered(ApplicationContext beans, String siteId) {
    return told(beans, beans.getBean(Surveys.class), siteId);
  }

  private static String told(ApplicationContext beans, Surveys surveys, String siteId) {
    List<SurveyController.SurveyedRule> rules =
        Objects.requireNonNull(
            beans.getBean(TransactionTemplate.class).execute(status -> surveys.of(siteId)));
    StringBuilder told = new StringBuilder();
    rules.forEach(rule -> told.append(rule).append('\n'));
    return told.toString();
  }
}
