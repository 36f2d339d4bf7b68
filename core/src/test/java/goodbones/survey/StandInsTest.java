package goodbones.survey;

import static goodbones.testing.Built.node;
import static goodbones.testing.Built.text;
import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Editor;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Shown;
import goodbones.structure.Fresh;
import goodbones.testing.Shelf;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Words and pictures that only stand in, until the real ones come. */
class StandInsTest {
  private static final NodeId HEADING = NodeId.of("h");

  private static Node standingIn(String id, Kind kind) {
    return node(id, kind).withContent("words", FieldValue.Words.standIn("Say what it is"));
  }

  private static List<String> left(Node shown) {
    return StandIns.of(shown).stream().map(l -> l.node() + " " + l.field()).toList();
  }

  @Test
  void whatIsNewStandsInUntilItIsFilledAndAgainWhenThatIsUndone() {
    Node page = node("page", Kind.PAGE, standingIn("h", Kind.HEADING), text("t", "Real words"));
    assertThat(left(page)).containsExactly("h words");
    Edited filled =
        Editor.apply(
            page,
            new Edit.SetContent(
                HEADING, "words", Optional.of(new FieldValue.Words("Say what it is"))));
    assertThat(left(filled.root())).as("the same words, meant").isEmpty();
    assertThat(Editor.apply(filled.root(), filled.inverse()).root()).isEqualTo(page);
  }

  @Test
  void retypingMakesThemRealAndLeavingThemDoesNot() {
    FieldValue.Words standIn = FieldValue.Words.standIn("Say what it is");
    assertThat(standIn.retyped("Say what it is").standIn()).isTrue();
    assertThat(standIn.retyped("A ferry line").standIn()).isFalse();
    assertThat(standIn.withMarks(List.of()).standIn()).isTrue();
  }

  @Test
  void aPictureElementWithNoPictureCountsAsMuchAsOneThatStandsIn() {
    Node page =
        node(
            "page",
            Kind.PAGE,
            node("none", Kind.PICTURE),
            node("stands", Kind.PICTURE).withContent("picture", FieldValue.Picture.STAND_IN),
            node("real", Kind.PICTURE)
                .withContent("picture", new FieldValue.Picture("harbour", "The harbour")),
            node("band", Kind.SECTION));
    assertThat(left(page)).containsExactly("none picture", "stands picture");
  }

  @Test
  void whatALibraryOffersStandsInWhereAPlacementFillsNothing() {
    Node piece = node("s", Kind.SECTION, standingIn("h", Kind.HEADING), text("t", "Fixed"));
    Shelf shelf = new Shelf();
    shelf.keep("band", piece);
    Node page = node("page", Kind.PAGE, Node.placing(NodeId.of("p"), "", "band"));
    Adopted adopted = new Adopted(Map.of("band", 1));
    assertThat(left(Shown.of(page, adopted, shelf).root())).containsExactly("p/h words");
    Placement filled =
        Placement.of("band")
            .saying(
                Map.of(
                    goodbones.document.LocalKey.parse("h content words"),
                    new goodbones.document.LocalValue.ContentIs(new FieldValue.Words("Ours"))));
    Node of = page.change(NodeId.of("p"), n -> n.withPlacement(filled));
    assertThat(left(Shown.of(of, adopted, shelf).root())).isEmpty();
  }

  @Test
  void everythingThatCanBeAddedSaysSo() {
    int[] next = {0};
    Fresh fresh = new Fresh(() -> NodeId.of("n" + next[0]++));
    for (Fresh.Thing thing : Fresh.things()) {
      Node made = fresh.of(thing);
      boolean shows = made.content().containsKey("words") || made.content().containsKey("picture");
      assertThat(!left(made).isEmpty()).as(thing.title()).isEqualTo(shows);
    }
  }
}
