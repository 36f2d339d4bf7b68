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
import goodbones.site.Menu;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** New nodes, with words in them that can be seen and written over. */
public final class Fresh {
  private static final int ROW_COLUMNS = 2;
  private static final int LEVEL = 2;
  private static final String ICON = "circle-check";
  private static final List<Thing> THINGS =
      List.of(
          one(Kind.HEADING),
          one(Kind.TEXT),
          one(Kind.PICTURE),
          one(Kind.BUTTON),
          one(Kind.LABEL),
          one(Kind.ICON),
          one(Kind.DIVIDER),
          one(Kind.LOGO),
          one(Kind.MENU),
          one(Kind.SOCIAL),
          one(Kind.SECTION),
          one(Kind.BOX),
          one(Kind.COLUMN),
          row("Row of 2", "equal", 2),
          row("Row of 3", "equal", 3),
          row("Row of 4", "equal", 4),
          row("Row 8 + 4", "8 4", 2),
          row("Row 7 + 5", "7 5", 2),
          row("Row 4 + 8", "4 8", 2),
          row("Row 8, then 3 offset 1", "8 1+3", 2),
          row("Row 6, centred", "3+6", 1),
          row("Row 56 % and 33 %", "56% 33%", 2));

  /**
   * Something that can be added, by its name.
   *
   * @param columns how a row's columns share it
   * @param count how many columns a row has; 0 for what is no row
   */
  public record Thing(String title, Kind kind, Columns columns, int count) {}

  private final Supplier<NodeId> ids;

  public Fresh(Supplier<NodeId> ids) {
    this.ids = ids;
  }

  private static Thing one(Kind kind) {
    return new Thing(kind.title(), kind, Columns.EQUAL, 0);
  }

  private static Thing row(String title, String columns, int count) {
    return new Thing(title, Kind.ROW, Columns.parse(columns), count);
  }

  /** Everything that can be added, besides pieces. */
  public static List<Thing> things() {
    return THINGS;
  }

  public Node of(Thing thing) {
    return thing.count() > 0 ? row(thing.columns(), thing.count()) : of(thing.kind());
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
      case MENU -> across(node).withContent("menu", new FieldValue.Menu(Menu.MAIN));
      case DIVIDER ->
          node.withStyle(StyleKey.of(StyleProperty.RULE_WIDTH), StyleValue.literal("1px"));
      case SOCIAL -> across(node);
      case ICON -> node.withContent("icon", new FieldValue.Icon(ICON, false));
      case LOGO -> node;
      case PICTURE -> node.withContent("picture", FieldValue.Picture.STAND_IN);
      case PAGE, SECTION, COLUMN, BOX, PLACEMENT, PATTERN, ITEM -> node;
    };
  }

  private static Node across(Node links) {
    return links
        .withStyle(StyleKey.of(StyleProperty.FLOW), StyleValue.literal("across"))
        .withStyle(StyleKey.of(StyleProperty.COLUMN_GAP), StyleValue.literal("24px"));
  }

  private static Node words(Node node, String text) {
    return node.withContent("words", FieldValue.Words.standIn(text));
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
