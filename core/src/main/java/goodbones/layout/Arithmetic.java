package goodbones.layout;

import static goodbones.document.StyleProperty.MAX_WIDTH;
import static goodbones.document.StyleProperty.WIDTH;

import goodbones.document.Columns;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.layout.Styles.Sides;
import goodbones.style.Cascade;
import goodbones.style.Flow;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * Computes where every box of a shown page stands, in CSS px, as a browser does that follows CSS
 * Grid Layout 2, Flexbox 1 and Box Alignment 3 on the CSS that the renderer writes.
 *
 * <p>Widths and horizontal places are exact; heights are, as far as {@link Measured} tells those of
 * words. Nodes that are hidden on the screen's device have no box.
 */
public final class Arithmetic {
  private static final String STRETCH = "stretch";
  private static final String BETWEEN = "space-between";

  /** Browsers count in 1/64 px; what fits but for that fits. */
  private final Styles styles;

  private final Measured measured;
  private final Map<NodeId, Box> boxes = new LinkedHashMap<>();
  private final Map<NodeId, Map<Double, Double>> heights = new HashMap<>();

  private Arithmetic(Styles styles, Measured measured) {
    this.styles = styles;
    this.measured = measured;
  }

  /**
   * @param page of kind page, as shown
   * @param cascade of that page
   * @return the border box of every node that is drawn, from where the screen's room begins
   */
  public static Map<NodeId, Box> boxes(
      Node page, Cascade cascade, Screen screen, Measured measured) {
    Arithmetic arithmetic = new Arithmetic(new Styles(page, cascade, screen), measured);
    double width = screen.room().width(screen);
    arithmetic.place(page, 0, 0, width, arithmetic.height(page, width));
    return Collections.unmodifiableMap(arithmetic.boxes);
  }

  /** A child in its container: its place in line, its width, its margins. */
  private record Item(Node node, double x, double width, Sides margin) {}

  /** Items that stand side by side, and how high they are together. */
  private record Line(List<Item> items, double height) {}

  private List<Node> shown(Node container) {
    return Flow.shown(container, styles.cascade(), styles.device());
  }

  private Sides edges(Node node, double base) {
    return node.kind() == Kind.PAGE
        ? new Sides(0, 0, 0, 0)
        : styles.border(node).and(styles.padding(node, base));
  }

  /** The height of a border box of a given width, where nothing stretches it. */
  private double height(Node node, double width) {
    Double known = heights.computeIfAbsent(node.id(), id -> new HashMap<>()).get(width);
    if (known == null) {
      known = freshHeight(node, width);
      Objects.requireNonNull(heights.get(node.id())).put(width, known);
    }
    return known;
  }

  private double freshHeight(Node node, double width) {
    if (node.kind() == Kind.PICTURE) {
      return pictureHeight(node, width);
    } else if (!node.kind().holdsOthers()) {
      return measured.height(node, width);
    }
    Sides edges = edges(node, width);
    List<Line> lines = lines(node, width - edges.across());
    double inner = sum(lines, gap(node));
    double least =
        node.kind() == Kind.PAGE ? 0 : styles.size(node, StyleProperty.MIN_HEIGHT, 0).orElse(0.0);
    return Math.max(inner + edges.down(), least);
  }

  private double pictureHeight(Node node, double width) {
    String ratio = styles.css(node, StyleProperty.PICTURE_RATIO);
    Sides border = styles.border(node);
    if (ratio.equals("auto")) {
      return (width - border.across()) / measured.ratio(node) + border.down();
    }
    String[] parts = ratio.split("/");
    double through = Double.parseDouble(parts[1].strip()) / Double.parseDouble(parts[0].strip());
    return Math.max(border.down(), width * through);
  }

  private static double sum(List<Line> lines, double gap) {
    return lines.stream().mapToDouble(Line::height).sum() + gap * Math.max(0, lines.size() - 1);
  }

  private double gap(Node node) {
    return node.kind() == Kind.PAGE ? 0 : styles.px(node, StyleProperty.ROW_GAP, 0);
  }

  private boolean isAcross(Node node) {
    return styles.css(node, StyleProperty.FLOW).equals("across");
  }

  private List<Line> lines(Node node, double inner) {
    if (node.kind() == Kind.ROW) {
      return rowLines(node, inner);
    }
    return isAcross(node) ? acrossLines(node, inner) : downLines(node, inner);
  }

