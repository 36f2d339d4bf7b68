package goodbones.propagation;

import static goodbones.propagation.SmallSite.box;
import static goodbones.propagation.SmallSite.id;
import static goodbones.propagation.SmallSite.paint;
import static goodbones.propagation.SmallSite.painted;
import static goodbones.propagation.SmallSite.remove;
import static goodbones.propagation.SmallSite.slot;
import static goodbones.propagation.SmallSite.text;
import static goodbones.propagation.SmallSite.worded;
import static goodbones.propagation.SmallSite.write;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.Variant;
import goodbones.library.AsksFirst;
import goodbones.library.Showing;
import goodbones.library.VariantEditor;
import goodbones.structure.Landing;
import goodbones.testing.Shelf;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * Cases 28 to 50 of the rules of depth: a change carries the revision that it was made on, wherever
 * it goes. B has the texts x and y; it stands in C as {@code b}; a page places C as {@code p} and B
 * as {@code q}.
 */
class MadeOnCasesTest {
  private final Shelf shelf = new Shelf();
  private SmallSite site;

  @BeforeEach
  void begin() {
    shelf.keep("B", box("br", text("x", "One"), text("y", "Two")));
    shelf.keep("C", box("cr", text("cz", "Three"), shelf.placing(id("b"), "B")));
    site = new SmallSite(shelf, shelf.placing(id("p"), "C"), shelf.placing(id("q"), "B"));
  }

  /** P colours x red and removes it; B2 recolours x; rolled out, that asks nothing. */
  private Edit colouredAndRemoved(String x) {
    site.edit(paint(x, "red"));
    Edit shownAgain = site.edit(remove(x));
    site.release("B", paint("x", "green"));
    assertThat(site.asks("B", "C")).isEmpty();
    site.rollOut(Settlement.TAKE, "B", "C");
    return shownAgain;
  }

  private void asksFirst(Edit inverse) {
    Node before = site.page;
    assertThatThrownBy(() -> site.turn(inverse)).isInstanceOf(AsksFirst.class);
    assertThat(site.page).isEqualTo(before);
  }

  /** Case 28. */
  @Test
  void whatIsShownAgainByUndoAsks() {
    Edit shownAgain = colouredAndRemoved("q/x");
    site.edit(write("q/y", "Other"));
    asksFirst(shownAgain);
    site.turnWithPagesOwn(shownAgain);
    assertThat(site.colour("q/x")).contains("red");
    assertThat(site.placement("q").changes().get(painted("x")).madeOn()).isEqualTo(2);
    assertThat(site.unsettled()).isEmpty();
  }

  /** Case 28: the container is unlinked. */
  @Test
  void whatIsShownAgainAfterItsContainerWasUnlinkedAsks() {
    colouredAndRemoved("p/b/x");
    site.edit(new Landing(site.bench()).unlink(id("p"), false));
    String b =
        site.page.all().stream()
            .filter(n -> n.kind() == Kind.PLACEMENT && !n.id().equals(id("q")))
            .map(n -> n.id().value())
            .findFirst()
            .orElseThrow();
    assertThat(site.placement(b).changes().get(painted("x")).madeOn()).isEqualTo(1);
    showAgain(b);
  }

  /** Case 28: the inner placement is moved out. */
  @Test
  void whatIsShownAgainAfterItWasMovedOutAsks() {
    colouredAndRemoved("p/b/x");
    site.edit(new Edit.Move(id("p/b/br"), id("page"), 0));
    showAgain(site.page.children().get(0).id().value());
  }

  /** The removal is gone back on by setting it back to the library's. */
  private void showAgain(String placement) {
    Edit shown =
        new Edit.SetLocal(
            id(placement),
            new goodbones.document.LocalKey(id("x"), goodbones.document.Aspect.REMOVED),
            java.util.Optional.empty());
    assertThatThrownBy(() -> site.edit(shown)).isInstanceOf(AsksFirst.class);
    assertThat(site.unsettled()).isEmpty();
  }

