package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.Variant;
import goodbones.library.AsksFirst;
import goodbones.library.Members;
import goodbones.library.Showing;
import goodbones.library.VariantEditor;
import goodbones.style.Layer;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Small cases of what placements choose: variants, items of lists, optional parts. The numbers are
 * those of the rules of depth.
 */
class ChoiceCasesTest extends FaresScene {
  @Test
  void everyItemIsMadeFromThePatternAlsoThoseOfOnePageAlone() {
    assertThat(fares()).containsExactly("To the isle", "And back");
    onPage(new Edit.Insert(id("p/b/list"), 1, Node.item(id("x"))));
    onPage(write("p/b/x/route", "Day return"));
    assertThat(fares()).containsExactly("To the isle", "Day return", "And back");
    release(paint("price", "green"));
    assertThat(rebase().questions()).isEmpty();
    follow(Settlement.STAY);
    assertThat(fares()).containsExactly("To the isle", "Day return", "And back");
    assertThat(colourAt("p/b/i1/price")).contains("green");
    assertThat(colourAt("p/b/x/price")).contains("green");
  }

  @Test
  void itemsAreMovedLeftOutAndDuplicated() {
    Edit back = onPage(new Edit.Move(id("p/b/i2/fare"), id("p/b/list"), 0));
    assertThat(fares()).containsExactly("And back", "To the isle");
    page = editor().reapply(page, back).root();
    onPage(write("p/b/i1/route", "Ours"));
    onPage(new Edit.Remove(id("p/b/i1/fare")));
    assertThat(fares()).containsExactly("And back");
    onPage(new Edit.Remove(id("p/b/i2/fare")));
    assertThat(fares()).as("a list may be empty").isEmpty();
  }

