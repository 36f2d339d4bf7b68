package goodbones.survey;

import java.util.List;

/**
 * One thing that the survey of a site looks for. What concerns a document is looked for in it once,
 * however many pages show it; what concerns a page as a whole is looked for with what stands around
 * its content.
 */
public interface SurveyRule {
  /** By which the interface and tests know it. */
  String word();

  /** What it asks for, as a sentence. */
  String title();

  /** Where that is written: a WCAG 2.2 success criterion, or common practice. */
  String source();

  /** What is found in a page's own document or in a shared part; in reading order. */
  default List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    return List.of();
  }

  /** What is found on a page as a whole; in reading order. */
  default List<Finding> on(SurveyedPage page, SurveyedSite site) {
    return List.of();
  }
}
