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
import goodbones.structure.Landing.Brought;
import goodbones.structure.Landing.Carried;
import goodbones.structure.Landing.Load;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Where the hand lets go, and what is made and closed up around it. */
class LandingTest {
  private Node page;

  @BeforeEach
  void aHeadingAboveARowOfTwo() {
    Node row =
        styled(
            node(
                "row",
                Kind.ROW,
                node("c0", Kind.COLUMN, text("a", "A"), text("b", "B")),
                node("c1", Kind.COLUMN, text("c", "C"))),
            "columns",
            "8 4");
    page =
        node("page", Kind.PAGE, node("section", Kind.SECTION, text("h", "H"), row), text("x", "X"));
  }

  private static Load carried(String... ids) {
    return new Carried(Arrays.stream(ids).map(NodeId::of).toList());
  }

  private static Load brought(Kind kind) {
    return new Brought(List.of(node("fresh", kind)));
  }

  private void into(String target, String before, Load load) {
    page =
        after(
            page,
            new Landing(bench(page))
                .into(
                    NodeId.of(target),
                    before.isEmpty() ? Optional.empty() : Optional.of(NodeId.of(before)),
                    load));
  }

  private void beside(String target, boolean right, Load load) {
    page = after(page, new Landing(bench(page)).beside(NodeId.of(target), right, load));
  }

  @Test
  void thingsAreMovedInTheDocumentsOrderHoweverTheyWereTaken() {
    into("c1", "c", carried("b", "h"));
    assertThat(shape(page)).isEqualTo("page(section(row(c0(a) c1(h b c))) x)");
  }

  @Test
  void amongItsOwnSiblingsAThingCountsAsGone() {
    into("c0", "", carried("a"));
    assertThat(shape(page)).isEqualTo("page(section(h row(c0(b a) c1(c))) x)");
    into("c0", "a", carried("a"));
    assertThat(shape(page)).isEqualTo("page(section(h row(c0(b a) c1(c))) x)");
  }

  @Test
  void aThingInARowGetsAColumnAndAllShareAlike() {
    into("row", "c1", brought(Kind.PICTURE));
    assertThat(shape(page)).isEqualTo("page(section(h row(c0(a b) new0(fresh) c1(c))) x)");
    assertThat(setting(page, "row", "columns")).isEqualTo("equal");
  }

  @Test
  void aColumnOutsideARowGetsARowAndTheRowThatItLeftClosesUp() {
    into("section", "", carried("c0"));
    assertThat(shape(page)).isEqualTo("page(section(h row(c1(c)) new0(c0(a b))) x)");
    assertThat(setting(page, "row", "columns")).isEqualTo("12");
  }

  @Test
  void aRowGoesWithItsLastColumn() {
    into("section", "h", carried("c0", "c1"));
    assertThat(shape(page)).isEqualTo("page(section(new0(c0(a b) c1(c)) h) x)");
  }

  private void near(String target, Load load) {
    page = after(page, new Landing(bench(page)).near(NodeId.of(target), Optional.empty(), load));
  }

  @Test
  void asNearAsItCanStandIsInAThingAfterItOrAfterWhatIsAroundIt() {
    near("c1", brought(Kind.TEXT));
    assertThat(shape(page)).isEqualTo("page(section(h row(c0(a b) c1(c fresh))) x)");
    near("a", new Brought(List.of(node("next", Kind.TEXT))));
    assertThat(shape(page)).isEqualTo("page(section(h row(c0(a next b) c1(c fresh))) x)");
    near("c", new Brought(List.of(node("band", Kind.SECTION))));
    assertThat(shape(page)).isEqualTo("page(section(h row(c0(a next b) c1(c fresh))) band x)");
    assertThatThrownBy(() -> near("a", new Brought(List.of(node("p", Kind.PAGE)))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("cannot stand");
  }

  @Test
  void twoThingsSideBySideGetARow() {
    beside("h", false, carried("x"));
    assertThat(shape(page)).isEqualTo("page(section(new1(new2(x) new0(h)) row(c0(a b) c1(c))))");
  }

  @Test
  void besideWhatIsAloneInItsColumnIsOneMoreColumn() {
    beside("c", true, brought(Kind.TEXT));
    assertThat(shape(page)).isEqualTo("page(section(h row(c0(a b) c1(c) new0(fresh))) x)");
    beside("c0", false, carried("x"));
    assertThat(shape(page)).startsWith("page(section(h row(new1(x) c0(a b)");
  }

  @Test
  void besideOneOfSeveralInAColumnARowStandsInTheColumn() {
    beside("a", true, carried("c"));
    assertThat(shape(page)).startsWith("page(section(h row(c0(new1(new0(a) new2(c)) b) c1))");
  }

  @Test
  void copiesStandAfterTheirOriginals() {
    page =
        after(page, new Landing(bench(page)).duplicate(List.of(NodeId.of("h"), NodeId.of("c1"))));
    assertThat(page.find(NodeId.of("section")).orElseThrow().children())
        .extracting(Node::kind)
        .containsExactly(Kind.TEXT, Kind.TEXT, Kind.ROW);
    assertThat(page.find(NodeId.of("row")).orElseThrow().children()).hasSize(3);
    assertThat(setting(page, "row", "columns")).isEqualTo("equal");
  }

  @Test
  void aColumnThatGoesGivesItsShareAway() {
    page = after(page, new Landing(bench(page)).remove(List.of(NodeId.of("c0"))));
    assertThat(shape(page)).isEqualTo("page(section(h row(c1(c))) x)");
    assertThat(setting(page, "row", "columns")).isEqualTo("12");
    page = after(page, new Landing(bench(page)).remove(List.of(NodeId.of("c1"), NodeId.of("h"))));
    assertThat(shape(page)).isEqualTo("page(section x)");
  }

  @Test
  void whatCannotStandSomewhereIsRefusedAndNothingMoves() {
    String before = shape(page);
    assertThatThrownBy(() -> into("section", "", carried("section")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("cannot be moved into itself");
    assertThatThrownBy(() -> into("c0", "", brought(Kind.SECTION)))
        .hasMessageContaining("A section cannot stand in a column");
    assertThatThrownBy(() -> into("row", "", brought(Kind.SECTION)))
        .hasMessageContaining("A section cannot stand in a column");
    assertThatThrownBy(() -> beside("section", true, carried("x")))
        .hasMessageContaining("Nothing can stand beside a section");
    assertThatThrownBy(() -> beside("h", true, carried("section")))
        .hasMessageContaining("cannot be put beside itself");
    assertThatThrownBy(() -> into("c0", "", new Brought(List.of())))
        .hasMessageContaining("nothing to put down");
    assertThatThrownBy(() -> into("gone", "", carried("x"))).hasMessageContaining("not here");
    assertThat(shape(page)).isEqualTo(before);
  }

  @Test
  void aRowHoldsTwelveColumnsAndNoMore() {
    for (int i = 0; i < 10; i++) {
      into("row", "", new Brought(List.of(node("k" + i, Kind.COLUMN))));
    }
    assertThatThrownBy(() -> into("row", "", brought(Kind.COLUMN)))
        .hasMessageContaining("at most 12 columns");
    assertThatThrownBy(() -> beside("c1", true, brought(Kind.TEXT)))
        .hasMessageContaining("put the rest into a second row");
  }
}