  /** Case 29. */
  @Test
  void whatOnlyATakenBackRevisionHadAsksWhereItIsSeenAgain() {
    site.release("B", new Edit.Insert(id("br"), 2, text("z", "Three")));
    Rollout rollout = site.rollOut(Settlement.TAKE, "B");
    site.edit(paint("q/z", "red"));
    Edit shownAgain = site.edit(remove("q/z"));
    List<Question> asked = site.takeBack(q -> Settlement.STAY, rollout);
    assertThat(asked).isEmpty();
    Node withZ = shelf.revision("B", 2).root();
    site.goBack("B", 1);
    shelf.release(
        "B",
        shelf.editor().apply(withZ, paint("z", "green")).root(),
        x -> java.util.Optional.empty());
    assertThat(site.asks("B")).isEmpty();
    site.rollOut(Settlement.TAKE, "B");
    asksFirst(shownAgain);
  }

  /** Case 30. */
  @Test
  void whatIsDoneAgainInSomethingInsertedAsks() {
    site.edit(new Edit.Insert(id("p/cr"), 0, shelf.placing(id("own"), "B")));
    Edit undo = site.edit(paint("p/own/x", "red"));
    Edit redo = site.turn(undo);
    assertThat(site.colour("p/own/x")).isEmpty();
    site.release("B", paint("x", "green"));
    site.rollOut(Settlement.TAKE, "B");
    assertThat(site.colour("p/own/x")).contains("green");
    asksFirst(redo);
  }

  /** Case 31. */
  @Test
  void anUndoFindsWhatWasKeptSince() {
    shelf.keep("D", box("s", text("t", "In s")));
    shelf.keep("E", box("er", box("s2", text("u", "In s2")), text("v", "Out")));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    other.edit(new Edit.Insert(id("e/s2"), 1, text("mine", "Before")));
    Edit undo = other.edit(write("e/mine", "After"));
    keepInside("E", "s2", "F");
    other.rollOut(Settlement.TAKE, "E");
    assertThat(other.words()).contains("After");
    other.turn(undo);
    assertThat(other.words()).contains("Before").doesNotContain("After");
  }

  /** Case 31: inserted, removed, and that undone. */
  @Test
  void anInsertThatWasRemovedComesBackIntoWhatWasKeptSince() {
    shelf.keep("E", box("er", box("s2", text("u", "In s2")), text("v", "Out")));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    other.edit(new Edit.Insert(id("e/s2"), 1, text("mine", "Own")));
    Edit undo = other.edit(remove("e/mine"));
    keepInside("E", "s2", "F");
    other.rollOut(Settlement.TAKE, "E");
    Edit redo = other.turn(undo);
    assertThat(other.words()).containsExactly("In s2", "Own", "Out");
    other.turn(redo);
    assertThat(other.words()).containsExactly("In s2", "Out");
  }

  /** Case 31: moved, set back, undone. */
  @Test
  void aMoveThatIsUndoneAfterAKeepHolds() {
    shelf.keep("E", box("er", box("s2", text("u", "In s2")), text("v", "Out")));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    other.edit(new Edit.Move(id("e/v"), id("e/s2"), 0));
    Edit undo =
        other.edit(
            new Edit.SetLocal(
                id("e"),
                new goodbones.document.LocalKey(id("v"), goodbones.document.Aspect.PLACED),
                java.util.Optional.empty()));
    keepInside("E", "s2", "F");
    other.rollOut(Settlement.TAKE, "E");
    other.turn(undo);
    assertThat(other.words()).containsExactly("Out", "In s2");
  }

  /** The library keeps a part of a piece as a piece of its own. */
  private void keepInside(String piece, String part, String as) {
    Node root = shelf.revision(piece, shelf.current(piece)).root();
    Node kept = root.find(id(part)).orElseThrow();
    shelf.keep(as, kept);
    shelf.release(
        piece,
        root.change(id(part), node -> shelf.placing(id("d-" + part), as)),
        asked -> java.util.Optional.empty());
  }

  /** Case 34. */
  @Test
  void wordsThatWereChangedAfterAKeepStayWhenItIsTakenBack() {
    shelf.keep("E", box("er", box("s2", slot("u", "In s2"))));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    other.edit(write("e/u", "First"));
    keepInside("E", "s2", "F");
    Rollout rollout = other.rollOut(Settlement.TAKE, "E");
    assertThat(other.words()).containsExactly("First");
    other.edit(write("e/d-s2/u", "Later"));
    assertThat(other.placement("e").changes()).as("two that are one").hasSize(1);
    assertThat(other.takeBack(q -> Settlement.TAKE, rollout)).isEmpty();
    assertThat(other.words()).containsExactly("Later");
  }

