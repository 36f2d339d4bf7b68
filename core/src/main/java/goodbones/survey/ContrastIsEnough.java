package goodbones.survey;

import goodbones.colour.Colour;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.style.Nearest;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * WCAG 2.2, 1.4.3. Over a picture nothing is said, as its pixels are not known here; each node is
 * found once, where its words are faintest. Words of the document itself are mended by the nearest
 * token that is enough, or else by the nearest lightness of their colour that is.
 */
final class ContrastIsEnough extends SurveyRule {
  /** A token whose colour is further away (CIEDE2000) would be another colour to anybody. */
  private static final double ANOTHER_COLOUR = 20;

  ContrastIsEnough() {
    super("contrast", "All words stand out from what is behind them", "WCAG 2.2, 1.4.3");
  }

  /** A text over its ground, in one state at one device. */
  private record Seen(Pair pair, Contrast contrast) {
    boolean isFaint() {
      return contrast.verdict() == Contrast.Verdict.FAILS;
    }

    boolean isAt(State state, Device device) {
      return pair.state() == state && pair.device() == device;
    }

    double share() {
      return contrast.ratio().orElseThrow() / contrast.least();
    }

    /**
     * @param isOwn whether the words are the document's own, and no piece's
     */
    String said(boolean isOwn) {
      String when =
          pair.state() == State.NORMAL ? "" : ", in the state “" + pair.state().word() + "”";
      String where = pair.device() == Device.DESKTOP ? "" : ", on a " + pair.device().word();
      return String.format(
          Locale.ROOT,
          "Its contrast is %.2f to 1%s%s, and %s is the least: choose a darker or lighter colour%s",
          contrast.ratio().orElseThrow(),
          when,
          where,
          contrast.large() ? "3" : "4.5",
          isOwn ? "" : ", in the piece or for its token in the finishes");
    }
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    Map<NodeId, List<Seen>> seen = new HashMap<>();
    document
        .look(site)
        .pairs()
        .forEach(
            (pair, nodes) -> {
              Contrast contrast = Contrast.of(pair, site.look(), Contrast.Pixels.UNKNOWN);
              nodes.forEach(
                  node ->
                      seen.computeIfAbsent(node, id -> new ArrayList<>())
                          .add(new Seen(pair, contrast)));
            });
    List<Finding> findings = new ArrayList<>();
    for (Node node : document.shown().all()) {
      List<Seen> here = seen.getOrDefault(node.id(), List.of());
      here.stream()
          .filter(Seen::isFaint)
          .min(Comparator.comparingDouble(Seen::share))
          .map(faintest -> document.at(node, faintest.said(document.isOwn(node))))
          .map(
              finding ->
                  document.isOwn(node)
                      ? mend(node, here, site.look()).map(finding::mendedBy).orElse(finding)
                      : finding)
          .ifPresent(findings::add);
    }
    return findings;
  }

  /** Colours for where the words are too faint; empty if there is none for one of the places. */
  private static Optional<Edit> mend(Node node, List<Seen> seen, SiteFinishes look) {
    List<Edit> edits = new ArrayList<>();
    for (State state : State.values()) {
      Optional<Seen> wider = Optional.empty();
      for (Device device : Device.values()) {
        StyleKey key = new StyleKey(StyleProperty.COLOR, device, state);
        Optional<Seen> faint =
            seen.stream().filter(Seen::isFaint).filter(one -> one.isAt(state, device)).findFirst();
        if (faint.isEmpty() || wider.isPresent() && follows(node, key, faint.get(), wider.get())) {
          continue;
        }
        // What is set at a device holds for those that are smaller.
        List<Seen> reached =
            seen.stream()
                .filter(one -> one.pair().state() == state)
                .filter(one -> one.pair().device().compareTo(device) >= 0)
                .toList();
        Optional<StyleValue> enough = enough(faint.get(), reached, look);
        if (enough.isEmpty()) {
          return Optional.empty();
        }
        edits.add(new Edit.SetStyle(node.id(), key, enough));
        wider = faint;
      }
    }
    return Optional.of(new Edit.Group(edits));
  }

  /** Whether a colour set at a larger device is that of the smaller one too. */
  private static boolean follows(Node node, StyleKey key, Seen smaller, Seen wider) {
    return !node.styles().containsKey(key) && smaller.pair().text().equals(wider.pair().text());
  }

  private static Optional<StyleValue> enough(Seen faint, List<Seen> seen, SiteFinishes look) {
    if (seen.stream().anyMatch(one -> one.contrast().ratio().isEmpty())) {
      return Optional.empty();
    }
    List<Colour> grounds =
        seen.stream().flatMap(one -> one.contrast().grounds().stream()).distinct().toList();
    double least = seen.stream().mapToDouble(one -> one.contrast().least()).max().orElseThrow();
    Colour text = faint.contrast().text();
    return token(faint.pair().text(), text, grounds, least, look)
        .or(() -> text.nearestPassing(grounds, least).map(to -> StyleValue.literal(to.css())));
  }

  /** The nearest token, where a token is what the words have: a scheme may say what it is worth. */
  private static Optional<StyleValue> token(
      Setting setting, Colour text, List<Colour> grounds, double least, SiteFinishes look) {
    if (setting.value().refs().isEmpty()) {
      return Optional.empty();
    }
    return Nearest.tokens(look, StyleProperty.COLOR, text.css()).stream()
        .map(token -> StyleValue.token(token.id()))
        .filter(
            value -> {
              Colour to =
                  Colour.parse(new Setting(StyleProperty.COLOR, value, setting.scheme()).css(look));
              return to.lab().ciede2000(text.lab()) <= ANOTHER_COLOUR
                  && grounds.stream().allMatch(ground -> to.contrastOn(ground) >= least);
            })
        .findFirst();
  }
}