  /** One below the other in one centred track. */
  private List<Line> downLines(Node node, double inner) {
    List<Line> lines = new ArrayList<>();
    for (Node child : shown(node)) {
      double track = inner;
      double from = 0;
      if (node.kind() == Kind.PAGE && child.kind() != Kind.SECTION) {
        double left = Math.max(0, styles.px(node, StyleProperty.PADDING_LEFT, inner));
        double right = Math.max(0, styles.px(node, StyleProperty.PADDING_RIGHT, inner));
        double room = Math.max(0, inner - left - right);
        track = styles.size(node, StyleProperty.CONTENT_WIDTH, inner).orElse(inner);
        track = Math.min(track, room);
        from = sideTrack(left, right, inner - track);
      } else if (node.kind() == Kind.SECTION) {
        track =
            Math.min(inner, styles.size(node, StyleProperty.CONTENT_WIDTH, inner).orElse(inner));
        from = (inner - track) / 2;
      }
      lines.add(alone(item(child, from, track)));
    }
    return lines;
  }

  /** What the left of two flexible tracks takes, each at least its side (CSS Grid 2, 12.7). */
  private static double sideTrack(double left, double right, double both) {
    double half = both / 2;
    if (left > half) {
      return left;
    }
    return right > half ? both - right : half;
  }

  private Line alone(Item item) {
    return new Line(List.of(item), tallest(List.of(item)));
  }

  /** How high a line is; never less than nothing, whatever the margins in it. */
  private double tallest(List<Item> items) {
    return Math.max(0, items.stream().mapToDouble(this::outerHeight).max().orElse(0));
  }

  private double outerHeight(Item item) {
    return height(item.node(), item.width()) + item.margin().down();
  }

  /** A child in a track of a grid. */
  private Item item(Node child, double from, double track) {
    Sides margin = styles.margin(child, track);
    double room = track - margin.across();
    boolean autoLeft = styles.isAuto(child, StyleProperty.MARGIN_LEFT);
    boolean autoRight = styles.isAuto(child, StyleProperty.MARGIN_RIGHT);
    String place = styles.css(child, StyleProperty.PLACE);
    double width = itemWidth(child, track, room, autoLeft || autoRight || !place.equals(STRETCH));
    double free = room - width;
    double shift =
        switch (place) {
          case "center" -> free / 2;
          case "end" -> free;
          default -> 0;
        };
    if (autoLeft || autoRight) {
      shift = autoLeft ? Math.max(0, free) / (autoRight ? 2 : 1) : 0;
    }
    return new Item(child, from + margin.left() + shift, width, margin);
  }

  /** A picture is as wide as its place less its margins; less none if one of them is auto. */
  private double pictureWidth(Node picture, double place, double room) {
    return styles.isAuto(picture, StyleProperty.MARGIN_LEFT)
            || styles.isAuto(picture, StyleProperty.MARGIN_RIGHT)
        ? place
        : room;
  }

  private double itemWidth(Node child, double track, double room, boolean shrinks) {
    Optional<Double> said = styles.size(child, WIDTH, track);
    double width;
    if (said.isPresent()) {
      width = said.get();
    } else if (child.kind() == Kind.PICTURE) {
      width = pictureWidth(child, track, room);
    } else {
      width =
          shrinks ? Math.max(content(child, false), Math.min(content(child, true), room)) : room;
    }
    double most = styles.size(child, MAX_WIDTH, track).orElse(Double.POSITIVE_INFINITY);
    return Math.max(edges(child, track).across(), Math.min(width, most));
  }

  /**
   * The width of a border box that its content gives (CSS Sizing 3, 5.1).
   *
   * @param most with words in as few lines as they say; otherwise broken wherever they can be
   */
  private double content(Node node, boolean most) {
    double edges = edges(node, 0).across();
    boolean compressible =
        node.kind() == Kind.PICTURE && (isShare(node, WIDTH) || isShare(node, MAX_WIDTH));
    if (compressible && !most) {
      return edges;
    }
    double given = fixed(node, WIDTH).orElseGet(() -> natural(node, most));
    double greatest = fixed(node, MAX_WIDTH).orElse(Double.POSITIVE_INFINITY);
    return Math.max(edges, Math.min(given, greatest));
  }

  private double natural(Node node, boolean most) {
    if (node.kind() == Kind.ROW) {
      return ofColumns(node, most) + edges(node, 0).across();
    } else if (node.kind().holdsOthers()) {
      return ofChildren(node, most) + edges(node, 0).across();
    }
    if (node.kind() == Kind.PICTURE) {
      return measured.width(node) + edges(node, 0).across();
    }
    return most ? measured.width(node) : measured.narrowest(node);
  }

