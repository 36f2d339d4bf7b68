package goodbones.layout;

import static goodbones.testing.Built.node;
import static goodbones.testing.Built.styled;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import goodbones.testing.Sizes;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/**
 * Boxes reckoned by hand from the sections of CSS that each test names. Chromium's own boxes are
 * compared in the acceptance tests.
 */
class ArithmeticTest {
  private static final SiteFinishes BARE =
      new SiteFinishes(Finishes.of(List.of(), List.of(), Map.of()), Map.of());
  private static final Screen DESKTOP = new Screen(Device.DESKTOP, 1280, 800);
  private static final Screen PHONE = new Screen(Device.PHONE, 400, 800);

  /** Every word is 100 px wide and 20 px high, whatever its room. */
  private static final Measured WORDS = new Sizes(20, 100, 30, 2);

  private static Map<NodeId, Box> boxes(Screen screen, Node... onPage) {
    Node page = node("page", Kind.PAGE, onPage);
    return Arithmetic.boxes(page, new Cascade(page, Shown.of(page), BARE), screen, WORDS);
  }

  private static Box box(Map<NodeId, Box> boxes, String id) {
    return Objects.requireNonNull(boxes.get(NodeId.of(id)), id);
  }

  private static Node words(String id, String... settings) {
    return styled(node(id, Kind.TEXT), settings);
  }

  private static Node section(Node... children) {
    return node("section", Kind.SECTION, children);
  }

  private static Node row(String columns, int count, String... settings) {
    Node[] list = new Node[count];
    for (int i = 0; i < count; i++) {
      list[i] = node("c" + i, Kind.COLUMN, words("t" + i));
    }
    return styled(styled(node("row", Kind.ROW, list), "columns", columns), settings);
  }

  /** A section with a row in it that is 1200 px wide, from 40 to 1240. */
  private static Map<NodeId, Box> rowBoxes(String columns, int count, String... settings) {
    return boxes(
        DESKTOP, styled(section(row(columns, count, settings)), "content-width", "1200px"));
  }

  @Test
  void aSectionIsAsWideAsTheScreenAndCentresItsContent() {
    Map<NodeId, Box> boxes =
        boxes(
            DESKTOP,
            styled(
                section(words("t")),
                "content-width",
                "1000px",
                "padding-top",
                "60px",
                "padding-bottom",
                "5vw",
                "border-top-width",
                "4px"));
    assertThat(box(boxes, "t")).isEqualTo(new Box(140, 64, 1000, 20));
  }

  /** Common practice: a twelfth of 1200 px with gaps of 24 px is (1200 - 11 · 24) / 12 = 78 px. */
  @Test
  void twelfthsTakeTheGapsBetweenThemIn() {
    Map<NodeId, Box> boxes = rowBoxes("4 8", 2, "column-gap", "24px");
    assertThat(box(boxes, "c0").width()).isEqualTo(4 * 78 + 3 * 24);
    assertThat(box(boxes, "c1").x()).isEqualTo(40 + 4 * 78 + 4 * 24);
    assertThat(box(boxes, "c1").right()).isCloseTo(1240, within(1e-9));
  }

  @Test
  void anOffsetLeavesTwelfthsFreeAndWholeOnesWrapAfterTwelve() {
    Map<NodeId, Box> boxes = rowBoxes("8 1+3 6", 3, "row-gap", "10px");
    assertThat(box(boxes, "c1")).isEqualTo(new Box(40 + 900, 0, 300, 20));
    assertThat(box(boxes, "c2")).isEqualTo(new Box(40, 30, 600, 20));
  }

  @Test
  void perCentIsOfWhatTheGapsLeave() {
    Map<NodeId, Box> boxes = rowBoxes("50% 30%", 2, "column-gap", "100px");
    assertThat(box(boxes, "c0").width()).isEqualTo(550);
    assertThat(box(boxes, "c1")).isEqualTo(new Box(40 + 550 + 100, 0, 330, 20));
  }

  @Test
  void equalColumnsWrapWhereItIsSaid() {
    Map<NodeId, Box> boxes = rowBoxes("equal 2", 3, "column-gap", "20px");
    assertThat(box(boxes, "c1").x()).isEqualTo(40 + 590 + 20);
    assertThat(box(boxes, "c2")).isEqualTo(new Box(40, 20, 590, 20));
  }

