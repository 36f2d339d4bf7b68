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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of a row after it was turned round; what is drawn then is compared in Chromium. */
class MirrorTest {
  private static Node row(int count, String... settings) {
    Node[] columns = new Node[count];
    for (int i = 0; i < count; i++) {
      columns[i] = node("c" + i, Kind.COLUMN, text("t" + i, "Words"));
    }
    return styled(node("row", Kind.ROW, columns), settings);
  }

  private static Node page(Node... inSection) {
    return node("page", Kind.PAGE, node("section", Kind.SECTION, inSection));
  }

  private static Node mirrored(Node page, String id) {
    return after(page, new Mirror(bench(page)).mirror(NodeId.of(id)));
  }

  @ParameterizedTest
  @CsvSource({
    "2, 8 4, 4 8",
    "2, 8 1+3, 3 1+8",
    "3, 3 4 5, 5 4 3",
    "2, 56% 33%, 33% 56%",
  })
  void widthsAndOffsetsChangeSides(int count, String before, String after) {
    Node page = page(row(count, "columns", before));
    assertThat(setting(mirrored(page, "row"), "row", "columns")).isEqualTo(after);
  }

  @Test
  void twiceTurnedRoundIsAsItWas() {
    Node page = page(row(3, "columns", "2+3 3 4", "columns@tablet", "6 6", "columns@phone", "12"));
    Node twice = mirrored(mirrored(page, "section"), "section");
    assertThat(shape(twice)).isEqualTo(shape(page));
    assertThat(setting(twice, "row", "columns")).isEqualTo("2+3 3 4");
  }

  @Test
  void wordsStayAsTheyAreAndStandStillInTheirColumns() {
    Node page = page(row(2, "columns", "8 4"));
    assertThat(shape(mirrored(page, "section"))).isEqualTo("page(section(row(c1(t1) c0(t0))))");
  }

  @Test
  void oneBelowTheOtherTheyKeepTheirOrder() {
    Node page = page(row(2, "columns", "8 4", "columns@phone", "12"));
    Node turned = mirrored(page, "section");
    assertThat(setting(turned, "c0", "order@phone")).isEqualTo("0");
    assertThat(setting(turned, "c1", "order@phone")).isEqualTo("1");
    assertThat(setting(turned, "c0", "order")).isEmpty();
  }

  @Test
  void aRowInAColumnStaysAsItIs() {
    Node inner =
        styled(
            node("inner", Kind.ROW, node("i0", Kind.COLUMN), node("i1", Kind.COLUMN)),
            "columns",
            "3 9");
    Node outer = node("row", Kind.ROW, node("c0", Kind.COLUMN, inner), node("c1", Kind.COLUMN));
    Node turned = mirrored(page(outer), "section");
    assertThat(shape(turned)).isEqualTo("page(section(row(c1 c0(inner(i0 i1)))))");
    assertThat(setting(turned, "inner", "columns")).isEqualTo("3 9");
  }

  @Test
  void whatIsSaidOfOneSideIsSaidOfTheOther() {
    Node row = row(2, "margin-left", "-40px", "justify-content", "end", "columns", "30% 30%");
    Node section =
        styled(
            node("section", Kind.SECTION, row),
            "padding-left",
            "80px",
            "padding-right@phone",
            "5px");
    Node turned = mirrored(node("page", Kind.PAGE, section), "section");
    assertThat(setting(turned, "section", "padding-right")).isEqualTo("80px");
    assertThat(setting(turned, "section", "padding-left@phone")).isEqualTo("5px");
    assertThat(setting(turned, "row", "margin-right")).isEqualTo("-40px");
    assertThat(setting(turned, "row", "justify-content")).isEqualTo("start");
  }

  @Test
  void aThingInAColumnDoesNotStandForItsRow() {
    Node page = page(row(2));
    assertThatThrownBy(() -> mirrored(page, "t0"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Nothing in it stands side by side");
    assertThatThrownBy(() -> mirrored(page(row(1)), "section"))
        .hasMessageContaining("there is nothing to mirror");
  }
}
