package goodbones.layout;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The fold sum: how the heights of what stands on a page add up against the screen.
 *
 * @param heights of what stands straight on the page, in the order in which it stands, in px
 * @param total their sum, in px
 * @param screen the height of one screen, in px
 */
public record Fold(List<Part> heights, double total, double screen) {
  private static final double WITHIN = 0.5;

  /** One part of the sum. */
  public record Part(NodeId node, double height) {}

  public Fold {
    heights = List.copyOf(heights);
  }

  /**
   * @param boxes of that page at that screen
   */
  public static Fold of(Node page, Map<NodeId, Box> boxes, Screen screen) {
    List<Part> parts = new ArrayList<>();
    double total = 0;
    for (Node child : page.children()) {
      Box box = boxes.get(child.id());
      if (box != null && child.kind() != Kind.PLACEMENT) {
        parts.add(new Part(child.id(), box.height()));
        total = Math.max(total, box.bottom());
      }
    }
    return new Fold(parts, total, screen.height());
  }

  /** Says whether the page fills one screen, no more and no less. */
  public boolean fillsOneScreen() {
    return Math.abs(total - screen) <= WITHIN;
  }

  public double screens() {
    return total / screen;
  }
}
