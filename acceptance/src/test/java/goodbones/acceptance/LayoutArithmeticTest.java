package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.layout.Arithmetic;
import goodbones.layout.Box;
import goodbones.layout.Fold;
import goodbones.layout.Room;
import goodbones.layout.Screen;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.testing.CataloguePages;
import goodbones.testing.Runs;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/**
 * Outside check: the boxes that the layout arithmetic computes are those that Chromium draws for
 * the very page that is rendered, within half a pixel. What the browser alone can know, the size of
 * words, is taken from it; all else is computed.
 */
class LayoutArithmeticTest extends WithBrowser {
  private static final long SEED = 20_261_125;

  private static Map<NodeId, Box> compute(Node page, Screen screen, Drawn drawn) {
    Cascade cascade = new Cascade(page, Shown.of(page), Drawn.BARE);
    return Arithmetic.boxes(page, cascade, screen, drawn);
  }

  private static Optional<String> fault(Node page, Node node, Map<NodeId, Box> boxes, Drawn drawn) {
    Box computed = boxes.get(node.id());
    boolean isDrawn = drawn.boxes().containsKey(node.id().value());
    if (isDrawn != (computed != null)) {
      return Optional.of(node.id() + " is drawn: " + isDrawn);
    }
    if (computed == null
        || node.kind() == Kind.PAGE
        || drawn.box(node.id()).isNear(computed, WITHIN)) {
      return Optional.empty();
    }
    String around = page.parentOf(node.id()).map(n -> n.kind() + " " + n.styles()).orElse("");
    return Optional.of(
        String.format(
            "%s %s %s in %s%n  drawn %s%n  computed %s",
            node.kind(), node.id(), node.styles(), around, drawn.box(node.id()), computed));
  }

  /** Draws a page at a device and holds every box against the browser's. */
  private static Map<NodeId, Box> compared(Node page, Device device) {
    Screen screen = Screen.of(device);
    Drawn drawn = draw(page, screen);
    Map<NodeId, Box> boxes = compute(page, screen, drawn);
    List<String> wrong = new ArrayList<>();
    page.walk(node -> fault(page, node, boxes, drawn).ifPresent(wrong::add));
    assertThat(wrong.stream().limit(4)).as("seed %d, %d wrong", SEED, wrong.size()).isEmpty();
    return boxes;
  }

  private static final int[] WIDTHS = {320, 390, 639, 640, 834, 1023, 1024, 1280, 1440, 1920};
  private static final int PAGES = Runs.of(40, 3000);
  private static final int BROWSERS = 2;

  /** Most pages have their whole width to themselves. */
  private static final List<Room> ROOMS =
      List.of(Room.WHOLE, Room.WHOLE, Room.WHOLE, Room.BESIDE_COLUMN, Room.SIDE_COLUMN);

  /** What one browser found: how many boxes it drew, and which stand elsewhere than computed. */
  private record Found(int boxes, List<String> wrong) {}

  /** Everything that the catalogue allows, at every width at which something changes. */
  @Test
  void whateverTheCatalogueAllowsStandsWhereTheBrowserPutsIt() throws Exception {
    ExecutorService browsers = Executors.newFixedThreadPool(BROWSERS);
    List<Future<Found>> running = new ArrayList<>();
    for (int i = 0; i < BROWSERS; i++) {
      int first = i;
      running.add(browsers.submit(() -> drawnByOneBrowser(first)));
    }
    browsers.shutdown();
    int boxes = 0;
    List<String> wrong = new ArrayList<>();
    for (Future<Found> each : running) {
      boxes += each.get().boxes();
      wrong.addAll(each.get().wrong());
    }
    String told =
        String.format(
            "%d of %d boxes stand elsewhere, on %d pages at %d widths",
            wrong.size(), boxes, PAGES, WIDTHS.length);
    System.out.println(told);
    assertThat(boxes).as(told).isGreaterThan(PAGES * 100);
    assertThat(wrong.stream().limit(8)).as(told).isEmpty();
  }

