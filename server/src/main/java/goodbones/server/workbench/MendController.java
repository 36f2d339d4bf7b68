package goodbones.server.workbench;

import goodbones.server.problems.BadInput;
import goodbones.server.sites.Sites;
import goodbones.server.survey.Surveys;
import goodbones.survey.SiteSurvey;
import goodbones.survey.SurveyRule;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Mends what the survey finds. */
@RestController
@RequestMapping("/api/sites/{id}/survey")
class MendController {
  private final Surveys surveys;
  private final Sites sites;
  private final Workbenches workbenches;

  MendController(Surveys surveys, Sites sites, Workbenches workbenches) {
    this.surveys = surveys;
    this.sites = sites;
    this.workbenches = workbenches;
  }

  /** A page or shared part that was mended, and its version since, by which it can be undone. */
  record Mended(String document, String title, long version) {}

  /**
   * Mends what a rule finds and what needs no choice: one edit in each page or shared part.
   *
   * @param document the page or shared part to be mended alone; empty for all
   * @param node the thing in it to be mended alone; empty for all
   */
  @PostMapping("/{rule}/mend")
  List<Mended> mend(
      @PathVariable String id,
      @PathVariable String rule,
      @RequestParam(defaultValue = "") String document,
      @RequestParam(defaultValue = "") String node,
      Principal who) {
    SurveyRule known =
        SiteSurvey.RULES.stream()
            .filter(each -> each.word().equals(rule))
            .findFirst()
            .orElseThrow(
                () -> new BadInput("rule", "“" + rule + "” is no rule of the survey; choose one"));
    List<Mended> mended = new ArrayList<>();
    surveys
        .mends(id, known.word(), document, node)
        .forEach(
            (place, edit) ->
                mended.add(
                    new Mended(
                        place,
                        sites.pageTitle(place),
                        workbenches.made(
                            Workbenches.Which.page(place),
                            edit,
                            "mend: " + known.title().toLowerCase(java.util.Locale.ROOT),
                            who.getName()))));
    return mended;
  }
}
