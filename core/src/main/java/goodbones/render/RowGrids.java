package goodbones.render;

import goodbones.document.Columns;
import goodbones.document.Device;
import java.util.Map;
import java.util.Objects;

/** The grid of one row at each device. */
record RowGrids(Map<Device, Columns.Grid> grids) {
  RowGrids {
    grids = Map.copyOf(grids);
  }

  Columns.Grid of(Device device) {
    return Objects.requireNonNull(grids.get(device));
  }

  /**
   * Where a column stands, as values of {@code grid-column} and {@code grid-row} with a bar between
   * them; the row is left out where filling line by line leads there, and for a hidden column.
   */
  String cell(int column, Device device) {
    Columns.Grid grid = of(device);
    for (Columns.Cell cell : grid.cells()) {
      if (cell.column() == column) {
        return grid.placed()
            ? (cell.track() + 1) + " / span " + cell.span() + "|" + (cell.line() + 1)
            : "span " + cell.span() + " / auto";
      }
    }
    return "auto";
  }
}
