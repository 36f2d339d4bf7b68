package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalOrder;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Adopted;
import goodbones.library.AsksFirst;
import goodbones.library.PageEditor;
import goodbones.library.Placements;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.structure.Bench;
import goodbones.structure.Landing;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Shelf;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * Small cases of pieces in pieces that break rules which look right. A stands in B as {@code a}, B
 * stands in C as {@code b}; a page places C as {@code p}.
 */
class DepthCasesTest {
  private static final StyleKey COLOUR = StyleKey.parse("color");
  private static final NodeId PAGE = NodeId.of("page");
  private static final NodeId P = NodeId.of("p");
  private final Shelf shelf = new Shelf();

  @BeforeEach
  void shelve() {
    shelf.keep("A", box("ar", text("ax", "Book")));
    shelf.keep("B", box("br", text("x", "One"), text("y", "Two"), shelf.placing(id("a"), "A")));
    shelf.keep("C", box("cr", text("cz", "Three"), shelf.placing(id("b"), "B")));
  }

  private static NodeId id(String value) {
    return NodeId.of(value);
  }

  private static Node text(String id, String words) {
    return Node.of(id(id), Kind.TEXT, "").withContent("words", new FieldValue.Words(words));
  }

  private static Node box(String id, Node... children) {
    return Node.of(id(id), Kind.BOX, "").withChildren(List.of(children));
  }

  private static StyleValue colour(String value) {
    return StyleValue.literal(value);
  }

  private static LocalValue says(String colour) {
    return new LocalValue.StyleIs(Optional.of(colour(colour)));
  }

  private Node current(String piece) {
    return shelf.revision(piece, shelf.current(piece)).root();
  }

  private Node edited(String piece, Edit... edits) {
    return shelf.editor().apply(current(piece), new Edit.Group(List.of(edits))).root();
  }

  private FollowUps.Outcome release(String piece, Edit... edits) {
    return shelf.release(piece, edited(piece, edits), asked -> Optional.empty());
  }

  private static Edit paint(String node, String colour) {
    return new Edit.SetStyle(id(node), COLOUR, Optional.of(colour(colour)));
  }

  private static Edit remove(String node) {
    return new Edit.Remove(id(node));
  }

  private static LocalKey painted(String node) {
    return new LocalKey(id(node), Aspect.style(COLOUR));
  }

  private Node page(Placement placement) {
    return Node.of(PAGE, Kind.PAGE, "")
        .withChildren(List.of(Node.placing(P, "", "C").withPlacement(placement)));
  }

  private Placement placed(Map<LocalKey, LocalValue> changes) {
    return Placement.of("C").withBound(1).saying(changes);
  }

  private Adopted adopted(int revision) {
    return new Adopted(Map.of("C", revision));
  }

  private PageEditor editor(int revision) {
    return new PageEditor(adopted(revision), shelf, new Rebasing(shelf, adopted(revision)));
  }

  private Rebased rebase(Placement placement, int to) {
    return Rebase.of(P, placement, 1, to, shelf, adopted(to));
  }

  private static Placement on(Node page) {
    return page.children().get(0).placement().orElseThrow();
  }

  private Optional<StyleValue> shownColour(Node page, int revision, String node) {
    return Shown.of(page, adopted(revision), shelf)
        .root()
        .find(id(node))
        .flatMap(n -> Optional.ofNullable(n.styles().get(COLOUR)));
  }

  /** Case 1. */
  @Test
  void aChangeOfWhatStandsInsideAsksAtThePage() {
    release("B", paint("y", "green"));
    assertThat(shelf.current("C")).as("it follows").isEqualTo(2);
    Rebased rebased = rebase(placed(Map.of(painted("b/y"), says("blue"))), 2);
    assertThat(rebased.verdicts()).containsEntry(painted("b/y"), Verdict.BOTH);
  }

  /** Case 3: in steps and at once the same. */
  @Test
  void whatWasRemovedHereStaysRemovedWhenTheLibraryHasItAgain() {
    Node had = current("B");
    release("B", remove("x"));
    shelf.release("B", had, asked -> Optional.empty());
    LocalKey removed = new LocalKey(id("b/x"), Aspect.REMOVED);
    Placement page = placed(Map.of(removed, new LocalValue.IsRemoved()));
    Placement atOnce = rebase(page, 3).bound(Map.of());
    Placement inSteps =
        Rebase.of(P, rebase(page, 2).bound(Map.of()), 2, 3, shelf, adopted(3)).bound(Map.of());
    for (Placement after : List.of(atOnce, inSteps)) {
      Shown shown = Shown.of(page(after), adopted(3), shelf);
      assertThat(shown.root().find(id("p/b/x"))).isEmpty();
      assertThat(shown.root().find(id("p/b/y"))).isPresent();
    }
  }

