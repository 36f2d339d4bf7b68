package goodbones.structure;

import goodbones.document.Catalogue;
import goodbones.document.Columns;
import goodbones.document.Columns.Share;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.style.Cascade;
import goodbones.style.Flow;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Edits of the columns of a row: how many there are and how they share it. */
public final class RowEdits {
  /** One column to a line. */
  static final String STACKED = "12";

  private static final double LEAST = 0.25;
  private static final double HUNDRED = 100;
  private final Bench bench;

  public RowEdits(Bench bench) {
    this.bench = bench;
  }

  private Node row(NodeId id) {
    Node row = bench.need(id);
    if (row.kind() != Kind.ROW) {
      throw Refused.at(row, "Only a row has columns; this is a " + row.kind().word());
    }
    return row;
  }

  /**
   * Says how a row's columns share it, from a device on. Widths said for a wide device would reach
   * the phone, so the columns are stacked there unless the row says something for it.
   *
   * @throws Refused if the text does not say column widths
   */
  public Edit share(NodeId rowId, Device device, String columns) {
    Node row = row(rowId);
    if (Columns.read(columns).isEmpty()) {
      throw Refused.at(
          row,
          "“"
              + columns
              + "” does not say column widths: give "
              + StyleProperty.COLUMNS.type().form());
    }
    List<Edit> edits = new ArrayList<>();
    edits.add(set(row, device, columns));
    stacked(row, device).ifPresent(edits::add);
    return new Edit.Group(edits);
  }

  /** What keeps columns stacked on the phone when widths are set for a wider device. */
  public static Optional<Edit> stacked(Node row, Device set) {
    boolean said = row.styles().containsKey(StyleKey.of(StyleProperty.COLUMNS, Device.PHONE));
    return set == Device.PHONE || said
        ? Optional.empty()
        : Optional.of(set(row, Device.PHONE, STACKED));
  }

  private static Edit set(Node row, Device device, String columns) {
    return new Edit.SetStyle(
        row.id(),
        StyleKey.of(StyleProperty.COLUMNS, device),
        Optional.of(StyleValue.literal(columns)));
  }

  /**
   * Puts new columns into a row, with which all share it equally.
   *
   * @param columns of kind column, not in the document yet
   * @throws Refused if a row cannot have so many
   */
  public Edit add(NodeId rowId, int index, List<Node> columns) {
    Node row = row(rowId);
    int count = row.children().size() + columns.size();
    requireRoom(row, count);
    List<Edit> edits = new ArrayList<>();
    for (int i = 0; i < columns.size(); i++) {
      edits.add(new Edit.Insert(rowId, index + i, columns.get(i)));
    }
    edits.addAll(equally(row));
    return new Edit.Group(edits);
  }

  static void requireRoom(Node row, int count) {
    if (count > Catalogue.COLUMN_LIMIT) {
      throw Refused.at(
          row,
          "A row holds at most "
              + Catalogue.COLUMN_LIMIT
              + " columns; put the rest into a second row");
    }
  }

  /** Makes every width that was said column by column an equal share. */
  static List<Edit> equally(Node row) {
    List<Edit> edits = new ArrayList<>();
    int before = row.children().size();
    for (Device device : Device.values()) {
      said(row, device)
          .filter(columns -> oneLine(columns, before) && before > 1)
          .ifPresent(columns -> edits.add(set(row, device, Columns.EQUAL.toString())));
    }
    return edits;
  }

  private static Optional<Columns> said(Node row, Device device) {
    StyleValue value = row.styles().get(StyleKey.of(StyleProperty.COLUMNS, device));
    return value == null ? Optional.empty() : Columns.read(value.toString());
  }

  /** Whether widths are said for exactly so many columns, side by side. */
  private static boolean oneLine(Columns columns, int count) {
    if (columns instanceof Columns.Twelfths twelfths) {
      double sum = twelfths.shares().stream().mapToDouble(Share::taken).sum();
      return twelfths.shares().size() == count && sum <= Columns.TWELFTHS + 0.001;
    }
    return columns instanceof Columns.Percent percent && percent.shares().size() == count;
  }

