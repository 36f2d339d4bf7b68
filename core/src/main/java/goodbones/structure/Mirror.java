package goodbones.structure;

import goodbones.document.Catalogue;
import goodbones.document.Columns;
import goodbones.document.Columns.Cell;
import goodbones.document.Columns.Share;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.style.Cascade;
import goodbones.style.Flow;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Turns a section round: what stood left stands right. The columns of its outermost rows change
 * sides, with their widths, offsets and distances; what stands in a column stays as it is, for
 * words are read from the same side. Where columns stand one below the other, their order stays.
 * Where widths repeat line by line, a last line that is not full goes on beginning where lines
 * begin.
 */
public final class Mirror {
  private static final Map<StyleProperty, StyleProperty> SIDES =
      Map.of(
          StyleProperty.PADDING_LEFT, StyleProperty.PADDING_RIGHT,
          StyleProperty.PADDING_RIGHT, StyleProperty.PADDING_LEFT,
          StyleProperty.MARGIN_LEFT, StyleProperty.MARGIN_RIGHT,
          StyleProperty.MARGIN_RIGHT, StyleProperty.MARGIN_LEFT);
  private final Bench bench;
  private final Cascade cascade;

  public Mirror(Bench bench) {
    this.bench = bench;
    this.cascade = bench.cascade();
  }

  /**
   * @param id a section, a row, or a column or element, which stands for its row
   * @throws Refused if it holds nothing that stands side by side
   */
  public Edit mirror(NodeId id) {
    Node node = bench.need(id);
    List<Node> rows = new ArrayList<>();
    outermostRows(node, rows);
    rows.removeIf(row -> row.children().size() < 2);
    if (rows.isEmpty()) {
      throw Refused.at(node, "Nothing in it stands side by side, so there is nothing to mirror");
    }
    List<Edit> edits = new ArrayList<>();
    if (node.kind() == Kind.SECTION) {
      swapSides(node, edits);
    }
    rows.forEach(row -> row(row, edits));
    return new Edit.Group(edits);
  }

  private static void outermostRows(Node node, List<Node> rows) {
    if (node.kind() == Kind.ROW) {
      rows.add(node);
    } else {
      node.children().forEach(child -> outermostRows(child, rows));
    }
  }

  private void row(Node row, List<Edit> edits) {
    Map<Device, List<Integer>> wanted = new HashMap<>();
    for (Device device : Device.values()) {
      wanted.put(device, mirrored(Flow.grid(row, cascade, device)));
    }
    List<Integer> order = mirrored(whole(row));
    reorder(row, order, edits);
    shares(row, order, edits);
    orders(row, order, wanted, edits);
    spread(row, edits);
    swapSides(row, edits);
    row.children().forEach(column -> swapSides(column, edits));
  }

  private static List<Integer> wanted(Map<Device, List<Integer>> wanted, Device device) {
    return java.util.Objects.requireNonNull(wanted.get(device));
  }

  /** The columns as they are to stand: turned round in each line. */
  private static List<Integer> mirrored(Columns.Grid grid) {
    List<Integer> columns = new ArrayList<>();
    List<Integer> line = new ArrayList<>();
    int at = 0;
    for (Cell cell : grid.cells()) {
      if (cell.line() != at) {
        Collections.reverse(line);
        columns.addAll(line);
        line = new ArrayList<>();
        at = cell.line();
      }
      line.add(cell.column());
    }
    Collections.reverse(line);
    columns.addAll(line);
    return columns;
  }

  /** The grid on the desktop with those columns too that are not shown there: they turn as well. */
  private Columns.Grid whole(Node row) {
    List<Integer> all = new ArrayList<>();
    for (int i = 0; i < row.children().size(); i++) {
      all.add(i);
    }
    all.sort(
        Comparator.comparingInt(i -> Flow.order(row.children().get(i), cascade, Device.DESKTOP)));
    return Flow.columns(row, cascade, Device.DESKTOP).grid(all);
  }

  private static void reorder(Node row, List<Integer> order, List<Edit> edits) {
    for (int i = 0; i < order.size(); i++) {
      edits.add(new Edit.Move(row.children().get(order.get(i)).id(), row.id(), i));
    }
  }

  /** Every column keeps its width; the room that was free on one side is free on the other. */
  private void shares(Node row, List<Integer> order, List<Edit> edits) {
    Map<Device, Columns> now = new HashMap<>();
    Map<Device, Columns> then = new HashMap<>();
    for (Device device : Device.values()) {
      Columns columns = Flow.columns(row, cascade, device);
      now.put(device, columns);
      then.put(device, mirrored(row, columns, Flow.grid(row, cascade, device), order));
    }
    boolean changed = false;
    for (Device device : Device.values()) {
      changed |= !now.get(device).equals(then.get(device));
      if (changed) {
        edits.add(set(row, StyleProperty.COLUMNS, device, then.get(device).toString()));
      }
    }
  }

  private static Columns mirrored(
      Node row, Columns columns, Columns.Grid grid, List<Integer> order) {
    if (columns instanceof Columns.Percent percent) {
      int size = percent.shares().size();
      List<Double> shares = new ArrayList<>();
      for (int i = 0; i < size; i++) {
        shares.add(percent.shares().get(order.get(i % order.size()) % size));
      }
      return new Columns.Percent(shares);
    }
    if (!(columns instanceof Columns.Twelfths)) {
      return columns;
    }
    Columns bare = turned(row, columns, grid, order, false);
    return lines(bare, order).equals(lines(grid)) ? bare : turned(row, columns, grid, order, true);
  }

