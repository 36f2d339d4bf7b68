package goodbones.survey;

import java.util.List;

/**
 * One thing that the survey of a site looks for. What concerns a document is looked for in it once,
 * however many pages show it; what concerns a page as a whole is looked for with what stands around
 * its content.
 */
public abstract class SurveyRule {
  private final String word;
  private final String title;
  private final String source;

  /**
   * @param word by which the interface and tests know it
   * @param title what it asks for, as a sentence
   * @param source where that is written: a WCAG 2.2 success criterion, or common practice
   */
  SurveyRule(String word, String title, String source) {
    this.word = word;
    this.title = title;
    this.source = source;
  }

  public final String word() {
    return word;
  }

  public final String title() {
    return title;
  }

  public final String source() {
    return source;
  }

  /** What is found in a page's own document or in a shared part; in reading order. */
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    return List.of();
  }

  /** What is found on a page as a whole; in reading order. */
  public List<Finding> on(SurveyedPage page, SurveyedSite site) {
    return List.of();
  }
}