  /** Whether a width is a share of what is around; a picture is as wide as its place. */
  private boolean isShare(Node node, StyleProperty property) {
    String css = styles.css(node, property);
    return css.contains("%")
        || node.kind() == Kind.PICTURE && property == WIDTH && css.equals("auto");
  }

  /** A size that does not depend on what is around; shares count as none there. */
  private Optional<Double> fixed(Node node, StyleProperty property) {
    return styles.css(node, property).contains("%")
        ? Optional.empty()
        : styles.size(node, property, 0);
  }

  private double outerContent(Node child, boolean most) {
    return content(child, most) + styles.margin(child, 0).across();
  }

  /**
   * Side by side they add up; one below the other they stand in a track that shrinks to nothing.
   */
  private double ofChildren(Node node, boolean most) {
    boolean across = isAcross(node);
    if (!most && !across) {
      return 0;
    }
    double widest = 0;
    double together = 0;
    for (Node child : shown(node)) {
      widest = Math.max(widest, outerContent(child, most && !across));
      together += most && across ? outerContent(child, true) : 0;
    }
    if (most && across) {
      double gap = styles.px(node, StyleProperty.COLUMN_GAP, 0);
      together += gap * Math.max(0, shown(node).size() - 1);
    }
    return Math.max(widest, together);
  }

  /**
   * The width of a row that its columns give. Flexible tracks are all as wide as the one that needs
   * most, and nothing at least (CSS Grid 2, 12.7.1); shares of the row are as wide as what stands
   * in them (CSS Grid 2, 7.2.1).
   */
  private double ofColumns(Node row, boolean most) {
    Columns.Grid grid = Flow.grid(row, styles.cascade(), styles.device());
    double gap = styles.px(row, StyleProperty.COLUMN_GAP, 0);
    double gaps = gap * (grid.tracks().size() - 1);
    boolean flexible = grid.tracks().stream().allMatch(Columns.Part.class::isInstance);
    if (flexible && !most) {
      return gaps;
    }
    double[] tracks = new double[grid.tracks().size()];
    for (Columns.Cell cell : grid.cells()) {
      Node column = row.children().get(cell.column());
      double outer = most ? outerContent(column, true) : leastOuter(column);
      double each = (outer - gap * (cell.span() - 1)) / cell.span();
      tracks[cell.track()] = Math.max(tracks[cell.track()], each);
    }
    double together =
        flexible
            ? Arrays.stream(tracks).max().orElse(0) * tracks.length
            : Arrays.stream(tracks).sum();
    return together + gaps;
  }

  private double leastOuter(Node column) {
    return edges(column, 0).across() + styles.margin(column, 0).across();
  }

  /** Side by side, each as wide as it is, wrapping where there is no room. */
  private List<Line> acrossLines(Node node, double inner) {
    double gap = styles.px(node, StyleProperty.COLUMN_GAP, inner);
    List<Line> lines = new ArrayList<>();
    List<FlexLine.Item> open = new ArrayList<>();
    long used = 0;
    for (Node child : shown(node)) {
      FlexLine.Item item = flexItem(child, inner);
      long outer = steps(item.outer());
      if (!open.isEmpty() && used + steps(gap) + outer > steps(inner)) {
        lines.add(line(node, open, inner, gap));
        open = new ArrayList<>();
        used = 0;
      }
      used += (open.isEmpty() ? 0 : steps(gap)) + outer;
      open.add(item);
    }
    if (!open.isEmpty()) {
      lines.add(line(node, open, inner, gap));
    }
    return lines;
  }

  /** Chromium lays out in steps of 1/64 px; a length in between is cut off. */
  private static long steps(double px) {
    return (long) Math.floor(px * 64 + 1e-6);
  }

  private FlexLine.Item flexItem(Node child, double inner) {
    Sides margin = styles.margin(child, inner);
    double base =
        styles
            .size(child, WIDTH, inner)
            .orElseGet(
                () ->
                    child.kind() == Kind.PICTURE
                        ? pictureWidth(child, inner, inner - margin.across())
                        : content(child, true));
    double greatest = styles.size(child, MAX_WIDTH, inner).orElse(Double.POSITIVE_INFINITY);
    return new FlexLine.Item(child, base, edges(child, inner).across(), greatest, margin);
  }