  /** How many columns stand in each line. */
  private static List<Long> lines(Columns.Grid grid) {
    List<Long> lines = new ArrayList<>();
    for (int line = 0; line < grid.lines(); line++) {
      int at = line;
      lines.add(grid.cells().stream().filter(cell -> cell.line() == at).count());
    }
    return lines;
  }

  private static List<Long> lines(Columns columns, List<Integer> order) {
    return lines(columns.grid(java.util.stream.IntStream.range(0, order.size()).boxed().toList()));
  }

  private static Columns turned(
      Node row, Columns columns, Columns.Grid grid, List<Integer> order, boolean keepFree) {
    int count = row.children().size();
    int size = Math.min(((Columns.Twelfths) columns).shares().size(), count);
    Share[] byColumn = new Share[count];
    for (int i = 0; i < count; i++) {
      byColumn[i] = columns.share(i, count);
    }
    for (int line = 0; line < grid.lines(); line++) {
      int at = line;
      List<Integer> inLine =
          grid.cells().stream().filter(c -> c.line() == at).map(Cell::column).toList();
      boolean spreads = !grid.tracks().stream().allMatch(Columns.Part.class::isInstance);
      List<Share> turned = turned(List.of(byColumn), inLine, keepFree, spreads);
      for (int i = 0; i < inLine.size(); i++) {
        byColumn[inLine.get(i)] = turned.get(i);
      }
    }
    List<Share> shares = new ArrayList<>();
    boolean repeats = size < count && !twelfthsFit(byColumn);
    for (int i = 0; i < (repeats ? size : count); i++) {
      shares.add(byColumn[order.get(i)]);
    }
    return new Columns.Twelfths(shares);
  }

  private static boolean twelfthsFit(Share[] shares) {
    List<Share> list = List.of(shares);
    return Columns.read(new Columns.Twelfths(list).toString()).isPresent();
  }

  /**
   * The shares of one line with what is free before each now free after it.
   *
   * @param keepFree whether what is free at the end of the line is said
   * @param spreads whether the row's spread says where what is free goes
   */
  private static List<Share> turned(
      List<Share> shares, List<Integer> line, boolean keepFree, boolean spreads) {
    double used = line.stream().mapToDouble(column -> shares.get(column).taken()).sum();
    double free = spreads ? 0 : Math.max(0, Math.round((Columns.TWELFTHS - used) * 100) / 100.0);
    List<Share> turned = new ArrayList<>();
    for (int i = 0; i < line.size(); i++) {
      Share share = shares.get(line.get(i));
      double between = i + 1 < line.size() ? shares.get(line.get(i + 1)).offset() : free;
      double after = i == 0 && keepFree ? share.offset() : 0;
      turned.add(new Share(share.after() + between, share.width(), after));
    }
    return turned;
  }

  /** Where another order than the document's is wanted on a device, it is said; else not. */
  private void orders(
      Node row, List<Integer> order, Map<Device, List<Integer>> wanted, List<Edit> edits) {
    boolean said = false;
    for (Device device : Device.values()) {
      List<Integer> here = wanted(wanted, device);
      boolean natural = order.stream().filter(here::contains).toList().equals(here);
      for (Node column : row.children()) {
        int place = here.indexOf(row.indexOf(column.id()));
        Optional<StyleValue> value =
            natural
                ? said ? Optional.of(StyleValue.literal("0")) : Optional.empty()
                : Optional.of(StyleValue.literal(String.valueOf(Math.max(0, place))));
        StyleKey key = StyleKey.of(StyleProperty.ORDER, device);
        Optional<StyleValue> before = Optional.ofNullable(column.styles().get(key));
        if (!value.equals(before)) {
          edits.add(new Edit.SetStyle(column.id(), key, value));
        }
      }
      said |= !natural;
    }
  }

  private void spread(Node row, List<Edit> edits) {
    boolean changed = false;
    for (Device device : Device.values()) {
      String now = cascade.won(row, StyleProperty.SPREAD, device, State.NORMAL).css();
      String turned = now.equals("start") ? "end" : now.equals("end") ? "start" : now;
      boolean leavesRoom =
          Flow.grid(row, cascade, device).tracks().stream()
              .noneMatch(Columns.Part.class::isInstance);
      boolean turns = !turned.equals(now) && (leavesRoom || now.equals("end"));
      changed |= turns;
      if (changed) {
        edits.add(set(row, StyleProperty.SPREAD, device, turns ? turned : now));
      }
    }
  }

  private static Edit set(Node node, StyleProperty property, Device device, String css) {
    return new Edit.SetStyle(
        node.id(), StyleKey.of(property, device), Optional.of(StyleValue.literal(css)));
  }

  /** What a container says of its left it says of its right, wherever it differs. */
  private void swapSides(Node node, List<Edit> edits) {
    for (StyleProperty left : List.of(StyleProperty.PADDING_LEFT, StyleProperty.MARGIN_LEFT)) {
      StyleProperty right = java.util.Objects.requireNonNull(SIDES.get(left));
      if (!Catalogue.hasStyle(node.kind(), left)) {
        continue;
      }
      boolean changed = false;
      for (Device device : Device.values()) {
        Optional<StyleValue> l = worth(node, left, device);
        Optional<StyleValue> r = worth(node, right, device);
        changed |= !l.equals(r);
        if (changed) {
          edits.add(new Edit.SetStyle(node.id(), StyleKey.of(left, device), r));
          edits.add(new Edit.SetStyle(node.id(), StyleKey.of(right, device), l));
        }
      }
    }
  }

  private Optional<StyleValue> worth(Node node, StyleProperty property, Device device) {
    return cascade.won(node, property, device, State.NORMAL).value();
  }
}
