package goodbones.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What an edit aimed inside a placement becomes. */
class LocalEditsTest {
  private static final StyleKey RADIUS = StyleKey.parse("border-radius");
  private static final NodeId BUTTON = NodeId.of("p/b");
  private static final Node PIECE =
      Node.of(NodeId.of("s"), Kind.SECTION, "Band")
          .withChildren(
              List.of(
                  Node.of(NodeId.of("h"), Kind.HEADING, ""),
                  Node.of(NodeId.of("b"), Kind.BUTTON, "")
                      .withStyle(RADIUS, StyleValue.literal("8px"))));
  private static final Node PAGE =
      Node.of(NodeId.of("page"), Kind.PAGE, "")
          .withChildren(
              List.of(
                  Node.placing(NodeId.of("p"), "", "piece")
                      .withPlacement(Placement.of("piece").withBound(1))));
  private static final PageEditor EDITOR =
      new PageEditor(
          new Adopted(Map.of("piece", 1)),
          (id, number) -> new Revision(id, number, PIECE, "", 1),
          new Settler() {
            @Override
            public Placement moved(NodeId id, Placement placement, int from, int to) {
              return placement;
            }

            @Override
            public Placement arrived(NodeId id, Placement placement, int shown) {
              return placement;
            }

            @Override
            public Placement edited(
                NodeId id, Placement before, Placement after, int shown, boolean pagesOwn) {
              return after;
            }
          });

  private static Placement placement(Node page) {
    return page.children().get(0).placement().orElseThrow();
  }

  private static Edit radius(String value) {
    return new Edit.SetStyle(BUTTON, RADIUS, Optional.of(StyleValue.literal(value)));
  }

  @Test
  void aStyleBecomesALocalChangeAndTheLibrarysOwnValueTakesItAwayAgain() {
    Node changed = EDITOR.apply(PAGE, radius("20px")).root();
    assertThat(placement(changed).changes())
        .containsOnlyKeys(new LocalKey(NodeId.of("b"), Aspect.style(RADIUS)));
    assertThat(EDITOR.shown(changed).root().find(BUTTON).orElseThrow().styles())
        .containsEntry(RADIUS, StyleValue.literal("20px"));
    assertThat(EDITOR.apply(changed, radius("8px")).root()).isEqualTo(PAGE);
  }

  @Test
  void clearingWhatThePieceSetsIsALocalNone() {
    Node cleared = EDITOR.apply(PAGE, new Edit.SetStyle(BUTTON, RADIUS, Optional.empty())).root();
    assertThat(EDITOR.shown(cleared).root().find(BUTTON).orElseThrow().styles()).isEmpty();
    assertThat(placement(cleared).changes()).hasSize(1);
  }

  @Test
  void anInsertIsLocalAndAnEditInsideItEditsIt() {
    Node text = Node.of(NodeId.of("new"), Kind.TEXT, "");
    Node inserted = EDITOR.apply(PAGE, new Edit.Insert(NodeId.of("p/s"), 1, text)).root();
    assertThat(EDITOR.shown(inserted).root().find(NodeId.of("p/s")).orElseThrow().children())
        .extracting(n -> n.id().value())
        .containsExactly("p/h", "p/new", "p/b");
    Node worded =
        EDITOR
            .apply(
                inserted,
                new Edit.SetContent(
                    NodeId.of("p/new"), "words", Optional.of(new FieldValue.Words("Ours"))))
            .root();
    assertThat(placement(worded).changes()).hasSize(1);
    assertThat(EDITOR.shown(worded).root().find(NodeId.of("p/new")).orElseThrow().content())
        .containsEntry("words", new FieldValue.Words("Ours"));
    Node removed = EDITOR.apply(worded, new Edit.Remove(NodeId.of("p/new"))).root();
    assertThat(placement(removed).changes()).isEmpty();
  }

  @Test
  void removingTheOutermostNodeRemovesThePlacement() {
    assertThat(EDITOR.apply(PAGE, new Edit.Remove(NodeId.of("p/s"))).root().children()).isEmpty();
  }

  @Test
  void aMoveWithinKeepsTheLibrarysOrderForTheRest() {
    Node moved = EDITOR.apply(PAGE, new Edit.Move(BUTTON, NodeId.of("p/s"), 0)).root();
    assertThat(EDITOR.shown(moved).root().find(NodeId.of("p/s")).orElseThrow().children())
        .extracting(n -> n.id().value())
        .containsExactly("p/b", "p/h");
  }

  @Test
  void whatBelongsToThePieceIsRefusedWithAWayOut() {
    assertThatThrownBy(() -> EDITOR.apply(PAGE, new Edit.Rename(BUTTON, "x")))
        .hasMessageContaining("rename it there");
    assertThatThrownBy(() -> EDITOR.apply(PAGE, new Edit.SetSlot(BUTTON, "words", false)))
        .hasMessageContaining("change it there");
    assertThatThrownBy(
            () ->
                EDITOR.apply(
                    PAGE,
                    new Edit.SetStyle(
                        BUTTON, StyleKey.parse("columns"), Optional.of(StyleValue.literal("6 6")))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("A button has no column widths");
  }

  @Test
  void undoOfALocalChangeIsRefusedWhenItsNodeIsGone() {
    Edit undo =
        new Edit.SetLocal(
            NodeId.of("p"),
            new LocalKey(NodeId.of("gone"), Aspect.style(RADIUS)),
            Optional.of(
                new goodbones.document.LocalValue.StyleIs(Optional.of(StyleValue.literal("1px")))));
    assertThatThrownBy(() -> EDITOR.reapply(PAGE, undo))
        .hasMessageContaining("Revision 1 of the piece no longer has");
  }

  @Test
  void whatOfThePieceWasMovedIntoAnInsertGoesWithIt() {
    Node box = Node.of(NodeId.of("new"), Kind.BOX, "");
    Node inserted = EDITOR.apply(PAGE, new Edit.Insert(NodeId.of("p/s"), 0, box)).root();
    Node moved = EDITOR.apply(inserted, new Edit.Move(BUTTON, NodeId.of("p/new"), 0)).root();
    Node removed = EDITOR.apply(moved, new Edit.Remove(NodeId.of("p/new"))).root();
    assertThat(EDITOR.shown(removed).root().find(BUTTON)).isEmpty();
  }
}
