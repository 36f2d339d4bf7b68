package goodbones.structure;

import static goodbones.testing.Benches.after;
import static goodbones.testing.Benches.bench;
import static goodbones.testing.Benches.shape;
import static goodbones.testing.Built.node;
import static goodbones.testing.Built.setting;
import static goodbones.testing.Built.styled;
import static goodbones.testing.Built.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Containers put around things, and taken away again. */
class WrappingTest {
  private static List<NodeId> ids(String... ids) {
    return Arrays.stream(ids).map(NodeId::of).toList();
  }

  private static Node page(Node... inSection) {
    return node("page", Kind.PAGE, node("section", Kind.SECTION, inSection));
  }

  private static Node wrapped(Node page, Kind kind, String... ids) {
    return after(page, new Wrapping(bench(page)).wrap(ids(ids), kind));
  }

  private static Node unwrapped(Node page, String id) {
    return after(page, new Wrapping(bench(page)).unwrap(NodeId.of(id)));
  }

  @Test
  void aBoxGoesAroundThingsWhereTheFirstOfThemStands() {
    Node page = page(text("a", "A"), text("b", "B"), text("c", "C"));
    assertThat(shape(wrapped(page, Kind.BOX, "c", "a"))).isEqualTo("page(section(new0(a c) b))");
  }

  @Test
  void aRowGetsAColumnForEach() {
    Node page = page(text("a", "A"), text("b", "B"), text("c", "C"));
    assertThat(shape(wrapped(page, Kind.ROW, "b", "c")))
        .isEqualTo("page(section(a new0(new1(b) new2(c))))");
  }

  @Test
  void aSectionGoesAroundWhatStandsStraightOnThePage() {
    Node page = node("page", Kind.PAGE, text("a", "A"), node("s", Kind.SECTION), text("b", "B"));
    assertThat(shape(wrapped(page, Kind.SECTION, "a", "b"))).isEqualTo("page(new0(a b) s)");
  }

  @Test
  void whatStandsApartOrCannotHoldThemIsRefused() {
    Node page =
        page(text("a", "A"), node("box", Kind.BOX, text("b", "B")), node("p", Kind.PICTURE));
    assertThatThrownBy(() -> wrapped(page, Kind.BOX, "a", "b"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("choose things that stand in the same container");
    assertThatThrownBy(() -> wrapped(page, Kind.SECTION, "a"))
        .hasMessageContaining("A section cannot stand in a section");
    assertThatThrownBy(() -> wrapped(page, Kind.PICTURE, "a"))
        .hasMessageContaining("cannot be put around something");
  }

  @Test
  void whatStoodInABoxTakesItsPlaceAndKeepsTheTypeThatCameFromIt() {
    Node box =
        styled(
            node("box", Kind.BOX, text("a", "A"), text("b", "B", "color", "#111111")),
            "color",
            "#222222",
            "color@phone",
            "#333333",
            "padding-top",
            "9px");
    Node after = unwrapped(page(text("x", "X"), box, text("y", "Y")), "box");
    assertThat(shape(after)).isEqualTo("page(section(x a b y))");
    assertThat(setting(after, "a", "color")).isEqualTo("#222222");
    assertThat(setting(after, "a", "color@phone")).isEqualTo("#333333");
    assertThat(setting(after, "b", "color")).isEqualTo("#111111");
    assertThat(setting(after, "b", "color@phone")).isEmpty();
  }

  @Test
  void aRowThatGoesLeavesWhatStoodInItsColumns() {
    Node row =
        styled(
            node(
                "row",
                Kind.ROW,
                styled(node("c0", Kind.COLUMN, text("a", "A")), "letter-spacing", "1px"),
                node("c1", Kind.COLUMN, text("b", "B"))),
            "letter-spacing",
            "2px");
    Node after = unwrapped(page(row), "row");
    assertThat(shape(after)).isEqualTo("page(section(a b))");
    assertThat(setting(after, "a", "letter-spacing")).isEqualTo("1px");
    assertThat(setting(after, "b", "letter-spacing")).isEqualTo("2px");
  }

  @Test
  void whatStoodInAColumnGoesToItsNeighbourAndTheOnlyColumnGoesWithItsRow() {
    Node row =
        styled(
            node(
                "row",
                Kind.ROW,
                node("c0", Kind.COLUMN, text("a", "A")),
                node("c1", Kind.COLUMN, text("b", "B")),
                node("c2", Kind.COLUMN, text("c", "C"))),
            "columns",
            "6 3 3");
    Node page = page(row);
    Node first = unwrapped(page, "c0");
    assertThat(shape(first)).isEqualTo("page(section(row(c1(a b) c2(c))))");
    assertThat(setting(first, "row", "columns")).isEqualTo("9 3");
    Node last = unwrapped(page, "c2");
    assertThat(shape(last)).isEqualTo("page(section(row(c0(a) c1(b c))))");
    assertThat(setting(last, "row", "columns")).isEqualTo("6 6");
    Node only = page(node("row", Kind.ROW, node("c0", Kind.COLUMN, text("a", "A"))));
    assertThat(shape(unwrapped(only, "c0"))).isEqualTo("page(section(a))");
  }

  @Test
  void aSectionAndAThingThatIsAroundNothingAreToldApart() {
    Node page = page(text("a", "A"));
    assertThat(shape(unwrapped(page, "section"))).isEqualTo("page(a)");
    assertThatThrownBy(() -> unwrapped(page, "a")).hasMessageContaining("is around nothing");
    assertThatThrownBy(() -> unwrapped(page, "page")).hasMessageContaining("stays where it is");
  }

  @Test
  void onlyAContainerThatChangesNothingIsNeedless() {
    Node bare = node("bare", Kind.BOX, text("a", "A"));
    Node painted = styled(node("painted", Kind.BOX, text("b", "B")), "background-color", "#eeeeee");
    Node padded = styled(node("padded", Kind.BOX, text("c", "C")), "padding-left", "10px");
    Node hidden =
        node("hidden", Kind.BOX, text("d", "D"))
            .withHiddenOn(java.util.Set.of(goodbones.document.Device.PHONE));
    Node empty = node("empty", Kind.BOX);
    Node row = node("row", Kind.ROW, node("column", Kind.COLUMN, text("e", "E")));
    Node page = page(bare, painted, padded, hidden, empty, row);
    assertThat(new Wrapping(bench(page)).needless(NodeId.of("section")))
        .containsExactly(NodeId.of("bare"), NodeId.of("row"));
  }
}