  /** Case 4. */
  @Test
  void keepingSomethingGoneDoesNotLoseWhatWasMovedOutOfIt() {
    shelf.keep("D", box("dr", box("k", text("t", "Own words"))));
    shelf.release("D", box("dr"), asked -> Optional.empty());
    LocalKey moved = new LocalKey(id("t"), Aspect.PLACED);
    LocalKey words = new LocalKey(id("t"), Aspect.content("words"));
    LocalKey painted = painted("k");
    Placement here =
        Placement.of("D")
            .withBound(1)
            .saying(
                Map.of(
                    moved, new LocalValue.PlacedUnder(id("dr"), Optional.empty()),
                    words, new LocalValue.ContentIs(new FieldValue.Words("Mine")),
                    painted, says("red")));
    Rebased rebased = Rebase.of(P, here, 1, 2, shelf, Showing.BOUND);
    assertThat(rebased.questions()).as("k, and what was moved out of it").hasSize(2);
    Map<String, Settlement> stay = new java.util.HashMap<>();
    rebased.allQuestions().forEach(q -> stay.put(q.id(), Settlement.STAY));
    Placement after = rebased.settled(stay);
    Node page =
        Node.of(PAGE, Kind.PAGE, "")
            .withChildren(List.of(Node.placing(P, "", "D").withPlacement(after)));
    assertThat(Shown.of(page, new Adopted(Map.of("D", 2)), shelf).root().all())
        .anyMatch(n -> new FieldValue.Words("Mine").equals(n.content().get("words")));
  }

  /** Case 5. */
  @Test
  void aHeldPlacementShowsItsRevisionInsideTooWhateverHappens() {
    Node held = page(placed(Map.of()).withPin(Optional.of(new Pin(1, Pin.Reason.HELD))));
    release("B", paint("y", "green"));
    release("B", paint("x", "red"));
    assertThat(shownColour(held, 3, "p/b/y")).isEmpty();
    Node follows = editor(3).apply(held, new Edit.SetPin(P, Optional.empty())).root();
    assertThat(on(follows).pin()).isEmpty();
    assertThat(shownColour(follows, 3, "p/b/y")).contains(colour("green"));
    assertThat(shownColour(follows, 3, "p/b/x")).contains(colour("red"));
  }

  /** Case 6. */
  @Test
  void aQuestionInsideIsAskedOnceAndTheRestFollows() {
    shelf.keep("E", box("er", shelf.placing(id("c"), "C"), shelf.placing(id("ea"), "A")));
    release("C", paint("b/y", "red"));
    FollowUps.Outcome outcome = release("B", paint("y", "green"));
    assertThat(outcome.waiting()).hasSize(1);
    assertThat(outcome.waiting().get(0).pieceId()).isEqualTo("C");
    assertThat(outcome.followUps()).as("nothing else of C changes").isEmpty();
    release("A", paint("ax", "grey"));
    int e = shelf.current("E");
    assertThat(shelf.expanded("E", e).root().find(id("ea/ax")).orElseThrow().styles())
        .containsEntry(COLOUR, colour("grey"));
    FollowUps.Outcome answered = shelf.follow("C", asked -> Optional.of(Settlement.STAY));
    assertThat(answered.waiting()).isEmpty();
    Placement b = Placements.of(current("C")).get(id("b"));
    assertThat(b.bound()).isEqualTo(shelf.current("B"));
    assertThat(b.layer().changes()).containsEntry(painted("y"), says("red"));
    assertThat(shelf.current("E")).as("E follows C").isEqualTo(e + 1);
  }

  /** Case 7. */
  @Test
  void whatContainsSeveralChangedPiecesGetsOneFollowUp() {
    shelf.release(
        "C",
        current("C")
            .withChildren(List.of(shelf.placing(id("b"), "B"), shelf.placing(id("b2"), "B"))),
        asked -> Optional.empty());
    int before = shelf.current("C");
    release("A", paint("ax", "grey"));
    assertThat(shelf.current("C")).isEqualTo(before + 1);
    Node shown = shelf.expanded("C", before + 1).root();
    for (String path : List.of("b/a/ax", "b2/a/ax")) {
      assertThat(shown.find(id(path)).orElseThrow().styles()).containsEntry(COLOUR, colour("grey"));
    }
  }

  /** Case 9. */
  @Test
  void somethingNewInTheLibraryStandsFirstUnderAnOlderOrder() {
    LocalKey own = new LocalKey(id("mine"), Aspect.PLACED);
    Placement here =
        placed(Map.of(own, new LocalValue.PlacedUnder(id("cr"), Optional.of(text("mine", "Own")))))
            .withOrder(
                id("cr"), Optional.of(new LocalOrder(List.of(id("cz"), id("b"), id("mine")), 1)));
    release("C", new Edit.Insert(id("cr"), 0, text("n3", "New")));
    Node shown = Shown.of(page(rebase(here, 2).bound(Map.of())), adopted(2), shelf).root();
    assertThat(shown.find(id("p/cr")).orElseThrow().children().get(0).id()).isEqualTo(id("p/n3"));
  }