  /** Every other page, with few settings or with many. */
  private static Found drawnByOneBrowser(int first) {
    int boxes = 0;
    List<String> wrong = new ArrayList<>();
    try (Designer designer = new Designer("")) {
      for (int i = first; i < PAGES; i += BROWSERS) {
        long seed = SEED + i;
        Node page = new CataloguePages(new Random(seed), 3 + i % 5).page(30);
        Room room = ROOMS.get(i / BROWSERS % ROOMS.size());
        Drawn.Sheet sheet = Drawn.sheet(page, room, designer.page());
        for (int width : WIDTHS) {
          Screen screen = Drawn.screen(width).with(room);
          Drawn drawn = sheet.at(screen);
          Map<NodeId, Box> computed = compute(page, screen, drawn);
          boxes += computed.size();
          for (Node node : page.all()) {
            fault(page, node, computed, drawn)
                .ifPresent(
                    fault ->
                        wrong.add("seed " + seed + ", " + room + " at " + width + ": " + fault));
          }
        }
      }
    }
    return new Found(boxes, wrong);
  }

  private static Node node(String id, Kind kind, String... styles) {
    Node node = Node.of(NodeId.of(id), kind, "");
    for (int i = 0; i < styles.length; i += 2) {
      node = node.withStyle(StyleKey.parse(styles[i]), StyleValue.parse(styles[i + 1]));
    }
    return node;
  }

  /** A page with one section, 1200 px wide inside, that holds one row. */
  private static Node rowPage(String columns, int count, String... styles) {
    List<Node> list = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      list.add(node("c" + i, Kind.COLUMN, "min-height", "40px"));
    }
    Node row = node("row", Kind.ROW, styles).withChildren(list);
    row = row.withStyle(StyleKey.parse("columns"), StyleValue.parse(columns));
    Node section = node("section", Kind.SECTION, "content-width", "1200px");
    return node("page", Kind.PAGE).withChildren(List.of(section.withChildren(List.of(row))));
  }

  private static Box column(Map<NodeId, Box> boxes, int column) {
    return Objects.requireNonNull(boxes.get(NodeId.of("c" + column)));
  }

  /** Common practice: span 4 offset 7, with no gap, begins at 7/12 and is 4/12 wide. */
  @Test
  void spanFourOffsetSeven() {
    Box box = column(compared(rowPage("7+4", 1), Device.DESKTOP), 0);
    assertThat(box.x()).isEqualTo(40 + 700);
    assertThat(box.width()).isEqualTo(400);
  }

  /** Common practice: two of span 4, the second with offset 2, leave two twelfths at the end. */
  @Test
  void fourAndFourWithOffsetTwo() {
    Map<NodeId, Box> boxes = compared(rowPage("4 2+4", 2), Device.DESKTOP);
    assertThat(column(boxes, 0).width()).isEqualTo(400);
    assertThat(column(boxes, 1).x()).isEqualTo(40 + 600);
    assertThat(1240 - column(boxes, 1).right()).isEqualTo(200);
  }

  /** Common practice: span 6 offset 3 stands in the middle, with a gap too. */
  @Test
  void spanSixOffsetThreeIsCentred() {
    for (String gap : List.of("0", "24px")) {
      Map<NodeId, Box> boxes = compared(rowPage("3+6", 1, "column-gap", gap), Device.DESKTOP);
      Box box = column(boxes, 0);
      assertThat(box.x() + box.width() / 2).isEqualTo(640);
    }
  }

  /** Common practice: 56 % and 33 % pushed apart stand at the two edges, 11 % between them. */
  @Test
  void fiftySixAndThirtyThreePerCentPushedApart() {
    Map<NodeId, Box> boxes =
        compared(rowPage("56% 33%", 2, "justify-content", "space-between"), Device.DESKTOP);
    assertThat(column(boxes, 0).x()).isEqualTo(40);
    assertThat(column(boxes, 0).width()).isEqualTo(672);
    assertThat(column(boxes, 1).width()).isEqualTo(396);
    assertThat(column(boxes, 1).right()).isEqualTo(1240);
  }

  /** Common practice: 15 vh + 75 vh + 10 vh fill one screen exactly. */
  @Test
  void headerContentAndFooterFillOneScreen() {
    List<Node> sections = new ArrayList<>();
    for (int vh : List.of(15, 75, 10)) {
      sections.add(node("s" + vh, Kind.SECTION, "min-height", vh + "vh"));
    }
    Node page = node("page", Kind.PAGE).withChildren(sections);
    for (Device device : Device.values()) {
      Map<NodeId, Box> boxes = compared(page, device);
      Fold fold = Fold.of(page, boxes, Screen.of(device));
      assertThat(fold.heights()).hasSize(3);
      assertThat(fold.fillsOneScreen()).isTrue();
    }
  }
}
