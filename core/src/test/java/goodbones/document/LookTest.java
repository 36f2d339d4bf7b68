package goodbones.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class LookTest {
  private static final StyleKey SIZE = StyleKey.parse("font-size");
  private static final StyleKey HOVER = StyleKey.parse("background-color:hover");

  private static Node node(String id, Kind kind) {
    return Node.of(NodeId.of(id), kind, "").withContent("words", new FieldValue.Words(id));
  }

  private static Node laid(Look look, Node on) {
    Node section = Node.of(NodeId.of("s"), Kind.SECTION, "").withChildren(List.of(on));
    return Editor.apply(section, look.on(on)).root().children().get(0);
  }

  private static final Node BUTTON =
      node("from", Kind.BUTTON)
          .withStyle(SIZE, StyleValue.literal("20px"))
          .withStyle(StyleKey.parse("font-size@phone"), StyleValue.token("t"))
          .withStyle(HOVER, StyleValue.literal("#ffffff"))
          .withNamedStyles(List.of("quiet"));

  @Test
  void anotherOfTheSameKindLooksJustTheSameAfterwardsAndKeepsItsWords() {
    Node other =
        node("to", Kind.BUTTON)
            .withStyle(SIZE, StyleValue.literal("9px"))
            .withStyle(StyleKey.parse("color"), StyleValue.literal("#123456"))
            .withNamedStyles(List.of("loud"));
    Node after = laid(Look.of(BUTTON), other);
    assertThat(Look.of(after)).isEqualTo(Look.of(BUTTON));
    assertThat(after.content()).isEqualTo(other.content());
    assertThat(after.id()).isEqualTo(other.id());
  }

  @Test
  void anotherKindTakesWhatItCanHave() {
    Node after = laid(Look.of(BUTTON), node("to", Kind.HEADING));
    assertThat(after.styles().keySet())
        .containsExactlyInAnyOrder(SIZE, StyleKey.parse("font-size@phone"))
        .doesNotContain(HOVER);
    assertThat(after.namedStyles()).containsExactly("quiet");
  }

  @Test
  void layingItTwiceIsLayingItOnceAndUndoBringsAllBack() {
    Node other = node("to", Kind.BUTTON).withStyle(SIZE, StyleValue.literal("9px"));
    Node section = Node.of(NodeId.of("s"), Kind.SECTION, "").withChildren(List.of(other));
    Edited once = Editor.apply(section, Look.of(BUTTON).on(other));
    Node after = once.root().children().get(0);
    assertThat(((Edit.Group) Look.of(BUTTON).on(after)).edits()).isEmpty();
    assertThat(Editor.apply(once.root(), once.inverse()).root()).isEqualTo(section);
  }

  @Test
  void columnWidthsAreStructureAndNoLook() {
    Node row =
        Node.of(NodeId.of("r"), Kind.ROW, "")
            .withStyle(StyleKey.parse("columns"), StyleValue.literal("7 5"))
            .withStyle(StyleKey.parse("column-gap"), StyleValue.literal("8px"));
    assertThat(Look.of(row).styles())
        .isEqualTo(
            new TreeMap<>(
                java.util.Map.of(StyleKey.parse("column-gap"), StyleValue.literal("8px"))));
    Node other =
        Node.of(NodeId.of("q"), Kind.ROW, "")
            .withStyle(StyleKey.parse("columns"), StyleValue.literal("6 6"));
    assertThat(laid(Look.of(row), other).styles().get(StyleKey.parse("columns")))
        .isEqualTo(StyleValue.literal("6 6"));
  }

  @Test
  void everythingADocumentRefersToIsFoundAlsoInLocalChanges() {
    Node inserted = node("new", Kind.TEXT).withStyle(SIZE, StyleValue.parse("{in-insert}"));
    Placement placement =
        Placement.of("piece")
            .with(
                new LocalKey(NodeId.of("h"), Aspect.style(SIZE)),
                new LocalValue.StyleIs(Optional.of(StyleValue.parse("{in-change}"))))
            .with(
                new LocalKey(NodeId.of("h"), Aspect.NAMED_STYLES),
                new LocalValue.NamedStylesAre(List.of("lead")))
            .with(
                new LocalKey(NodeId.of("s"), Aspect.SCHEME),
                new LocalValue.SchemeIs(Optional.of("dark")))
            .with(
                new LocalKey(NodeId.of("new"), Aspect.PLACED),
                new LocalValue.PlacedUnder(NodeId.of("s"), Optional.of(inserted)));
    Node page =
        Node.of(NodeId.of("page"), Kind.PAGE, "")
            .withChildren(
                List.of(
                    Node.placing(NodeId.of("p"), "", "piece").withPlacement(placement),
                    Node.of(NodeId.of("own"), Kind.SECTION, "")
                        .withScheme(Optional.of("tinted"))
                        .withStyle(
                            StyleKey.parse("box-shadow"),
                            StyleValue.parse("0px 1px 2px 0px {in-shadow}"))
                        .withChildren(List.of(BUTTON))));
    References found = References.of(page);
    assertThat(found.tokens()).containsExactly("in-change", "in-insert", "in-shadow", "t");
    assertThat(found.namedStyles()).containsExactly("lead", "quiet");
    assertThat(found.schemes()).containsExactly("dark", "tinted");
  }
}