  private Line line(Node node, List<FlexLine.Item> flexItems, double inner, double gap) {
    double[] widths = FlexLine.widths(flexItems, inner, gap);
    List<Item> items = new ArrayList<>();
    double x = 0;
    for (int i = 0; i < widths.length; i++) {
      FlexLine.Item item = flexItems.get(i);
      x += i == 0 ? 0 : gap;
      items.add(new Item(item.node(), x + item.margin().left(), widths[i], item.margin()));
      x += widths[i] + item.margin().across();
    }
    return spread(node, items, inner - x);
  }

  private Line spread(Node node, List<Item> items, double free) {
    long autos = items.stream().mapToLong(this::autos).sum();
    if (autos > 0 && free > 0) {
      return pushedApart(items, free / autos);
    }
    double before = 0;
    double between = 0;
    switch (styles.css(node, StyleProperty.SPREAD)) {
      case "center" -> before = free / 2;
      case "end" -> before = free;
      case BETWEEN -> between = items.size() > 1 && free > 0 ? free / (items.size() - 1) : 0;
      default -> {
        // At the start there is nothing to add.
      }
    }
    List<Item> spread = new ArrayList<>();
    for (int i = 0; i < items.size(); i++) {
      Item item = items.get(i);
      spread.add(
          new Item(item.node(), item.x() + before + i * between, item.width(), item.margin()));
    }
    return new Line(spread, tallest(spread));
  }

  private long autos(Item item) {
    return (styles.isAuto(item.node(), StyleProperty.MARGIN_LEFT) ? 1 : 0)
        + (styles.isAuto(item.node(), StyleProperty.MARGIN_RIGHT) ? 1 : 0);
  }

  /** Margins that are auto share what is free (CSS Flexbox 1, 8.1). */
  private Line pushedApart(List<Item> items, double each) {
    List<Item> pushed = new ArrayList<>();
    double by = 0;
    for (Item item : items) {
      by += styles.isAuto(item.node(), StyleProperty.MARGIN_LEFT) ? each : 0;
      pushed.add(new Item(item.node(), item.x() + by, item.width(), item.margin()));
      by += styles.isAuto(item.node(), StyleProperty.MARGIN_RIGHT) ? each : 0;
    }
    return new Line(pushed, tallest(items));
  }

  private List<Line> rowLines(Node row, double inner) {
    double gap = styles.px(row, StyleProperty.COLUMN_GAP, inner);
    Columns.Grid grid = Flow.grid(row, styles.cascade(), styles.device());
    double[] widths = tracks(grid.tracks(), inner, gap);
    double[] starts = starts(widths, inner, gap, styles.css(row, StyleProperty.SPREAD));
    List<List<Item>> lines = new ArrayList<>();
    for (int i = 0; i < grid.lines(); i++) {
      lines.add(new ArrayList<>());
    }
    for (Columns.Cell cell : grid.cells()) {
      int last = cell.track() + cell.span() - 1;
      double width = starts[last] + widths[last] - starts[cell.track()];
      Node column = row.children().get(cell.column());
      lines.get(cell.line()).add(item(column, starts[cell.track()], width));
    }
    return lines.stream().map(items -> new Line(items, tallest(items))).toList();
  }

  /** What each track is worth; none is narrower than nothing. */
  private static double[] tracks(List<Columns.Track> tracks, double inner, double gap) {
    double gaps = gap * (tracks.size() - 1);
    double[] widths = new double[tracks.size()];
    for (int i = 0; i < widths.length; i++) {
      Columns.Track track = tracks.get(i);
      double width;
      if (track instanceof Columns.OfTwelve twelve) {
        width = (inner + gap) * twelve.twelfths() / Columns.TWELFTHS - gap;
      } else if (track instanceof Columns.OfHundred hundred) {
        width = (inner - gaps) * hundred.percent() / 100;
      } else {
        width = (inner - gaps) / tracks.size();
      }
      widths[i] = Math.max(0, width);
    }
    return widths;
  }

  private static double[] starts(double[] widths, double inner, double gap, String spread) {
    double used = gap * (widths.length - 1);
    for (double width : widths) {
      used += width;
    }
    double free = inner - used;
    double at = 0;
    double between = gap;
    switch (spread) {
      case "center" -> at = free / 2;
      case "end" -> at = free;
      case BETWEEN -> between += widths.length > 1 && free > 0 ? free / (widths.length - 1) : 0;
      default -> {
        // At the start there is nothing to add.
      }
    }
    double[] starts = new double[widths.length];
    for (int i = 0; i < widths.length; i++) {
      starts[i] = at;
      at += widths[i] + between;
    }
    return starts;
  }

