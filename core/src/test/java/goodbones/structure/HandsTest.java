package goodbones.structure;

import static goodbones.testing.Benches.after;
import static goodbones.testing.Benches.bench;
import static goodbones.testing.Built.node;
import static goodbones.testing.Built.setting;
import static goodbones.testing.Built.styled;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Aspect;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.document.Touched;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import goodbones.testing.Benches;
import goodbones.testing.Everything;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Shelf;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Single things that hands do, with what a designer would expect of them. */
class HandsTest {
  private static final SiteFinishes FINISHES = new SiteFinishes(HouseFinishes.house(), Map.of());

  private static Node row(String columns, int count) {
    Node[] list = new Node[count];
    for (int i = 0; i < count; i++) {
      list[i] = node("c" + i, Kind.COLUMN, node("t" + i, Kind.TEXT));
    }
    return styled(node("row", Kind.ROW, list), "columns", columns);
  }

  private static Node page(Node... children) {
    return node("page", Kind.PAGE, node("section", Kind.SECTION, children));
  }

  private static String columns(Node page) {
    return setting(page, "row", "columns");
  }

  @Test
  void aPairOfColumnsKeepsItsSumAndSnapsUnlessFree() {
    Node page = page(row("3 3 3 3", 4));
    RowEdits edits = new RowEdits(bench(page));
    NodeId second = NodeId.of("c1");
    assertThat(columns(after(page, edits.resize(second, Device.DESKTOP, 4.3, false))))
        .isEqualTo("3 4 2 3");
    assertThat(columns(after(page, edits.resize(second, Device.DESKTOP, 4.3, true))))
        .isEqualTo("3 4.3 1.7 3");
    assertThat(columns(after(page, edits.resize(second, Device.DESKTOP, 99, false))))
        .isEqualTo("3 5 1 3");
    Node percent = page(row("56% 33%", 2));
    assertThat(
            columns(
                after(
                    percent,
                    new RowEdits(bench(percent))
                        .resize(NodeId.of("c0"), Device.DESKTOP, 49.6, false))))
        .isEqualTo("50% 39%");
  }

  @Test
  void addingAColumnSharesTheRowEquallyAndRemovingOneGivesItsShareAway() {
    Node page = page(row("8 1+3", 2));
    Edit add =
        new Landing(bench(page))
            .into(
                NodeId.of("row"),
                Optional.empty(),
                new Landing.Brought(List.of(node("fresh", Kind.HEADING))));
    Node three = after(page, add);
    assertThat(columns(three)).isEqualTo("equal");
    assertThat(three.find(NodeId.of("row")).orElseThrow().children()).hasSize(3);
    Edit remove = new Landing(bench(page)).remove(List.of(NodeId.of("c1")));
    assertThat(columns(after(page, remove))).isEqualTo("12");
  }

  @Test
  void moreThanSixInALineIsAHintAndThirteenARefusal() {
    Node page = page(row("equal", 7));
    Node row = page.find(NodeId.of("row")).orElseThrow();
    Cascade cascade = new Cascade(page, Shown.of(page), FINISHES);
    assertThat(RowEdits.hint(row, cascade, Device.DESKTOP).orElseThrow()).contains("7 columns");
    assertThatThrownBy(
            () -> new RowEdits(bench(page)).layOut(row.id(), goodbones.document.Columns.EQUAL, 13))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("at most 12");
  }

  @Test
  void anElementGoesStraightOnThePageAndASectionIntoNothingElse() {
    Node page = node("page", Kind.PAGE);
    Landing.Load text = new Landing.Brought(List.of(node("t", Kind.TEXT)));
    Node held = after(page, new Landing(bench(page)).into(page.id(), Optional.empty(), text));
    assertThat(held.children()).extracting(Node::kind).containsExactly(Kind.TEXT);
    Node full = page(row("equal", 2));
    Landing.Load section = new Landing.Carried(List.of(NodeId.of("section")));
    assertThatThrownBy(
            () -> new Landing(bench(full)).into(NodeId.of("c0"), Optional.empty(), section))
        .hasMessageContaining("into itself");
  }

