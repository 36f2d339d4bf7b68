package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Columns;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.layout.Box;
import goodbones.layout.Screen;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.structure.Bench;
import goodbones.structure.Landing;
import goodbones.structure.Mirror;
import goodbones.structure.Settings;
import goodbones.structure.Wrapping;
import goodbones.style.Cascade;
import goodbones.style.Flow;
import goodbones.testing.Benches;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Outside check: what mirroring, gathering and unwrapping do is seen in Chromium, which draws the
 * pages before and after.
 */
class StructureDrawnTest extends WithBrowser {
  private static final long SEED = 20_261_126;
  private int next;

  private Bench bench(Node page) {
    return new Bench(
        page,
        Shown.of(page),
        Drawn.BARE,
        () -> NodeId.of("fresh" + next++),
        Benches.NO_PIECES,
        Showing.BOUND);
  }

  private static Drawn draw(Node page, Device device) {
    return draw(page, Screen.of(device));
  }

  private static Node changed(Node page, Edit edit) {
    return Editor.apply(page, edit).root();
  }

  /** The rows that mirroring a section turns round. */
  private static List<Node> rows(Node section) {
    List<Node> rows = new ArrayList<>();
    if (section.kind() == Kind.ROW) {
      rows.add(section);
    } else {
      section.children().forEach(child -> rows.addAll(rows(child)));
    }
    return rows;
  }

  @Test
  void aMirroredSectionIsDrawnTurnedRoundAndTwiceIsOnce() {
    GeneratedPages generator = new GeneratedPages(new Random(SEED));
    int columns = 0;
    for (int i = 0; i < 6; i++) {
      Node page = generator.page();
      Node mirrored = page;
      List<Node> rows = new ArrayList<>();
      for (Node section : page.children()) {
        List<Node> turned = rows(section).stream().filter(r -> r.children().size() > 1).toList();
        if (section.kind() == Kind.SECTION && !turned.isEmpty()) {
          mirrored = changed(mirrored, new Mirror(bench(mirrored)).mirror(section.id()));
          rows.addAll(turned);
        }
      }
      Node again = mirrored;
      for (Node section : page.children()) {
        if (section.kind() == Kind.SECTION && rows(section).stream().anyMatch(rows::contains)) {
          again = changed(again, new Mirror(bench(again)).mirror(section.id()));
        }
      }
      for (Device device : Device.values()) {
        Drawn before = draw(page, device);
        Drawn after = draw(mirrored, device);
        Drawn twice = draw(again, device);
        Cascade cascade = new Cascade(page, Shown.of(page), Drawn.BARE);
        for (Node row : rows) {
          if (repeatsUnevenly(row, cascade, device)) {
            continue;
          }
          for (Node column : row.children()) {
            if (before.boxes().containsKey(column.id().value())) {
              turnedRound(row, column, before, after, device);
              same(inRow(row, column, before), inRow(row, column, twice), "" + column.id());
              columns++;
            }
          }
        }
      }
    }
    assertThat(columns).isGreaterThan(150);
  }

  /**
   * Where widths repeat line by line, a line that is not full begins where lines begin; and which
   * of them a column has depends on those that are hidden or put in another order.
   */
  private static boolean repeatsUnevenly(Node row, Cascade cascade, Device device) {
    Columns.Grid grid = Flow.grid(row, cascade, device);
    long last = grid.cells().stream().filter(c -> c.line() == grid.lines() - 1).count();
    boolean parts = grid.tracks().stream().allMatch(Columns.Part.class::isInstance);
    boolean said = parts && Flow.columns(row, cascade, device) instanceof Columns.Twelfths;
    boolean ordered =
        row.children().stream().anyMatch(column -> Flow.order(column, cascade, device) != 0);
    boolean hidden = row.children().stream().anyMatch(column -> !column.hiddenOn().isEmpty());
    return !said && (last < grid.tracks().size() || ordered || hidden);
  }

  private static void turnedRound(Node row, Node column, Drawn before, Drawn after, Device device) {
    Box rowBefore = before.box(row.id());
    Box rowAfter = after.box(row.id());
    Box was = before.box(column.id());
    Box is = after.box(column.id());
    String where = "seed " + SEED + " " + device + " " + column.id() + " in " + row.styles();
    assertThat(is.width()).as(where).isCloseTo(was.width(), near());
    assertThat(rowAfter.right() - is.right()).as(where).isCloseTo(was.x() - rowBefore.x(), near());
    assertThat(is.y() - rowAfter.y()).as(where).isCloseTo(was.y() - rowBefore.y(), near());
  }

  private static org.assertj.core.data.Offset<Double> near() {
    return org.assertj.core.api.Assertions.within(WITHIN);
  }

  private static void same(Box a, Box b, String where) {
    assertThat(b.x()).as(where).isCloseTo(a.x(), near());
    assertThat(b.y()).as(where).isCloseTo(a.y(), near());
    assertThat(b.width()).as(where).isCloseTo(a.width(), near());
    assertThat(b.height()).as(where).isCloseTo(a.height(), near());
  }

