package goodbones.structure;

import goodbones.document.Columns;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** New nodes, with words in them that can be seen and written over. */
public final class Fresh {
  private static final int ROW_COLUMNS = 2;
  private static final int LEVEL = 2;
  private final Supplier<NodeId> ids;

  public Fresh(Supplier<NodeId> ids) {
    this.ids = ids;
  }

  /** A new node of a kind; a row has two columns that share it. */
  public Node of(Kind kind) {
    Node node = Node.of(ids.get(), kind, "");
    return switch (kind) {
      case HEADING ->
          words(node, "A new heading").withContent("level", new FieldValue.Level(LEVEL));
      case TEXT -> words(node, "A new line of text.");
      case LABEL -> words(node, "Small label");
      case BUTTON -> words(node, "Button").withContent("link", new FieldValue.Link("/"));
      case ROW -> node.withChildren(columns(ROW_COLUMNS));
      case PAGE, SECTION, COLUMN, BOX, PICTURE, PLACEMENT -> node;
    };
  }

  private static Node words(Node node, String text) {
    return node.withContent("words", new FieldValue.Words(text));
  }

  /** A row whose columns share it as said, one below the other on a phone. */
  public Node row(Columns columns, int count) {
    Node row = Node.of(ids.get(), Kind.ROW, "").withChildren(columns(count));
    return columns.equals(Columns.EQUAL)
        ? row
        : row.withStyle(StyleKey.of(StyleProperty.COLUMNS), StyleValue.literal(columns.toString()))
            .withStyle(
                StyleKey.of(StyleProperty.COLUMNS, Device.PHONE),
                StyleValue.literal(RowEdits.STACKED));
  }

  private List<Node> columns(int count) {
    List<Node> columns = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      columns.add(of(Kind.COLUMN));
    }
    return columns;
  }

  /** A row with each of the given columns' content beside the next. */
  Node rowOf(List<Node> columns) {
    return Node.of(ids.get(), Kind.ROW, "").withChildren(columns);
  }
}