  /** Case 36. */
  @Test
  void aRemovalThatWouldHideWordsWhenTakenBackAsks() {
    shelf.keep("E", box("er", box("s2", slot("u", "In s2"))));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    other.release("E", new Edit.Move(id("u"), id("er"), 1));
    Rollout rollout = other.rollOut(Settlement.TAKE, "E");
    other.edit(write("e/u", "Mine"));
    other.edit(remove("e/s2"));
    List<Question> asked = other.takeBack(q -> Settlement.TAKE, rollout);
    assertThat(asked).extracting(Question::verdict).containsExactly(Verdict.SHAPE);
    assertThat(other.words()).containsExactly("Mine");
  }

  /** Case 36: a variant that only the later revision has. */
  @Test
  void wordsInAVariantThatIsTakenBackCanBeKept() {
    shelf.keep("E", box("er", text("v", "Out")));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    Node plain = shelf.revision("E", 1).root();
    Node varied =
        shelf
            .editor()
            .apply(
                plain,
                new Edit.SetVariant(id("er"), "wide", Optional.of(Variant.of("wide", "Wide"))))
            .root();
    Node wide =
        new VariantEditor(varied, "wide", shelf)
            .apply(
                new Edit.Insert(id("wide/er"), 1, slot("extra", "Sample")),
                library -> new Rebasing(library, Showing.BOUND))
            .root();
    shelf.release("E", wide, asked -> Optional.empty());
    Rollout rollout = other.rollOut(Settlement.TAKE, "E");
    other.edit(new Edit.ShowVariant(id("e"), Optional.of("wide")));
    other.edit(write("e/extra", "Mine"));
    assertThat(other.words()).containsExactly("Out", "Mine");
    List<Question> asked = other.takeBack(q -> Settlement.STAY, rollout);
    assertThat(asked).isNotEmpty();
    assertThat(asked).allMatch(q -> q.choices().contains(Settlement.STAY));
    assertThat(other.words()).containsExactly("Out", "Mine");
    assertThat(other.unsettled()).isEmpty();
  }

  /** What was set on the latest of several revisions asks where one before is shown again. */
  @Test
  void takingSeveralBackAsksAboutWhatWasSetOnTheLastOfThem() {
    shelf.keep("E", box("er", text("u", "One"), text("v", "Out")));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    other.release("E", paint("u", "green"));
    Rollout first = other.rollOut(Settlement.TAKE, "E");
    other.release("E", paint("v", "green"));
    Rollout second = other.rollOut(Settlement.TAKE, "E");
    other.edit(paint("e/u", "red"));
    assertThat(other.takeBack(q -> Settlement.STAY, second, first))
        .extracting(Question::verdict)
        .containsExactly(Verdict.BOTH);
    assertThat(other.colour("e/u")).contains("red");
    assertThat(other.unsettled()).isEmpty();
  }

  /** Case 43. */
  @Test
  void anEditThatIsUndoneTouchesNothingElse() {
    site.edit(write("q/x", "Mine"));
    site.release("B", new Edit.SetSlot(id("x"), "words", true));
    Rollout rollout = site.rollOut(Settlement.TAKE, "B");
    assertThat(rollout.written()).as("clean").isEmpty();
    site.turn(site.edit(write("q/y", "Other")));
    assertThat(site.takeBack(q -> Settlement.TAKE, rollout)).isEmpty();
    assertThat(site.words()).contains("Mine");
    assertThat(site.placement("q").changes().get(worded("x")).madeOn()).isEqualTo(1);
  }

  /** Case 44. */
  @Test
  void whatHasLongBeenHiddenIsNotAskedAbout() {
    shelf.keep("E", box("er", box("s2", text("u", "In s2")), text("v", "Out")));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    other.edit(paint("e/v", "red"));
    other.edit(remove("e/s2"));
    other.release("E", new Edit.Move(id("v"), id("s2"), 0));
    assertThat(other.asks("E")).extracting(Question::verdict).containsExactly(Verdict.SHAPE);
    other.rollOut(Settlement.STAY, "E");
    other.release("E", remove("v"));
    assertThat(other.asks("E")).isEmpty();
    other.rollOut(Settlement.TAKE, "E");
    other.edit(new Edit.Insert(id("e/er"), 0, text("w", "New")));
    assertThat(other.words()).containsExactly("New");
  }