  @Test
  void nothingElseStandsAmongTheItemsOfAList() {
    assertThatThrownBy(() -> onPage(new Edit.Insert(id("p/b/list"), 0, text("t", "No"))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("add an item");
    assertThatThrownBy(() -> release(new Edit.Insert(id("list"), 0, text("t", "No"))))
        .hasMessageContaining("add an item");
    assertThatThrownBy(() -> release(new Edit.Remove(id("fare"))))
        .hasMessageContaining("A pattern is one thing");
  }

  @Test
  void whatIsDoneToEveryItemIsDoneToThePattern() {
    Node piece = current("B");
    Edited edited = shelf.editor().applyToEvery(piece, paint("i2/price", "green"));
    assertThat(edited.root().find(id("price")).orElseThrow().styles()).containsKey(COLOUR);
    assertThat(shelf.editor().reapply(edited.root(), edited.inverse()).root()).isEqualTo(piece);
    Edited words = shelf.editor().applyToEvery(piece, write("i2/price", "7.90"));
    assertThat(words.root().find(id("fare")))
        .as("words are the item's")
        .isEqualTo(piece.find(id("fare")));
    Node fixed = shelf.editor().apply(piece, new Edit.SetSlot(id("price"), "words", false)).root();
    assertThat(
            shelf
                .editor()
                .applyToEvery(fixed, write("i2/price", "7.90"))
                .root()
                .find(id("price"))
                .orElseThrow()
                .content())
        .as("what is no slot is the pattern's")
        .containsValue(words("7.90"));
    Edited both =
        shelf
            .editor()
            .applyToEvery(
                piece,
                new Edit.Group(List.of(paint("i1/price", "green"), paint("i2/price", "green"))));
    assertThat(both.root().find(id("i2")))
        .as("several in hand are one")
        .isEqualTo(piece.find(id("i2")));
    Edited more =
        shelf.editor().applyToEvery(piece, new Edit.Insert(id("i1/fare"), 2, text("t", "each")));
    release(more.root());
    follow(Settlement.STAY);
    assertThat(wordsAt("p/b/i1/t")).contains("each");
    assertThat(wordsAt("p/b/i2/t")).contains("each");
  }

  /** Case 14. */
  @Test
  void anItemThatTheLibraryDropsIsAskedAboutAndNoNewSampleIsPublished() {
    onPage(write("p/b/i2/route", "Back again"));
    onPage(paint("p/b/i2/price", "red"));
    Node list = current("B").find(id("list")).orElseThrow();
    Node i3 = item("i3", "route", "A sample");
    Node changed = list.withChildren(List.of(list.children().get(0), list.children().get(1), i3));
    release(current("B").change(id("list"), node -> changed));
    Rebased rebased = rebase();
    assertThat(rebased.questions()).hasSize(1);
    assertThat(rebased.questions().get(0).node()).isEqualTo(id("b/i2"));
    Node before = page;
    follow(Settlement.STAY);
    assertThat(fares()).containsExactly("To the isle", "Back again");
    page = before;
    revision = 1;
    follow(Settlement.TAKE);
    assertThat(fares()).containsExactly("To the isle");
  }

  @Test
  void aNodeThatIsGoneFromSeveralItemsIsOneQuestion() {
    onPage(write("p/b/i1/price", "4.20"));
    onPage(write("p/b/i2/price", "7.90"));
    Node piece = current("B");
    release(piece.change(id("fare"), fare -> fare.withChildren(fare.children().subList(0, 1))));
    assertThat(rebase().questions()).hasSize(1);
    follow(Settlement.STAY);
    List<String> all =
        shown().root().find(id("p/b/list")).orElseThrow().children().stream()
            .map(fare -> ((FieldValue.Words) fare.children().get(1).content().get("words")).text())
            .toList();
    assertThat(all).containsExactly("4.20", "7.90");
  }

  @Test
  void whatTheLibraryChangesInAPartThatIsSwitchedOffNeverAsks() {
    onPage(paint("p/b/note", "red"));
    onPage(new Edit.Switch(id("p/b/note"), false));
    assertThat(wordsAt("p/b/note")).isEmpty();
    assertThat(Members.withoutMembers(shown().members()).find(id("p/b/note"))).isEmpty();
    release(paint("note", "green"));
    assertThat(rebase().questions()).isEmpty();
    follow(Settlement.STAY);
    assertThatThrownBy(() -> onPage(new Edit.Switch(id("p/b/note"), true)))
        .as("what is seen again was changed by both")
        .isInstanceOf(AsksFirst.class);
    onPage(
        new Edit.SetLocal(P, new LocalKey(id("b/note"), Aspect.style(COLOUR)), Optional.empty()));
    onPage(new Edit.Switch(id("p/b/note"), true));
    assertThat(colourAt("p/b/note")).contains("green");
    assertThatThrownBy(() -> onPage(new Edit.Switch(id("p/b/head"), false)))
        .hasMessageContaining("no optional part");
  }

  @Test
  void aPartThatAContainingPieceSwitchesOffIsAskedAboutWhereThereAreWordsInIt() {
    onPage(write("p/b/note", "Ours"));
    Node c = shelf.editor().apply(current("C"), new Edit.Switch(id("b/note"), false)).root();
    shelf.release("C", c, asked -> Optional.empty());
    assertThat(rebase().questions()).extracting(Question::id).containsExactly("off b/note");
    Node before = page;
    follow(Settlement.TAKE);
    assertThat(wordsAt("p/b/note")).isEmpty();
    assertThat(rebase().questions()).as("asked once").isEmpty();
    page = before;
    revision = 1;
    follow(Settlement.STAY);
    assertThat(wordsAt("p/b/note")).contains("Ours");
  }

  /** B with a variant in which the heading is red and stands last, with a line of its own. */
  private Node inVariant(Edit... edits) {
    Node piece =
        shelf
            .editor()
            .apply(
                current("B"),
                new Edit.SetVariant(id("br"), "slim", Optional.of(Variant.of("slim", "Slim"))))
            .root();
    for (Edit edit : edits) {
      piece =
          new VariantEditor(piece, "slim", shelf)
              .apply(edit, library -> new Rebasing(library, Showing.BOUND))
              .root();
    }
    return piece;
  }

  private Node slim() {
    return inVariant(
        paint("slim/head", "red"),
        new Edit.Move(id("slim/head"), id("slim/br"), 2),
        new Edit.Insert(id("slim/br"), 0, text("extra", "Only here")));
  }

  @Test
  void aVariantIsPickedAndWhatIsBetteredInThePieceReachesIt() {
    release(slim());
    follow(Settlement.STAY);
    assertThat(colourAt("p/b/head")).isEmpty();
    onPage(new Edit.ShowVariant(id("p/b"), Optional.of("slim")));
    assertThat(colourAt("p/b/head")).contains("red");
    assertThat(wordsAt("p/b/extra")).contains("Only here");
    assertThat(
            shown()
                .layers(shown().root().find(id("p/b/head")).orElseThrow(), COLOUR)
                .get(0)
                .source())
        .isEqualTo(Layer.Source.VARIANT);
    release(paint("note", "green"));
    assertThat(rebase().questions()).isEmpty();
    follow(Settlement.STAY);
    assertThat(colourAt("p/b/note")).contains("green");
    assertThat(colourAt("p/b/head")).contains("red");
    assertThatThrownBy(() -> onPage(new Edit.ShowVariant(id("p/b"), Optional.of("wide"))))
        .hasMessageContaining("no such variant");
  }

  /** Case 15. */
  @Test
  void aVariantThatIsDroppedIsOneQuestionAndToStayKeepsWhatWasShown() {
    release(slim());
    follow(Settlement.STAY);
    onPage(new Edit.ShowVariant(id("p/b"), Optional.of("slim")));
    onPage(write("p/b/extra", "Ours"));
    String before = seen();
    release(new Edit.SetVariant(id("br"), "slim", Optional.empty()));
    Rebased rebased = rebase();
    assertThat(rebased.questions()).hasSize(1);
    assertThat(rebased.questions().get(0).verdict()).isEqualTo(Verdict.GONE);
    Node was = page;
    int then = revision;
    follow(Settlement.STAY);
    assertThat(seen()).isEqualTo(before);
    assertThat(placement().changes().keySet())
        .noneMatch(key -> key.aspect() instanceof Aspect.VariantShown);
    page = was;
    revision = then;
    follow(Settlement.TAKE);
    assertThat(colourAt("p/b/head")).isEmpty();
    assertThat(wordsAt("p/b/extra")).isEmpty();
  }

  /** Case 18. */
  @Test
  void movesThatTheLibraryMakesALoopOfEnd() {
    Placement moved =
        placement()
            .with(
                LocalKey.parse("cz placed"),
                new LocalValue.PlacedUnder(id("b/br"), Optional.empty()));
    page = page.change(P, node -> node.withPlacement(moved));
    shelf.release("C", box("cr", text("cz", "Three")), asked -> Optional.empty());
    follow(Settlement.STAY);
    assertThat(seen()).contains("Three");
    shelf.release("C", box("cr"), asked -> Optional.empty());
    follow(Settlement.STAY);
    assertThat(seen()).contains("Three");
  }

  @Test
  void whatIsOptionalAndWhatVariantsThereAreIsSaidInThePiece() {
    for (Edit edit :
        List.of(
            new Edit.SetOptional(id("p/b/head"), true),
            new Edit.SetSiteSlot(id("p/b/head"), "words", true),
            new Edit.SetVariant(id("p/b/br"), "v", Optional.of(Variant.of("v", "V"))))) {
      assertThatThrownBy(() -> onPage(edit)).hasMessageContaining("in the piece");
    }
    assertThat(LocalValue.ItemsAre.of(current("B").find(id("list")).orElseThrow()).own())
        .isEqualTo(Set.of());
  }

  @Test
  void aListHasAnEndAndThatIsSaid() {
    for (int i = 2; i < LocalValue.ItemsAre.LIMIT; i++) {
      onPage(new Edit.Insert(id("p/b/list"), 0, Node.item(id("x" + i))));
    }
    assertThatThrownBy(() -> onPage(new Edit.Insert(id("p/b/list"), 0, Node.item(id("more")))))
        .hasMessageContaining("at most 200 items");
  }

  /** A variant counts whether it is picked or not, for a page may pick it. */
  @Test
  void whatAVariantPutsInCountsInTheDepth() {
    shelf.keep("A", box("ar", text("ax", "Deep")));
    Node plain = box("dr");
    shelf.keep("D", plain);
    assertThat(shelf.expanded("D", 1).depth()).isZero();
    Edit add = new Edit.SetVariant(id("dr"), "slim", Optional.of(Variant.of("slim", "Slim")));
    Node with = shelf.editor().apply(plain, add).root();
    Node varied =
        new VariantEditor(with, "slim", shelf)
            .apply(
                new Edit.Insert(id("slim/dr"), 0, shelf.placing(id("a"), "A")),
                library -> new Rebasing(library, Showing.BOUND))
            .root();
    shelf.release("D", varied, asked -> Optional.empty());
    assertThat(shelf.expanded("D", 2).depth()).isEqualTo(1);
    Node inItem =
        current("B")
            .change(id("fare"), fare -> fare.withChildren(List.of(shelf.placing(id("a2"), "A"))));
    release(inItem.change(id("list"), list -> list.withChildren(list.children().subList(0, 1))));
    assertThat(shelf.expanded("B", 2).depth()).as("also in a list without items").isEqualTo(2);
  }
}
