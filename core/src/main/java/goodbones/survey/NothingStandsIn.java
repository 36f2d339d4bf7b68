package goodbones.survey;

import java.util.List;

/** Nobody is to take for real what only shows where the real thing goes. */
final class NothingStandsIn extends SurveyRule {
  NothingStandsIn() {
    super("stand-ins", "No words or pictures stand in for real ones", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    return StandIns.of(document.shown()).stream()
        .map(
            left ->
                document.at(
                    left.node(),
                    left.field().equals("picture")
                        ? "A picture is missing: choose one"
                        : "Its words only stand in: write the real ones"))
        .toList();
  }
}
