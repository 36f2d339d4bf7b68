package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.layout.Arithmetic;
import goodbones.layout.Box;
import goodbones.layout.Measured;
import goodbones.layout.Room;
import goodbones.layout.Screen;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.Fluid;
import goodbones.style.SiteFinishes;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** How a document is drawn: what its styles come to, and where its boxes stand, found once. */
final class Drawn {
  /** As browsers set lines where nothing else is said, about (CSS Inline 3, 5.1). */
  private static final double NORMAL_LINE = 1.2;

  private final Node page;
  private final Cascade cascade;
  private final Room room;
  private final Map<Screen, Map<NodeId, Box>> boxes = new HashMap<>();
  private final Map<Screen, Map<NodeId, Box>> longer = new HashMap<>();

  Drawn(Shown page, Room room, SiteFinishes look) {
    this.room = room;
    this.page = page.root();
    this.cascade = new Cascade(page.root(), page, look);
  }

  String css(Node node, StyleProperty property, Device device) {
    return cascade.won(node, property, device, State.NORMAL).css();
  }

  /** In px; 0 where it says no length. */
  double px(Node node, StyleProperty property, Device device) {
    double px = Fluid.px(css(node, property, device), device.width(), device.height());
    return Double.isNaN(px) ? 0 : px;
  }

  double textSize(Node node, Device device) {
    return px(node, StyleProperty.FONT_SIZE, device);
  }

  /** How high one line of a node's words is, in px. */
  double lineHeight(Node node, Device device) {
    String css = css(node, StyleProperty.LINE_HEIGHT, device);
    double size = textSize(node, device);
    if (css.matches("[\\d.]+")) {
      return Double.parseDouble(css) * size;
    }
    double px = px(node, StyleProperty.LINE_HEIGHT, device);
    return px > 0 ? px : NORMAL_LINE * size;
  }

  /** How much of a screen's width is there, in px. */
  double width(Screen screen) {
    return room.width(screen);
  }

  /** The boxes of all nodes on a screen: widths and horizontal places; heights are guessed. */
  Map<NodeId, Box> boxes(Screen screen) {
    return boxes.computeIfAbsent(
        screen, one -> Arithmetic.boxes(page, cascade, one.with(room), Measured.GUESSED));
  }

  /** The same with words half as long again: what stands elsewhere is where words let it be. */
  Map<NodeId, Box> boxesWithLongerWords(Screen screen) {
    return longer.computeIfAbsent(
        screen, one -> Arithmetic.boxes(page, cascade, one.with(room), Measured.LONGER));
  }

  Optional<Box> box(Node node, Device device) {
    return Optional.ofNullable(boxes(Screen.of(device)).get(node.id()));
  }
}
