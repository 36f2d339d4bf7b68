package goodbones.style;

import goodbones.document.Catalogue;
import goodbones.document.Columns;
import goodbones.document.Device;
import goodbones.document.Node;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** In what order, and in which grid, the children of a container stand at a device. */
public final class Flow {
  private Flow() {}

  /** The children that are shown and not pinned, in the order in which they stand. */
  public static List<Node> shown(Node container, Cascade cascade, Device device) {
    List<Node> shown = new ArrayList<>();
    for (Node child : container.children()) {
      if (!child.hiddenOn().contains(device) && !isPinned(child, cascade, device)) {
        shown.add(child);
      }
    }
    shown.sort(Comparator.comparingInt(child -> order(child, cascade, device)));
    return shown;
  }

  public static boolean isPinned(Node node, Cascade cascade, Device device) {
    return Catalogue.hasStyle(node.kind(), StyleProperty.PIN)
        && !cascade.won(node, StyleProperty.PIN, device, State.NORMAL).css().equals("none");
  }

  /** The number by which a node is ordered among its siblings. */
  public static int order(Node node, Cascade cascade, Device device) {
    return Catalogue.hasStyle(node.kind(), StyleProperty.ORDER)
        ? Integer.parseInt(cascade.won(node, StyleProperty.ORDER, device, State.NORMAL).css())
        : 0;
  }

  /** How a row says that its columns share it. */
  public static Columns columns(Node row, Cascade cascade, Device device) {
    return Columns.parse(cascade.won(row, StyleProperty.COLUMNS, device, State.NORMAL).css());
  }

  /** The grid of a row with the columns that are shown. */
  public static Columns.Grid grid(Node row, Cascade cascade, Device device) {
    List<Integer> columns = new ArrayList<>();
    for (Node column : shown(row, cascade, device)) {
      columns.add(row.indexOf(column.id()));
    }
    return columns(row, cascade, device).grid(columns);
  }
}
