package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Adopted;
import goodbones.library.PageEditor;
import goodbones.library.Placements;
import goodbones.library.Shown;
import goodbones.structure.Bench;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Shelf;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** A site with one page, on which things are done one after the other as a person does them. */
final class SmallSite {
  static final StyleKey COLOUR = StyleKey.parse("color");
  private static final SiteFinishes BARE =
      new SiteFinishes(Finishes.of(List.of(), List.of(), Map.of()), Map.of());

  final Shelf shelf;
  Adopted adopted;
  Node page;
  private int ids;

  SmallSite(Shelf shelf, Node... placed) {
    this.shelf = shelf;
    Map<String, Integer> revisions = new java.util.HashMap<>();
    shelf.pieces().forEach(piece -> revisions.put(piece, shelf.current(piece)));
    this.adopted = new Adopted(revisions);
    this.page = Node.of(id("page"), Kind.PAGE, "").withChildren(List.of(placed));
  }

  static NodeId id(String value) {
    return NodeId.of(value);
  }

  static Node text(String id, String words) {
    return Node.of(id(id), Kind.TEXT, "").withContent("words", new FieldValue.Words(words));
  }

  static Node slot(String id, String words) {
    return text(id, words).withSlots(java.util.Set.of("words"));
  }

  static Node box(String id, Node... children) {
    return Node.of(id(id), Kind.BOX, "").withChildren(List.of(children));
  }

  static Edit paint(String node, String colour) {
    return new Edit.SetStyle(id(node), COLOUR, Optional.of(StyleValue.literal(colour)));
  }

  static Edit unpaint(String node) {
    return new Edit.SetStyle(id(node), COLOUR, Optional.empty());
  }

  static Edit write(String node, String words) {
    return new Edit.SetContent(id(node), "words", Optional.of(new FieldValue.Words(words)));
  }

  static Edit remove(String node) {
    return new Edit.Remove(id(node));
  }

  static LocalKey painted(String node) {
    return new LocalKey(id(node), Aspect.style(COLOUR));
  }

  static LocalKey worded(String node) {
    return new LocalKey(id(node), Aspect.content("words"));
  }

  /** A release of a piece with some edits, and what follows from it. */
  int release(String piece, Edit... edits) {
    Node now = shelf.revision(piece, shelf.current(piece)).root();
    Node root = shelf.editor().apply(now, new Edit.Group(List.of(edits))).root();
    shelf.release(piece, root, asked -> Optional.empty());
    return shelf.current(piece);
  }

  /** The document of an earlier revision again, in which nothing between absorbs. */
  int goBack(String piece, int to) {
    for (int i = to + 1; i <= shelf.current(piece); i++) {
      shelf.goBackOn(piece, i);
    }
    shelf.release(piece, shelf.revision(piece, to).root(), asked -> Optional.empty());
    return shelf.current(piece);
  }

  PageEditor editor() {
    return new PageEditor(adopted, shelf, new Rebasing(shelf, adopted));
  }

  /**
   * @return the inverse
   */
  Edit edit(Edit... edits) {
    return took(
        editor().apply(page, edits.length == 1 ? edits[0] : new Edit.Group(List.of(edits))));
  }

  /** Undoes or does again. */
  Edit turn(Edit inverse) {
    return took(editor().reapply(page, inverse));
  }

  /** The same where the page's own holds. */
  Edit turnWithPagesOwn(Edit inverse) {
    return took(editor().withPagesOwn().reapply(page, inverse));
  }

  private Edit took(Edited edited) {
    page = edited.root();
    adopted = adopted.filled(edited.fillings());
    return edited.inverse();
  }

  Bench bench() {
    return new Bench(
        page,
        editor().shown(page),
        new SiteFinishes(HouseFinishes.house(), Map.of()),
        () -> id("fresh" + ids++),
        shelf,
        adopted);
  }

  SiteNow now() {
    return new SiteNow("site", BARE, adopted, List.of(new SiteNow.PageNow("page", 1, page)));
  }

  /** What carrying the current revision of some pieces asks on the page. */
  List<Question> asks(String... pieces) {
    return plan(pieces).placements().stream().flatMap(each -> each.questions().stream()).toList();
  }

  private RolloutPlan plan(String... pieces) {
    Map<String, Integer> revisions = new java.util.HashMap<>();
    for (String piece : pieces) {
      revisions.put(piece, shelf.current(piece));
    }
    return new RolloutPlanner(shelf).plan(new Release(revisions), now(), Map.of());
  }

  /** Carries the current revision of some pieces to the site; every question is answered alike. */
  Rollout rollOut(Settlement answer, String... pieces) {
    List<Rollout.AdoptedStep> steps = new ArrayList<>();
    List<Rollout.WrittenStep> written = new ArrayList<>();
    List<Rollout.FilledStep> filled = new ArrayList<>();
    RolloutPlan plan = plan(pieces);
    for (String piece : pieces) {
      steps.add(
          new Rollout.AdoptedStep(
              "site", piece, adopted.revisions().get(piece), shelf.current(piece)));
      adopted = adopted.with(Map.of(piece, shelf.current(piece)));
    }
    for (PlacementPlan each : plan.placements()) {
      Map<String, Settlement> decisions = new java.util.HashMap<>();
      each.questions().forEach(q -> decisions.put(q.id(), answer));
      Placement after = each.after(decisions);
      if (each.isToRecord(after)) {
        written.add(
            new Rollout.WrittenStep("site", "page", each.placementId(), each.placement(), after));
        page = Placements.replaced(page, Map.of(each.placementId(), after));
      }
    }
    plan.filled()
        .forEach(
            (key, value) ->
                filled.add(
                    new Rollout.FilledStep(
                        "site",
                        key,
                        Optional.ofNullable(adopted.fillings().filled().get(key)),
                        value)));
    adopted = adopted.filled(plan.filled());
    return new Rollout(pieces[0], shelf.current(pieces[0]), steps, written, filled);
  }

  /**
   * Takes rollouts back.
   *
   * @return what was asked
   */
  List<Question> takeBack(Function<Question, Settlement> answer, Rollout... newestFirst) {
    TakeBacks.Outcome outcome =
        TakeBacks.of(
            shelf,
            List.of(newestFirst),
            List.of(now()),
            asked -> Optional.of(answer.apply(asked.question())));
    SiteNow after = outcome.sites().get(0);
    adopted = after.adopted();
    page = after.pages().get(0).root();
    return outcome.asked().stream().map(TakeBacks.Asked::question).toList();
  }

  Shown shown() {
    return Shown.of(page, adopted, shelf);
  }

  Optional<String> colour(String node) {
    return shown()
        .root()
        .find(id(node))
        .flatMap(n -> Optional.ofNullable(n.styles().get(COLOUR)))
        .map(StyleValue::toString);
  }

  /** All words that are shown, in the order of the page. */
  List<String> words() {
    return shown().root().all().stream()
        .flatMap(node -> Optional.ofNullable(node.content().get("words")).stream())
        .map(value -> ((FieldValue.Words) value).text())
        .toList();
  }

  Placement placement(String path) {
    return Placements.of(page).get(id(path));
  }

  /** Whether nothing that is seen was changed over something that the library changed since. */
  List<Question> unsettled() {
    List<Question> open = new ArrayList<>();
    Placements.of(page)
        .forEach(
            (path, placement) -> {
              int shown = adopted.shownBy(placement);
              Rebased rebased = Rebase.of(path, placement, shown, shown, shelf, adopted);
              rebased.questions().stream()
                  .filter(q -> q.keys().stream().anyMatch(rebased.seen()::contains))
                  .forEach(open::add);
            });
    return open;
  }
}
