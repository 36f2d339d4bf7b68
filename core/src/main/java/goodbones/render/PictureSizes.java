package goodbones.render;

import goodbones.document.Device;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.layout.Arithmetic;
import goodbones.layout.Box;
import goodbones.layout.Measured;
import goodbones.layout.Room;
import goodbones.layout.Screen;
import goodbones.style.Cascade;
import goodbones.style.Finishes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;

/**
 * How wide pictures are drawn at each width of the viewport, as the {@code sizes} attribute says it
 * (HTML Standard, 4.8.4.2.2): the layout's own arithmetic at the ends of each range, and a straight
 * line between.
 */
final class PictureSizes {
  private static final int NARROWEST = 320;
  private static final int WIDEST = 2560;
  private static final List<Integer> BETWEEN = List.of(1280, 1600, 1920);
  private static final double HEIGHT = 800;
  private static final double STRAIGHT = 0.5;

  private final Node page;
  private final Cascade cascade;
  private final Finishes finishes;
  private final Room room;
  private final Map<Integer, Map<NodeId, Box>> known = new HashMap<>();

  /**
   * @param page of kind page, as shown
   * @param room how much of the viewport's width it has
   */
  PictureSizes(Node page, Cascade cascade, Finishes finishes, Room room) {
    this.room = room;
    this.page = page;
    this.cascade = cascade;
    this.finishes = finishes;
  }

  /** A range of viewport widths, both ends belonging to it, and the picture's width at them. */
  private record Range(int from, int to, double first, double last) {
    double slope() {
      return (last - first) / (to - from);
    }

    String css() {
      double share = slope() * 100;
      double rest = first - slope() * from;
      if (Math.abs(slope()) * (to - from) < 1) {
        return px(Math.max(first, last));
      }
      return Math.abs(rest) < 1
          ? number(share) + "vw"
          : "calc(" + number(share) + "vw " + (rest < 0 ? "- " : "+ ") + px(Math.abs(rest)) + ")";
    }

    /** Whether another range goes on as this one does. */
    boolean goesOnIn(Range next) {
      return Math.abs(first + slope() * (next.to - from) - next.last) < STRAIGHT
          && Math.abs(first + slope() * (next.from - from) - next.first) < STRAIGHT;
    }

    Range with(Range next) {
      return new Range(from, next.to, first, next.last);
    }
  }

  /** The value of the attribute for a picture; {@code 100vw} if it is not drawn. */
  String of(Node picture) {
    List<Range> ranges = new ArrayList<>();
    List<Integer> starts = starts();
    for (int i = 0; i < starts.size(); i++) {
      int from = starts.get(i);
      int to = i + 1 < starts.size() ? starts.get(i + 1) - 1 : WIDEST;
      Range range = new Range(from, to, width(picture, from), width(picture, to));
      int last = ranges.size() - 1;
      if (last >= 0 && ranges.get(last).goesOnIn(range)) {
        ranges.set(last, ranges.get(last).with(range));
      } else {
        ranges.add(range);
      }
    }
    StringBuilder css = new StringBuilder();
    for (int i = 0; i < ranges.size(); i++) {
      Range range = ranges.get(i);
      boolean last = i == ranges.size() - 1;
      css.append(last ? "" : "(max-width: " + range.to() + "px) ").append(range.css());
      css.append(last ? "" : ", ");
    }
    return css.toString();
  }

  private List<Integer> starts() {
    TreeSet<Integer> starts = new TreeSet<>(BETWEEN);
    starts.add(NARROWEST);
    starts.add(finishes.phoneLimit() + 1);
    starts.add(finishes.tabletLimit() + 1);
    return List.copyOf(starts.tailSet(NARROWEST));
  }

  private double width(Node picture, int viewport) {
    Box box =
        known
            .computeIfAbsent(
                viewport,
                width ->
                    Arithmetic.boxes(
                        page,
                        cascade,
                        new Screen(device(width), width, HEIGHT, room),
                        Measured.GUESSED))
            .get(picture.id());
    return box == null ? 0 : box.width();
  }

  private Device device(int viewport) {
    if (viewport <= finishes.phoneLimit()) {
      return Device.PHONE;
    }
    return viewport <= finishes.tabletLimit() ? Device.TABLET : Device.DESKTOP;
  }

  private static String px(double width) {
    return Math.round(width) + "px";
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.1f", value).replaceAll("\\.0$", "");
  }
}