  /** CSS Box Alignment 3, 5.3: start, centre, end and space between for the tracks of a row. */
  @Test
  void whatARowDoesNotUseIsSpread() {
    assertThat(box(rowBoxes("50%", 1, "justify-content", "center"), "c0").x()).isEqualTo(340);
    assertThat(box(rowBoxes("50%", 1, "justify-content", "end"), "c0").x()).isEqualTo(640);
    Map<NodeId, Box> apart = rowBoxes("25% 25%", 2, "justify-content", "space-between");
    assertThat(box(apart, "c1").right()).isEqualTo(1240);
  }

  @Test
  void columnsAreAsHighAsTheirLineUnlessTheyAreAligned() {
    Node tall = styled(node("tall", Kind.COLUMN), "min-height", "100px");
    Node low = node("low", Kind.COLUMN, words("t"));
    Map<NodeId, Box> stretched = boxes(DESKTOP, section(node("row", Kind.ROW, tall, low)));
    assertThat(box(stretched, "low").height()).isEqualTo(100);
    Map<NodeId, Box> centred =
        boxes(
            DESKTOP, section(styled(node("row", Kind.ROW, tall, low), "content-align", "center")));
    assertThat(box(centred, "low")).isEqualTo(new Box(640, 40, 640, 20));
    Node end = styled(low, "align-self", "end");
    Map<NodeId, Box> own = boxes(DESKTOP, section(node("row", Kind.ROW, tall, end)));
    assertThat(box(own, "low").y()).isEqualTo(80);
  }

  @Test
  void rowsStackOnAPhoneInTheOrderThatIsSaidThere() {
    Node row =
        styled(
            node(
                "row",
                Kind.ROW,
                node("map", Kind.COLUMN, words("m")),
                styled(node("key", Kind.COLUMN, words("k")), "order@phone", "-1")),
            "columns",
            "8 4",
            "columns@phone",
            "12");
    Map<NodeId, Box> boxes = boxes(PHONE, section(row));
    assertThat(box(boxes, "key")).isEqualTo(new Box(0, 0, 400, 20));
    assertThat(box(boxes, "map")).isEqualTo(new Box(0, 20, 400, 20));
    Map<NodeId, Box> wide = boxes(DESKTOP, section(row));
    assertThat(box(wide, "map").x()).isZero();
  }

  @Test
  void whatIsHiddenHasNoBoxAndTakesNoRoom() {
    Node hidden = words("hidden").withHiddenOn(java.util.Set.of(Device.PHONE));
    Map<NodeId, Box> boxes = boxes(PHONE, section(hidden, words("t")));
    assertThat(boxes).doesNotContainKey(NodeId.of("hidden"));
    assertThat(box(boxes, "t").y()).isZero();
    assertThat(box(boxes(DESKTOP, section(hidden, words("t"))), "t").y()).isEqualTo(20);
  }

  @Test
  void negativeMarginsPullThingsOverEachOther() {
    Map<NodeId, Box> boxes =
        boxes(
            DESKTOP,
            section(
                words("t"), words("u", "margin-top", "-15px", "margin-left", "-30px"), words("v")));
    assertThat(box(boxes, "u")).isEqualTo(new Box(-30, 5, 1310, 20));
    assertThat(box(boxes, "v").y()).isEqualTo(25);
    assertThat(box(boxes, "section").height()).isEqualTo(45);
  }

  /** CSS Box Alignment 3, 6.1, with margins that are auto before it (CSS Grid 2, 10.2). */
  @Test
  void aThingStandsInItsLineWhereItIsPlaced() {
    Map<NodeId, Box> boxes =
        boxes(
            DESKTOP,
            section(
                words("center", "place", "center"),
                words("end", "place", "end"),
                words("auto", "width", "300px", "margin-left", "auto", "margin-right", "auto"),
                words("most", "max-width", "50%")));
    assertThat(box(boxes, "center")).isEqualTo(new Box(590, 0, 100, 20));
    assertThat(box(boxes, "end").x()).isEqualTo(1180);
    assertThat(box(boxes, "auto").x()).isEqualTo(490);
    assertThat(box(boxes, "most").width()).isEqualTo(640);
  }

  @Test
  void aContainerHigherThanItsContentPutsItWhereItIsSaid() {
    for (Map.Entry<String, List<Double>> said :
        Map.of(
                "start", List.of(0.0, 20.0),
                "center", List.of(180.0, 200.0),
                "end", List.of(360.0, 380.0),
                "space-between", List.of(0.0, 380.0))
            .entrySet()) {
      Map<NodeId, Box> boxes =
          boxes(
              DESKTOP,
              styled(
                  section(words("t"), words("u")),
                  "min-height",
                  "50vh",
                  "content-align",
                  said.getKey()));
      assertThat(List.of(box(boxes, "t").y(), box(boxes, "u").y()))
          .as(said.getKey())
          .isEqualTo(said.getValue());
    }
  }