  /** Where a column stands in its row. */
  private static Box inRow(Node row, Node column, Drawn drawn) {
    Box outer = drawn.box(row.id());
    Box inner = drawn.box(column.id());
    return new Box(inner.x() - outer.x(), inner.y() - outer.y(), inner.width(), inner.height());
  }

  private static void drawnTheSame(Node before, Node after) {
    for (Device device : Device.values()) {
      Drawn was = draw(before, device);
      Drawn is = draw(after, device);
      for (Node node : after.all()) {
        if (node.kind().isElement() && was.boxes().containsKey(node.id().value())) {
          same(was.box(node.id()), is.box(node.id()), device + " " + node.id());
        }
      }
    }
  }

  @Test
  void whatIsFoundNeedlessCanGoWithoutABoxMoving() {
    GeneratedPages generator = new GeneratedPages(new Random(SEED));
    int found = 0;
    for (int i = 0; i < 2; i++) {
      Node page = generator.page();
      for (Node node : page.all()) {
        if (node.kind().isElement() && next % 3 != 0) {
          page = changed(page, new Wrapping(bench(page)).wrap(List.of(node.id()), Kind.BOX));
        }
        next++;
      }
      Node unwrapped = page;
      List<NodeId> needless = new Wrapping(bench(page)).needless(page.id());
      for (NodeId id : needless) {
        unwrapped = changed(unwrapped, new Wrapping(bench(unwrapped)).unwrap(id));
      }
      found += needless.size();
      drawnTheSame(page, unwrapped);
    }
    assertThat(found).isGreaterThan(20);
  }

  @Test
  void aRowOfOneColumnAroundOneThingIsNeedlessAndAPaintedBoxIsNot() {
    Node text = element("t", Kind.TEXT, "Bring gloves");
    Node column = Node.of(NodeId.of("c"), Kind.COLUMN, "").withChildren(List.of(text));
    Node row = Node.of(NodeId.of("r"), Kind.ROW, "").withChildren(List.of(column));
    Node painted =
        Node.of(NodeId.of("b"), Kind.BOX, "")
            .withStyle(StyleKey.parse("background-color"), StyleValue.literal("#e6e0d0"))
            .withChildren(List.of(element("u", Kind.TEXT, "Keep the gate shut")));
    Node section =
        Node.of(NodeId.of("s"), Kind.SECTION, "")
            .withStyle(StyleKey.parse("padding-top"), StyleValue.literal("20px"))
            .withChildren(List.of(row, painted));
    Node page = Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(List.of(section));
    assertThat(new Wrapping(bench(page)).needless(page.id())).containsExactly(row.id());
  }

  private static Node element(String id, Kind kind, String words) {
    return Node.of(NodeId.of(id), kind, "").withContent("words", new FieldValue.Words(words));
  }

  @Test
  void theSameMarginsAndTypeSettingsAreGatheredWithoutABoxMoving() {
    Node page = Node.of(NodeId.of("page"), Kind.PAGE, "");
    List<Node> sections = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      List<Node> children = new ArrayList<>();
      for (int k = 0; k < 3; k++) {
        Node text = element("t" + i + k, Kind.TEXT, "The water is off from November to March");
        text = text.withStyle(StyleKey.parse("color"), StyleValue.literal("#224433"));
        text = text.withStyle(StyleKey.parse("font-size@phone"), StyleValue.literal("15px"));
        if (k < 2 || i % 2 == 0) {
          text =
              text.withStyle(StyleKey.parse("margin-bottom"), StyleValue.literal((8 + i) + "px"));
        }
        children.add(text);
      }
      sections.add(
          Node.of(NodeId.of("s" + i), Kind.SECTION, "")
              .withStyle(StyleKey.parse("row-gap"), StyleValue.literal(i + "px"))
              .withChildren(children));
    }
    page = page.withChildren(sections);
    Node gathered = page;
    for (Node section : sections) {
      List<Settings.Gathered> found = new Settings(bench(gathered)).gatherable(section.id());
      assertThat(found).extracting(g -> g.property().key()).contains("color", "margin-top");
      for (Settings.Gathered each : found) {
        gathered = changed(gathered, each.edit());
      }
    }
    for (Node text : gathered.all()) {
      if (text.kind() == Kind.TEXT) {
        assertThat(text.styles()).isEmpty();
      }
    }
    drawnTheSame(page, gathered);
  }

  @Test
  void anElementPutBesideAnotherStandsInTheSameLine() {
    Node section =
        Node.of(NodeId.of("s"), Kind.SECTION, "")
            .withChildren(
                List.of(element("h", Kind.HEADING, "The tool shed"), element("t", Kind.TEXT, "x")));
    Node page = Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(List.of(section));
    Edit beside =
        new Landing(bench(page))
            .beside(NodeId.of("h"), false, new Landing.Carried(List.of(NodeId.of("t"))));
    Drawn drawn = draw(changed(page, beside), Device.DESKTOP);
    assertThat(drawn.box(NodeId.of("t")).x()).isEqualTo(0);
    assertThat(drawn.box(NodeId.of("h")).x()).isEqualTo(640);
    assertThat(drawn.box(NodeId.of("h")).y()).isEqualTo(drawn.box(NodeId.of("t")).y());
  }
}
