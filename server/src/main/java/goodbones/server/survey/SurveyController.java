package goodbones.server.survey;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class SurveyController {
  private final Surveys surveys;

  SurveyController(Surveys surveys) {
    this.surveys = surveys;
  }

  /**
   * Something that was found.
   *
   * @param document the id of the page or shared part in which it is mended
   * @param shared whether that is a shared part
   * @param node where it stands there; empty if it concerns the document as a whole
   * @param mendable whether it can be mended without a choice
   * @param unset the word of what of the client is to be set for it, such as {@code phone} or
   *     {@code menu:Main}; empty where it is something else
   */
  record FindingView(
      String document,
      String documentTitle,
      boolean shared,
      String node,
      String nodeTitle,
      String message,
      boolean mendable,
      String unset) {}

  /**
   * @param source where it is written what the rule asks for
   */
  record SurveyedRule(String word, String title, String source, List<FindingView> findings) {}

  /** Every rule with what it finds on a site. */
  @GetMapping("/api/sites/{id}/survey")
  List<SurveyedRule> survey(@PathVariable String id) {
    return surveys.of(id);
  }

  /**
   * What would lead nowhere if a page were taken away.
   *
   * @param menus the names of the menus that lead to it
   */
  record Dangling(List<FindingView> links, List<String> menus) {}

  @GetMapping("/api/pages/{id}/dangling")
  Dangling dangling(@PathVariable String id) {
    return surveys.dangling(id);
  }

  /** Every rule with what it finds on one page and around it, or in a shared part. */
  @GetMapping("/api/pages/{id}/survey")
  List<SurveyedRule> surveyPage(@PathVariable String id) {
    return surveys.ofPage(id);
  }
}
