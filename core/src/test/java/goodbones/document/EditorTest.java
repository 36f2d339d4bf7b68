package goodbones.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.testing.Trees;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class EditorTest {
  private static final NodeId SECTION = NodeId.of("s");
  private static final NodeId HEADING = NodeId.of("h");
  private static final NodeId BUTTON = NodeId.of("b");

  private static Node band() {
    return Node.of(SECTION, Kind.SECTION, "Band")
        .withChildren(
            List.of(Node.of(HEADING, Kind.HEADING, ""), Node.of(BUTTON, Kind.BUTTON, "")));
  }

  @Test
  void everyEditFollowedByItsInverseIsTheIdentity() {
    int applied = 0;
    for (long seed = 0; seed < 1500; seed++) {
      Trees trees = new Trees(seed, "n");
      Node start = trees.section();
      Node now = start;
      Deque<Edit> undo = new ArrayDeque<>();
      for (int i = 0; i < 12; i++) {
        Edit edit = trees.edit(now, node -> true, true);
        try {
          Edited edited = Editor.apply(now, edit);
          assertThat(Editor.apply(edited.root(), edited.inverse()).root())
              .as("seed %d, edit %s", seed, edit)
              .isEqualTo(now);
          now = edited.root();
          undo.push(edited.inverse());
          applied++;
        } catch (Refused refused) {
          assertThat(refused.faults()).isNotEmpty();
        }
        assertThat(Catalogue.faults(now)).as("seed %d", seed).isEmpty();
      }
      for (Edit inverse : undo) {
        now = Editor.apply(now, inverse).root();
      }
      assertThat(now).as("seed %d", seed).isEqualTo(start);
    }
    assertThat(applied).isGreaterThan(5000);
  }

  @Test
  void anEditKeepsUntouchedSubtreesTheSameObjects() {
    Node before = band();
    Node after =
        Editor.apply(
                before,
                new Edit.SetContent(
                    HEADING, "words", Optional.of(new FieldValue.Words("Three islands"))))
            .root();
    assertThat(after.children().get(1)).isSameAs(before.children().get(1));
    assertThat(after.children().get(0)).isNotEqualTo(before.children().get(0));
  }

  @Test
  void aGroupIsAllOrNothing() {
    Edit group =
        new Edit.Group(
            List.of(new Edit.Remove(HEADING), new Edit.Rename(NodeId.of("nowhere"), "x")));
    assertThatThrownBy(() -> Editor.apply(band(), group))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("not here any more");
  }

  @Test
  void tooLongWordsSayHowManyToTakeOut() {
    Edit edit =
        new Edit.SetContent(BUTTON, "words", Optional.of(new FieldValue.Words("x".repeat(85))));
    assertThatThrownBy(() -> Editor.apply(band(), edit))
        .hasMessageContaining("85 characters")
        .hasMessageContaining("take out 5");
  }

  @Test
  void whatTheCatalogueDoesNotAllowIsRefusedWithAWayOut() {
    Node column = Node.of(NodeId.of("c"), Kind.COLUMN, "");
    assertThatThrownBy(() -> Editor.apply(band(), new Edit.Insert(SECTION, 0, column)))
        .hasMessageContaining("A column cannot stand in a section; put it in a row");
    assertThatThrownBy(
            () ->
                Editor.apply(
                    band(),
                    new Edit.SetStyle(
                        BUTTON,
                        StyleKey.of(StyleProperty.RADIUS),
                        Optional.of(StyleValue.literal("round")))))
        .hasMessageContaining("Corner radius cannot be “round”: give a length of at least 0");
    assertThatThrownBy(
            () ->
                Editor.apply(
                    band(),
                    new Edit.SetContent(
                        BUTTON, "link", Optional.of(new FieldValue.Link("javascript:alert(1)")))))
        .hasMessageContaining("is not an address to link to");
    assertThatThrownBy(() -> Editor.apply(band(), new Edit.Move(SECTION, SECTION, 0)))
        .hasMessageContaining("cannot be moved into itself");
    assertThatThrownBy(() -> Editor.apply(band(), new Edit.Remove(SECTION)))
        .hasMessageContaining("outermost section cannot be removed");
  }

  @Test
  void allFaultsAreListedAtOnce() {
    Node wrong =
        band()
            .withStyle(StyleKey.of(StyleProperty.RADIUS), StyleValue.literal("x"))
            .withContent("title", new FieldValue.Words("no such field"))
            .withName("n".repeat(81));
    assertThat(Catalogue.faults(wrong)).hasSize(3);
  }

  @Test
  void aStyleKeyReadsItsOwnTextForm() {
    for (String text :
        List.of("font-size", "font-size@phone", "color:hover", "border-radius@tablet:focus")) {
      assertThat(StyleKey.parse(text)).hasToString(text);
    }
    assertThatThrownBy(() -> StyleKey.parse("colour"))
        .hasMessageContaining("is not a style property");
  }

  @Test
  void aLocalKeyReadsItsOwnTextForm() {
    for (String text :
        List.of("p/n content words", "n style font-size@phone", "n removed", "n placed")) {
      assertThat(LocalKey.parse(text)).hasToString(text);
    }
  }
}