  @Test
  void aLookTravelsToASiteThatDoesNotKnowItsStyles() {
    NamedStyle own =
        new NamedStyle(
            "own", "Own", Map.of(StyleKey.parse("color"), StyleValue.literal("#123456")));
    SiteFinishes here =
        new SiteFinishes(HouseFinishes.house().withNamedStyles(List.of(own)), Map.of());
    Node text =
        styled(node("t", Kind.TEXT), "font-size", "{size.text}")
            .withNamedStyles(List.of("own"))
            .withContent(
                "words",
                new FieldValue.Words(
                    "Seeds", List.of(new Mark(Mark.Type.COLOUR, 0, 5, "{color.accent}"))));
    Node page = page(text);
    Bench from =
        new Bench(page, Shown.of(page), here, bench(page).ids(), Benches.NO_PIECES, Showing.BOUND);
    Clip clip = Clip.of(from, List.of(text.id()));
    Clip.Settled settled = clip.at(bench(node("other", Kind.PAGE)), Everything.HERE);
    Node there = settled.nodes().get(0);
    assertThat(settled.gaveWay())
        .containsExactly(new GaveWay(there.id(), "Own", List.of(StyleKey.parse("color"))));
    assertThat(there.id()).isNotEqualTo(text.id());
    assertThat(there.namedStyles()).isEmpty();
    assertThat(there.styles())
        .containsEntry(StyleKey.parse("color"), StyleValue.literal("#123456"))
        .containsEntry(StyleKey.parse("font-size"), StyleValue.token("size.text"));
    assertThat(there.content().get("words")).isEqualTo(text.content().get("words"));
  }

  @Test
  void aLocalChangeToAStyleThatASiteDoesNotKnowKeepsItsLook() {
    StyleKey colour = StyleKey.parse("color");
    NamedStyle own =
        new NamedStyle(
            "own",
            "Own",
            Map.of(
                colour,
                StyleValue.literal("#123456"),
                StyleKey.parse("columns"),
                StyleValue.literal("8 4")));
    SiteFinishes here =
        new SiteFinishes(HouseFinishes.house().withNamedStyles(List.of(own)), Map.of());
    Shelf shelf = new Shelf();
    shelf.keep("piece", node("s", Kind.SECTION).withChildren(List.of(node("t", Kind.TEXT))));
    LocalKey named = new LocalKey(NodeId.of("t"), Aspect.NAMED_STYLES);
    Node placed =
        Node.placing(NodeId.of("p"), "", "piece")
            .withPlacement(
                Placement.of("piece")
                    .withBound(1)
                    .with(named, new LocalValue.NamedStylesAre(List.of("own"))));
    Node page = page(placed);
    Bench from =
        new Bench(page, shelf.editor().shown(page), here, bench(page).ids(), shelf, Showing.BOUND);
    Bench to =
        new Bench(
            page(),
            Shown.of(page()),
            bench(page).finishes(),
            bench(page).ids(),
            shelf,
            Showing.BOUND);
    Clip clip = Clip.of(from, List.of(NodeId.of("p/s")));
    Clip.Settled settled = clip.at(to, Everything.HERE);
    Placement there = settled.nodes().get(0).placement().orElseThrow();
    NodeId put = settled.nodes().get(0).id();
    assertThat(settled.gaveWay())
        .containsExactly(new GaveWay(NodeId.of("t").within(put), "Own", List.of(colour)));
    assertThat(there.layer().changes())
        .containsEntry(named, new LocalValue.NamedStylesAre(List.of()))
        .containsEntry(
            new LocalKey(NodeId.of("t"), Aspect.style(colour)),
            new LocalValue.StyleIs(Optional.of(StyleValue.literal("#123456"))))
        .hasSize(2);
  }

  @Test
  void takingAThingAwayTouchesAllInItAndPuttingOneInTouchesNothing() {
    Node page = page(row("equal", 1));
    assertThat(Touched.by(new Edit.Remove(NodeId.of("c0")), page))
        .containsExactly(NodeId.of("c0"), NodeId.of("t0"));
    assertThat(Touched.by(new Edit.Insert(NodeId.of("c0"), 0, node("n", Kind.TEXT)), page))
        .isEmpty();
  }
}
