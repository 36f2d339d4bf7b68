package goodbones.server.rollouts;

import goodbones.document.Aspect;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.propagation.OutOfSight;
import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Question;
import goodbones.propagation.Rebased;
import goodbones.propagation.SiteQuestion;
import goodbones.propagation.Verdict;
import goodbones.server.drawing.Wording;
import goodbones.server.library.Pieces;
import goodbones.server.rollouts.RolloutViews.QuestionView;
import goodbones.server.rollouts.RolloutViews.VerdictView;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts verdicts, questions and changes at one placement into the interface's words. */
final class Describing {
  private final Wording wording;
  private final Node before;
  private final Node after;

  Describing(Pieces pieces, String pieceId, int from, int to, SiteFinishes finishes) {
    this.wording = new Wording(finishes);
    this.before = pieces.expanded(pieceId, from).root();
    this.after = pieces.expanded(pieceId, to).root();
  }

  /** What one of the choices for a whole site shows. */
  String value(SiteQuestion question, SiteQuestion.Choice choice) {
    LocalKey key = key(question);
    return wording.value(
        choice.value().isPresent()
            ? Optional.of(new LocalValue.ContentIs(choice.value()))
            : after.find(key.node()).flatMap(node -> key.aspect().read(node)));
  }

  String title(SiteQuestion question) {
    return title(key(question));
  }

  String label(SiteQuestion question) {
    return label(key(question));
  }

  String title(OutOfSight one) {
    return title(key(one));
  }

  String label(OutOfSight one) {
    return label(key(one));
  }

  String value(OutOfSight one) {
    return wording.value(Optional.of(new LocalValue.ContentIs(one.value())));
  }

  private static LocalKey key(OutOfSight one) {
    return new LocalKey(one.node(), one.slot().aspect());
  }

  private static LocalKey key(SiteQuestion question) {
    return new LocalKey(question.node(), question.slot().aspect());
  }

  /** The key of a question at a placement. */
  static String key(String pageId, String placementId, Question question) {
    return pageId + "|" + placementId + "|" + question.id();
  }

  private Optional<Node> node(LocalKey key) {
    return before.find(key.node()).or(() -> after.find(key.node()));
  }

  private String title(LocalKey key) {
    return node(key).map(Wording::title).orElse("an addition of the page’s own");
  }

  private String label(LocalKey key) {
    return Wording.label(node(key).map(Node::kind).orElse((Kind) null), key.aspect());
  }

  List<VerdictView> verdicts(PlacementPlan plan) {
    List<VerdictView> views = new ArrayList<>();
    if (plan.rebased().isEmpty()) {
      return views;
    }
    Rebased rebased = plan.rebased().get();
    rebased
        .verdicts()
        .forEach(
            (key, verdict) -> {
              if (verdict != Verdict.STANDS || !isFilling(key)) {
                views.add(
                    new VerdictView(
                        verdict.name().toLowerCase(),
                        title(key),
                        label(key),
                        wording.value(Optional.ofNullable(rebased.said().changes().get(key)))));
              }
            });
    rebased
        .written()
        .forEach(
            (key, value) ->
                views.add(
                    new VerdictView(
                        "written", title(key), label(key), wording.value(Optional.of(value)))));
    return views;
  }

  int fillings(PlacementPlan plan) {
    return (int) plan.placement().changes().keySet().stream().filter(this::isFilling).count();
  }

  private boolean isFilling(LocalKey key) {
    return key.aspect() instanceof Aspect.Content content
        && after.find(key.node()).map(n -> n.slots().contains(content.field())).orElse(false);
  }

  QuestionView question(String key, goodbones.document.NodeId placement, Question question) {
    LocalKey first = question.keys().get(0);
    boolean one = question.keys().size() == 1;
    String title =
        before
            .find(question.node())
            .or(() -> after.find(question.node()))
            .map(Wording::title)
            .orElse("an addition of the page’s own");
    return new QuestionView(
        key,
        question.verdict().name().toLowerCase(),
        question.node().within(placement).value(),
        title,
        one ? label(first) : question.keys().size() + " local changes",
        wording.value(question.before()),
        wording.value(question.page()),
        wording.value(question.library()),
        question.choices().stream().map(c -> c.name().toLowerCase()).sorted().toList());
  }
}