  /** Case 45. */
  @Test
  void aChangeOverTheSameValueStaysThroughTwoTakeBacks() {
    site.release("B", paint("x", "red"));
    site.rollOut(Settlement.TAKE, "B");
    site.release("B", paint("x", "blue"));
    Rollout two = site.rollOut(Settlement.TAKE, "B");
    site.release("B", paint("x", "red"));
    Rollout three = site.rollOut(Settlement.TAKE, "B");
    site.edit(paint("q/x", "blue"));
    assertThat(site.takeBack(q -> Settlement.TAKE, three, two)).isEmpty();
    assertThat(site.colour("q/x")).contains("blue");
  }

  /** Case 47. */
  @Test
  void takingTheLibrarysIsUndoneToWhatWasRemoved() {
    Edit shownAgain = colouredAndRemoved("q/x");
    Node before = site.page;
    Edit back = site.turnWithPagesOwn(shownAgain);
    site.turn(back);
    assertThat(site.page).isEqualTo(before);
  }

  /** What is kept stands where the catalogue lets it stand. */
  @Test
  void aLabelThatIsKeptDoesNotLandStraightInARow() {
    Node label =
        Node.of(id("l"), Kind.LABEL, "")
            .withContent("words", new goodbones.document.FieldValue.Words("Label"));
    Node column = Node.of(id("c"), Kind.COLUMN, "").withChildren(List.of(label));
    Node row = Node.of(id("r"), Kind.ROW, "").withChildren(List.of(column));
    Node list =
        column.withChildren(
            List.of(
                Node.of(id("pat"), Kind.PATTERN, "")
                    .withChildren(List.of(box("card", text("w", "W")))),
                Node.item(id("i1"))));
    shelf.keep("E", box("er", row));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    other.edit(paint("e/l", "red"));
    shelf.release(
        "E", box("er", row.withChildren(List.of(list))), asked -> java.util.Optional.empty());
    assertThat(other.asks("E")).extracting(Question::verdict).containsExactly(Verdict.GONE);
    other.rollOut(Settlement.STAY, "E");
    assertThat(other.words()).contains("Label");
    assertThat(goodbones.document.Catalogue.faults(other.shown().root())).isEmpty();
    assertThat(other.unsettled()).isEmpty();
  }

  /** A column whose row is gone has a row of its own where it is kept. */
  @Test
  void aColumnThatIsKeptHasARowAroundIt() {
    Node column = Node.of(id("c"), Kind.COLUMN, "").withChildren(List.of(text("t", "In it")));
    shelf.keep(
        "E",
        box("er", text("v", "Out"), Node.of(id("r"), Kind.ROW, "").withChildren(List.of(column))));
    SmallSite other = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    other.edit(paint("e/t", "red"));
    other.edit(new Edit.Move(id("e/v"), id("e/c"), 0));
    other.release("E", remove("r"));
    other.rollOut(Settlement.STAY, "E");
    assertThat(other.words()).containsExactlyInAnyOrder("Out", "In it");
    assertThat(goodbones.document.Catalogue.faults(other.shown().root())).isEmpty();
  }

  /** Case 42. */
  @Test
  void doingAgainWhatIsDoneAlreadyIsNoError() {
    Edit undo = site.edit(remove("q/x"));
    Edit redo = site.turn(undo);
    site.release("B", remove("x"));
    site.rollOut(Settlement.TAKE, "B");
    site.turn(redo);
    assertThat(site.shown().root().find(id("q/x"))).isEmpty();
  }

  /**
   * Case 49: a placement whose changes were made on ten revisions is as one made on a single one.
   */
  @Test
  void manyRevisionsOnTheWayReadNoneOfThem() {
    for (int i = 0; i < 10; i++) {
      site.edit(paint(i % 2 == 0 ? "q/x" : "q/y", "#00000" + i));
      site.edit(write(i % 2 == 0 ? "q/x" : "q/y", "Words " + i));
      site.release("B", new Edit.Insert(id("br"), 0, text("n" + i, "New")));
      site.rollOut(Settlement.TAKE, "B");
    }
    assertThat(site.placement("q").changes().values())
        .extracting(change -> change.madeOn())
        .contains(9, 10);
    assertThat(site.unsettled()).isEmpty();
    assertThat(site.words()).contains("Words 8", "Words 9");
  }
}
