package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.NodeId;
import goodbones.document.State;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * WCAG 2.2, 1.4.3. Over a picture nothing is said, as its pixels are not known here; each node is
 * found once, where its words are faintest.
 */
final class ContrastIsEnough extends SurveyRule {
  ContrastIsEnough() {
    super("contrast", "All words stand out from what is behind them", "WCAG 2.2, 1.4.3");
  }

  /** A text that is too faint, and when. */
  private record Faint(Pair pair, Contrast contrast) {
    double share() {
      return contrast.ratio().orElseThrow() / contrast.least();
    }

    Faint fainter(Faint other) {
      return other.share() < share() ? other : this;
    }

    String said() {
      String when =
          pair.state() == State.NORMAL ? "" : ", in the state “" + pair.state().word() + "”";
      String where = pair.device() == Device.DESKTOP ? "" : ", on a " + pair.device().word();
      return String.format(
          Locale.ROOT,
          "Its contrast is %.2f to 1%s%s, and %s is the least: choose a darker or lighter colour",
          contrast.ratio().orElseThrow(),
          when,
          where,
          contrast.large() ? "3" : "4.5");
    }
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    Map<NodeId, Faint> faintest = new HashMap<>();
    document
        .look(site)
        .pairs()
        .forEach(
            (pair, nodes) -> {
              Contrast contrast = Contrast.of(pair, site.look(), Contrast.Pixels.UNKNOWN);
              if (contrast.verdict() == Contrast.Verdict.FAILS) {
                nodes.forEach(
                    node -> faintest.merge(node, new Faint(pair, contrast), Faint::fainter));
              }
            });
    return document.inOrder(faintest, Faint::said);
  }
}