  /**
   * Takes a column and what is in it away; its neighbour gets its share. With the last column goes
   * the row.
   */
  public Edit remove(NodeId columnId) {
    Node column = bench.need(columnId);
    Node row = bench.needParent(column);
    if (row.children().size() == 1) {
      return new Edit.Remove(row.id());
    }
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.Remove(columnId));
    edits.addAll(without(row, row.indexOf(columnId)));
    return new Edit.Group(edits);
  }

  /** What has to be said of the widths when a column leaves a row. */
  static List<Edit> without(Node row, int index) {
    List<Edit> edits = new ArrayList<>();
    int count = row.children().size();
    for (Device device : Device.values()) {
      said(row, device)
          .filter(columns -> oneLine(columns, count))
          .ifPresent(columns -> edits.add(set(row, device, without(columns, index).toString())));
    }
    return edits;
  }

  private static Columns without(Columns columns, int index) {
    int heir = index == 0 ? 1 : index - 1;
    if (columns instanceof Columns.Percent percent) {
      List<Double> shares = new ArrayList<>(percent.shares());
      shares.set(heir, shares.get(heir) + shares.get(index));
      shares.remove(index);
      return new Columns.Percent(shares);
    }
    List<Share> shares = new ArrayList<>(((Columns.Twelfths) columns).shares());
    Share gone = shares.get(index);
    Share takes = shares.get(heir);
    shares.set(heir, new Share(takes.offset(), takes.width() + gone.taken(), takes.after()));
    shares.remove(index);
    return new Columns.Twelfths(shares);
  }

  /**
   * Gives a row so many columns that share it as said. What stood in columns that are too many goes
   * to the end of the last one that stays: nothing is lost.
   */
  public Edit layOut(NodeId rowId, Columns columns, int count) {
    Node row = row(rowId);
    if (count < 1) {
      throw Refused.at(row, "A row has at least one column, not " + count);
    }
    requireRoom(row, count);
    List<Edit> edits = new ArrayList<>();
    Fresh fresh = new Fresh(bench.ids());
    int now = row.children().size();
    for (int i = now; i < count; i++) {
      edits.add(new Edit.Insert(rowId, i, fresh.of(Kind.COLUMN)));
    }
    if (count < now) {
      Node last = row.children().get(count - 1);
      int at = last.children().size();
      for (Node surplus : row.children().subList(count, now)) {
        for (Node content : surplus.children()) {
          edits.add(new Edit.Move(content.id(), last.id(), at++));
        }
        edits.add(new Edit.Remove(surplus.id()));
      }
    }
    edits.add(set(row, Device.DESKTOP, columns.toString()));
    stacked(row, Device.DESKTOP).ifPresent(edits::add);
    StyleKey tablet = StyleKey.of(StyleProperty.COLUMNS, Device.TABLET);
    if (said(row, Device.TABLET).filter(c -> oneLine(c, now) && now != count).isPresent()) {
      edits.add(new Edit.SetStyle(rowId, tablet, Optional.empty()));
    }
    return new Edit.Group(edits);
  }

  /**
   * Moves the line between two neighbouring columns; the two together stay as wide as they were.
   *
   * @param columnId the left one of the two
   * @param width what it is to be, in the row's {@link Unit} on that device
   * @param free whether any width will do; otherwise it snaps to whole twelfths, or per cents
   * @throws Refused if nothing stands to its right in the same line
   */
  public Edit resize(NodeId columnId, Device device, double width, boolean free) {
    Node column = bench.need(columnId);
    Node row = row(bench.needParent(column).id());
    Cascade cascade = bench.cascade();
    Columns columns = Flow.columns(row, cascade, device);
    int left = row.indexOf(columnId);
    int right =
        neighbour(Flow.grid(row, cascade, device), left)
            .orElseThrow(
                () ->
                    Refused.at(
                        column, "No column stands to its right in this line; set its own width"));
    int count = row.children().size();
    if (columns instanceof Columns.Percent percent) {
      return share(row.id(), device, percentPair(percent, left, right, width, free).toString());
    }
    List<Share> shares = explicit(columns, pattern(columns, count));
    left %= shares.size();
    right %= shares.size();
    double sum = shares.get(left).width() + shares.get(right).width();
    double given = Unit.TWELFTHS.divided(sum, width, free);
    shares.set(left, new Share(shares.get(left).offset(), given, shares.get(left).after()));
    shares.set(right, new Share(shares.get(right).offset(), hundredths(sum - given)));
    return share(row.id(), device, fitting(row, shares).toString());
  }

  /** What the widths of a row's columns are said in. */
  public enum Unit {
    TWELFTHS(LEAST),
    PER_CENT(1);

    private final double least;

    Unit(double least) {
      this.least = least;
    }

    /** The unit of a row's columns on a device. */
    public static Unit of(Node row, Cascade cascade, Device device) {
      return Flow.columns(row, cascade, device) instanceof Columns.Percent ? PER_CENT : TWELFTHS;
    }

    /**
     * What the left one of two neighbouring columns gets of what both have.
     *
     * @param both the width of the two together, in this unit
     * @param wanted the width that the left one is to have
     * @param free whether in hundredths; otherwise in whole ones
     * @return so much that something is left for either
     */
    public double divided(double both, double wanted, boolean free) {
      double smallest = Math.min(free ? least : 1, both / 2);
      double rounded = free ? hundredths(wanted) : Math.round(wanted);
      return Math.max(smallest, Math.min(rounded, both - smallest));
    }
  }

  private static double hundredths(double value) {
    return Math.round(value * HUNDRED) / HUNDRED;
  }

  /**
   * Gives one column a width and an offset of its own; the others keep theirs.
   *
   * @param share such as {@code 3} or {@code 1+3}, in twelfths
   */
  public Edit own(NodeId columnId, Device device, String share) {
    Node column = bench.need(columnId);
    Node row = row(bench.needParent(column).id());
    Share own =
        Columns.read(share)
            .filter(Columns.Twelfths.class::isInstance)
            .map(columns -> ((Columns.Twelfths) columns).shares())
            .filter(shares -> shares.size() == 1)
            .map(shares -> shares.get(0))
            .orElseThrow(
                () ->
                    Refused.at(
                        column,
                        "“"
                            + share
                            + "” is no width: give twelfths such as 4, or 1+3 for an offset of 1"
                            + " and a width of 3"));
    Columns columns = Flow.columns(row, bench.cascade(), device);
    List<Share> shares = explicit(columns, row.children().size());
    shares.set(row.indexOf(columnId), own);
    return share(row.id(), device, fitting(row, shares).toString());
  }

  private static Columns.Twelfths fitting(Node row, List<Share> shares) {
    Columns.Twelfths twelfths = new Columns.Twelfths(shares);
    if (Columns.read(twelfths.toString()).isEmpty()) {
      throw Refused.at(
          row,
          "Together its columns would take more than twelve twelfths ("
              + twelfths
              + "); make another one narrower first, or use whole twelfths, which wrap");
    }
    return twelfths;
  }

  /** How many shares say it all: the rest of the columns repeats them. */
  private static int pattern(Columns columns, int count) {
    if (columns instanceof Columns.Equal equal && equal.perLine() > 0) {
      return Math.min(equal.perLine(), count);
    }
    if (columns instanceof Columns.Twelfths twelfths && count % twelfths.shares().size() == 0) {
      return twelfths.shares().size();
    }
    return count;
  }

  /** A share for every column, written out. */
  static List<Share> explicit(Columns columns, int count) {
    List<Share> shares = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      Share share = columns.share(i, count);
      shares.add(new Share(share.offset(), hundredths(share.width())));
    }
    return shares;
  }

  private static Optional<Integer> neighbour(Columns.Grid grid, int column) {
    List<Columns.Cell> cells = grid.cells();
    for (int i = 0; i + 1 < cells.size(); i++) {
      if (cells.get(i).column() == column && cells.get(i + 1).line() == cells.get(i).line()) {
        return Optional.of(cells.get(i + 1).column());
      }
    }
    return Optional.empty();
  }

  private static Columns percentPair(
      Columns.Percent percent, int left, int right, double width, boolean free) {
    int size = percent.shares().size();
    List<Double> shares = new ArrayList<>(percent.shares());
    double sum = shares.get(left % size) + shares.get(right % size);
    double given = Unit.PER_CENT.divided(sum, width, free);
    shares.set(left % size, given);
    shares.set(right % size, hundredths(sum - given));
    return new Columns.Percent(shares);
  }

  /** More than six columns in a line are seldom readable (common practice): then a hint. */
  public static Optional<String> hint(Node row, Cascade cascade, Device device) {
    long most =
        Flow.grid(row, cascade, device).cells().stream()
            .collect(
                java.util.stream.Collectors.groupingBy(
                    Columns.Cell::line, java.util.stream.Collectors.counting()))
            .values()
            .stream()
            .mapToLong(Long::longValue)
            .max()
            .orElse(0);
    return most > Columns.READABLE
        ? Optional.of(
            most
                + " columns in one line are hard to read; "
                + Columns.READABLE
                + " or fewer are better. Let them wrap, for example with “equal 4”")
        : Optional.empty();
  }
}