  /** CSS Flexbox 1, 9.3: what does not fit begins a new line. */
  @Test
  void thingsSideBySideWrapAndShareWhatIsFree() {
    Node[] six =
        java.util.stream.IntStream.range(0, 6).mapToObj(i -> words("t" + i)).toArray(Node[]::new);
    Node box =
        styled(
            node("box", Kind.BOX, six),
            "flow",
            "across",
            "column-gap",
            "20px",
            "justify-content",
            "space-between",
            "width",
            "400px");
    Map<NodeId, Box> boxes = boxes(DESKTOP, section(box));
    assertThat(Arrays.stream(six).map(t -> box(boxes, t.id().value())).toList())
        .containsExactly(
            new Box(0, 0, 100, 20),
            new Box(150, 0, 100, 20),
            new Box(300, 0, 100, 20),
            new Box(0, 20, 100, 20),
            new Box(150, 20, 100, 20),
            new Box(300, 20, 100, 20));
  }

  /** CSS Flexbox 1, 8.1: a margin that is auto takes what is free. */
  @Test
  void anAutoMarginPushesApart() {
    Node box =
        styled(
            node("box", Kind.BOX, words("t"), words("u", "margin-left", "auto")), "flow", "across");
    assertThat(box(boxes(DESKTOP, section(box)), "u").right()).isEqualTo(1280);
  }

  @Test
  void aPictureKeepsItsRatioOrTheOneThatIsSaid() {
    Node own = styled(node("own", Kind.PICTURE), "width", "300px");
    Node said = styled(node("said", Kind.PICTURE), "aspect-ratio", "4/3", "margin-left", "80px");
    Map<NodeId, Box> boxes = boxes(DESKTOP, section(own, said));
    assertThat(box(boxes, "own")).isEqualTo(new Box(0, 0, 300, 150));
    assertThat(box(boxes, "said")).isEqualTo(new Box(80, 150, 1200, 900));
  }

  /** CSS Positioned Layout 3: against the padding box of its container, and out of its flow. */
  @Test
  void whatIsPinnedStandsInItsCornerAndTakesNoRoom() {
    Node pinned =
        words("pin", "pin", "bottom-right", "margin-right", "10px", "margin-bottom", "5px");
    Node box = styled(node("box", Kind.BOX, words("t"), pinned), "min-height", "200px");
    Map<NodeId, Box> boxes = boxes(DESKTOP, section(box));
    assertThat(box(boxes, "pin")).isEqualTo(new Box(1280 - 110, 175, 100, 20));
    assertThat(box(boxes, "box").height()).isEqualTo(200);
  }

  @Test
  void rowsStandInColumnsToAnyDepth() {
    Node inner =
        styled(
            node("inner", Kind.ROW, node("i0", Kind.COLUMN), node("i1", Kind.COLUMN, words("t"))),
            "columns",
            "3 9");
    Node half = styled(node("half", Kind.COLUMN, inner), "padding-left", "40px");
    Node outer =
        styled(node("outer", Kind.ROW, node("first", Kind.COLUMN), half), "columns", "6 6");
    assertThat(box(boxes(DESKTOP, section(outer)), "t")).isEqualTo(new Box(830, 0, 450, 20));
  }

  /** Common practice: 15 vh + 75 vh + 10 vh fill one screen. */
  @Test
  void theFoldSumOfHeaderContentAndFooter() {
    Node[] parts = new Node[3];
    int[] shares = {15, 75, 10};
    for (int i = 0; i < 3; i++) {
      parts[i] = styled(node("s" + i, Kind.SECTION), "min-height", shares[i] + "vh");
    }
    Node page = node("page", Kind.PAGE, parts);
    Fold fold = Fold.of(page, boxes(DESKTOP, parts), DESKTOP);
    assertThat(fold.heights()).extracting(Fold.Part::height).containsExactly(120.0, 600.0, 80.0);
    assertThat(fold.fillsOneScreen()).isTrue();
    Node[] more = {parts[0], parts[1], styled(parts[2], "padding-top", "81px")};
    Fold over = Fold.of(node("page", Kind.PAGE, more), boxes(DESKTOP, more), DESKTOP);
    assertThat(over.fillsOneScreen()).isFalse();
    assertThat(over.screens()).isEqualTo(801 / 800.0);
  }
}