  private void place(Node node, double x, double y, double width, double height) {
    boxes.put(node.id(), new Box(x, y, width, height));
    if (!node.kind().holdsOthers()) {
      return;
    }
    Sides edges = edges(node, width);
    double inner = width - edges.across();
    List<Line> lines = lines(node, inner);
    double gap = gap(node);
    double free = height - edges.down() - sum(lines, gap);
    String align = styles.css(node, StyleProperty.CONTENT_ALIGN);
    boolean sideBySide = node.kind() == Kind.ROW || isAcross(node);
    String stack =
        node.kind() == Kind.PAGE
            ? "start"
            : sideBySide && !(isAcross(node) && align.equals(BETWEEN)) ? STRETCH : align;
    double at = y + edges.top();
    double between = gap;
    double more = 0;
    switch (stack) {
      case "center" -> at += free / 2;
      case "end" -> at += free;
      case BETWEEN -> between += lines.size() > 1 && free > 0 ? free / (lines.size() - 1) : 0;
      case STRETCH -> more = lines.isEmpty() ? 0 : Math.max(0, free) / lines.size();
      default -> {
        // At the start there is nothing to add.
      }
    }
    for (Line line : lines) {
      double room = line.height() + more;
      for (Item item : line.items()) {
        String wanted =
            sideBySide
                ? align(node, align)
                : item.node().kind() == Kind.PICTURE ? "start" : STRETCH;
        placeItem(item, x + edges.left(), at, room, wanted);
      }
      at += room + between;
    }
    placePinned(node, x, y, width, height);
  }

  /** Where nothing is said, columns are as high as their line; other things are as they are. */
  private String align(Node node, String css) {
    boolean said =
        styles
            .cascade()
            .declared(node, StyleProperty.CONTENT_ALIGN, styles.device(), State.NORMAL)
            .isPresent();
    return said || node.kind() != Kind.ROW ? css : STRETCH;
  }

  private void placeItem(Item item, double left, double top, double room, String align) {
    Node node = item.node();
    String own = styles.css(node, StyleProperty.HEIGHT_PLACE);
    boolean ownSaid =
        styles
            .cascade()
            .declared(node, StyleProperty.HEIGHT_PLACE, styles.device(), State.NORMAL)
            .isPresent();
    String wanted = ownSaid ? own : align;
    double natural = height(node, item.width());
    double inside = room - item.margin().down();
    boolean autoTop = styles.isAuto(node, StyleProperty.MARGIN_TOP);
    boolean autoBottom = styles.isAuto(node, StyleProperty.MARGIN_BOTTOM);
    double height = natural;
    double shift = 0;
    if (autoTop || autoBottom) {
      double free = Math.max(0, inside - natural);
      shift = autoTop ? free / (autoBottom ? 2 : 1) : 0;
    } else if (wanted.equals(STRETCH)) {
      height = Math.max(inside, least(node));
    } else if (wanted.equals("center")) {
      shift = (inside - natural) / 2;
    } else if (wanted.equals("end")) {
      shift = inside - natural;
    }
    place(node, left + item.x(), top + item.margin().top() + shift, item.width(), height);
  }

  private double least(Node node) {
    return Math.max(
        styles.size(node, StyleProperty.MIN_HEIGHT, 0).orElse(0.0), edges(node, 0).down());
  }

  /** Pinned to a corner of the container's padding box, its margins as the distance. */
  private void placePinned(Node container, double x, double y, double width, double height) {
    Sides border = container.kind() == Kind.PAGE ? new Sides(0, 0, 0, 0) : styles.border(container);
    double roomAcross = width - border.across();
    double roomDown = height - border.down();
    for (Node child : container.children()) {
      if (child.hiddenOn().contains(styles.device())
          || !Flow.isPinned(child, styles.cascade(), styles.device())) {
        continue;
      }
      String corner = styles.css(child, StyleProperty.PIN);
      Sides margin = styles.margin(child, roomAcross);
      double itemWidth = itemWidth(child, roomAcross, roomAcross - margin.across(), true);
      double itemHeight = height(child, itemWidth);
      double left =
          corner.endsWith("left") ? margin.left() : roomAcross - margin.right() - itemWidth;
      double top =
          corner.startsWith("top") ? margin.top() : roomDown - margin.bottom() - itemHeight;
      place(child, x + border.left() + left, y + border.top() + top, itemWidth, itemHeight);
    }
  }
}
