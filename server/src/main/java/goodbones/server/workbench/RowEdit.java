package goodbones.server.workbench;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.Columns;
import goodbones.document.Device;
import goodbones.structure.RowEdits;

/** How the columns of a row share it. */
sealed interface RowEdit extends AskedEdit {
  /**
   * @param node a row
   * @param value how its columns share it, such as {@code 4+8}
   */
  @JsonTypeName("COLUMNS")
  record ShareColumns(String node, String device, String value) implements RowEdit {
    @Override
    public ReadEdit read(Aim aim) {
      return new ReadEdit(
          new RowEdits(aim.bench()).share(aim.node(node).id(), Device.ofWord(device), value),
          "set column widths");
    }
  }

  /**
   * @param node a row
   * @param count how many columns share it
   */
  @JsonTypeName("LAYOUT")
  record LayRowOut(String node, String value, int count) implements RowEdit {
    @Override
    public ReadEdit read(Aim aim) {
      return new ReadEdit(
          new RowEdits(aim.bench()).layOut(aim.node(node).id(), Columns.parse(value), count),
          "lay the row out anew");
    }
  }

  /**
   * @param node the left one of two columns
   * @param width in twelfths, or per cent where the row's columns are in per cent on that device
   * @param free whether in hundredths; otherwise it snaps to whole ones
   */
  @JsonTypeName("RESIZE")
  record ResizeColumn(String node, String device, double width, boolean free) implements RowEdit {
    @Override
    public ReadEdit read(Aim aim) {
      return new ReadEdit(
          new RowEdits(aim.bench()).resize(aim.node(node).id(), Device.ofWord(device), width, free),
          "resize columns");
    }
  }

  /**
   * @param node a column
   * @param value its own share, such as {@code 1+3}
   */
  @JsonTypeName("SHARE")
  record SetShare(String node, String device, String value) implements RowEdit {
    @Override
    public ReadEdit read(Aim aim) {
      return new ReadEdit(
          new RowEdits(aim.bench()).own(aim.node(node).id(), Device.ofWord(device), value.strip()),
          "set the column’s width");
    }
  }
}