  /** Case 10. */
  @Test
  void aRevisionGoneBackOnAbsorbsNothing() {
    release("C", paint("cz", "red"));
    release("C", paint("cz", "green"));
    shelf.goBackOn("C", 2);
    LocalKey key = painted("cz");
    Rebased rebased = rebase(placed(Map.of(key, says("red"))), 3);
    assertThat(rebased.verdicts()).containsEntry(key, Verdict.BOTH);
  }

  /** Case 16. */
  @Test
  void goingBackByGoingForwardLeavesWhatWasReleasedAroundIt() {
    Node first = current("B");
    release("B", paint("y", "green"));
    release("C", paint("cz", "red"));
    shelf.goBackOn("B", 2);
    shelf.release("B", first, asked -> Optional.empty());
    Node shown = shelf.expanded("C", shelf.current("C")).root();
    assertThat(shown.find(id("b/y")).orElseThrow().styles()).isEmpty();
    assertThat(shown.find(id("cz")).orElseThrow().styles()).containsEntry(COLOUR, colour("red"));
  }

  /** Case 19. */
  @Test
  void whatUndoBringsBackIsRebasedFromWhatItWasMadeOn() {
    Node start = page(placed(Map.of(painted("b/x"), says("blue"))));
    Edited removed = editor(1).apply(start, new Edit.Remove(id("p/cr")));
    release("B", remove("x"));
    Node back = editor(2).reapply(removed.root(), removed.inverse()).root();
    assertThat(on(back).pin()).contains(new Pin(1, Pin.Reason.WAITING));
    assertThat(shownColour(back, 2, "p/b/x")).contains(colour("blue"));
  }

  /** Case 20. */
  @Test
  void aDraftIsBoundAnewAtEveryPlacementAndAsksOnlyWhereBothChangedTheSame() {
    Node draft =
        edited(
            "C", paint("b/y", "red"), new Edit.Insert(id("cr"), 0, shelf.placing(id("b2"), "B")));
    release("B", paint("y", "green"));
    FollowUps.Bound bound =
        new FollowUps(shelf, shelf.graph(), shelf::current)
            .bound("C", draft, asked -> Optional.empty());
    assertThat(bound.waiting()).extracting(FollowUps.Waiting::path).containsExactly(id("b"));
    assertThat(bound.bound()).containsOnlyKeys(id("b2"));
  }

  /** Case 21. */
  @Test
  void wordsInsideSomethingRemovedAreAskedAboutBeforeTheyAreLost() {
    LocalKey words = new LocalKey(id("b/x"), Aspect.content("words"));
    Node start =
        page(placed(Map.of(words, new LocalValue.ContentIs(new FieldValue.Words("Mine")))));
    Edited removed = editor(1).apply(start, new Edit.Remove(id("p/b/x")));
    release("B", remove("x"));
    Node later =
        editor(2)
            .apply(
                removed.root(),
                new Edit.SetContent(
                    id("p/b/y"), "words", Optional.of(new FieldValue.Words("Other"))))
            .root();
    assertThat(on(later).changes().get(words).madeOn()).as("made on").isEqualTo(1);
    assertThatThrownBy(() -> editor(2).reapply(later, removed.inverse()))
        .isInstanceOf(AsksFirst.class)
        .hasMessageContaining("Nothing was changed");
    Node back = editor(2).withPagesOwn().reapply(later, removed.inverse()).root();
    assertThat(Shown.of(back, new Adopted(Map.of("C", 2)), shelf).root().all())
        .as("the page's own")
        .anyMatch(node -> node.content().containsValue(new FieldValue.Words("Mine")));
  }

  /** Case 22. */
  @Test
  void whatAPieceAroundTakesAwayIsOneQuestion() {
    LocalKey words = new LocalKey(id("b/x"), Aspect.content("words"));
    release("C", remove("b/x"));
    Rebased rebased =
        rebase(
            placed(
                Map.of(
                    words,
                    new LocalValue.ContentIs(new FieldValue.Words("Mine")),
                    painted("b/x"),
                    says("red"))),
            2);
    assertThat(rebased.questions()).hasSize(1);
    assertThat(rebased.questions().get(0).verdict()).isEqualTo(Verdict.GONE);
  }

  /** Case 23. */
  @Test
  void whatComesOutByUnlinkingStaysOnWhatItShowed() {
    release("B", paint("y", "green"));
    Adopted site = new Adopted(Map.of("C", 2, "B", 1));
    Node page = page(placed(Map.of()).withBound(2));
    PageEditor editor = new PageEditor(site, shelf, new Rebasing(shelf, site));
    Bench bench =
        new Bench(
            page,
            editor.shown(page),
            new SiteFinishes(HouseFinishes.house(), Map.of()),
            () -> id("new"),
            shelf,
            site);
    Node after = editor.apply(page, new Landing(bench).unlink(P, false)).root();
    Placement b = Placements.of(after).values().iterator().next();
    assertThat(b.pieceId()).isEqualTo("B");
    assertThat(b.pin()).contains(new Pin(2, Pin.Reason.HELD));
    assertThat(Placements.of(after)).hasSize(1);
  }
}
