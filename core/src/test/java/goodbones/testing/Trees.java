package goodbones.testing;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;

/** Seeded generator of sections and of edits on them. The same seed gives the same things. */
public final class Trees {
  private final Random random;
  private final String prefix;
  private List<Placeable> placeable = List.of();
  private int next;

  /** A piece that can be placed, and what its outermost node is. */
  public record Placeable(String pieceId, int revision, Kind root) {}

  public Trees(long seed, String prefix) {
    this.random = new Random(seed);
    this.prefix = prefix;
  }

  public Random random() {
    return random;
  }

  /** From now on pieces are placed too. */
  public void place(List<Placeable> pieces) {
    placeable = List.copyOf(pieces);
  }

  private Optional<Node> placing(Kind parent) {
    List<Placeable> fit =
        placeable.stream().filter(piece -> Catalogue.mayHold(parent, piece.root())).toList();
    if (fit.isEmpty()) {
      return Optional.empty();
    }
    Placeable piece = pick(fit);
    return Optional.of(
        Node.placing(freshId(), "", piece.pieceId())
            .withPlacement(Placement.of(piece.pieceId()).withSettled(piece.revision())));
  }

  private NodeId freshId() {
    return NodeId.of(prefix + next++);
  }

  public Node section() {
    Node section = Node.of(freshId(), Kind.SECTION, "");
    List<Node> children = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(3); i++) {
      children.add(random.nextInt(3) > 0 ? row(2) : element());
    }
    return section.withChildren(children);
  }

  /** A box with some elements, and maybe a row. */
  public Node box() {
    List<Node> children = new ArrayList<>(List.of(element()));
    for (int i = 0; i < random.nextInt(3); i++) {
      children.add(random.nextInt(4) == 0 ? row(1) : element());
    }
    return Node.of(freshId(), Kind.BOX, "").withChildren(children);
  }

  private Node row(int depth) {
    List<Node> columns = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(3); i++) {
      columns.add(column(depth));
    }
    return Node.of(freshId(), Kind.ROW, "").withChildren(columns);
  }

  private Node column(int depth) {
    List<Node> children = new ArrayList<>();
    for (int i = 0; i < random.nextInt(3); i++) {
      children.add(depth > 1 && random.nextInt(3) == 0 ? row(depth - 1) : element());
    }
    return Node.of(freshId(), Kind.COLUMN, "").withChildren(children);
  }

  private Node element() {
    Kind kind = pick(List.of(Kind.HEADING, Kind.TEXT, Kind.LABEL, Kind.BUTTON));
    return Node.of(freshId(), kind, "").withContent("words", new FieldValue.Words(word()));
  }

  private String word() {
    return "w" + random.nextInt(6);
  }

  private <T> T pick(List<T> items) {
    return items.get(random.nextInt(items.size()));
  }

  /** A few values of everything, so that two edits often say the same. */
  private Samples few() {
    return new Samples(new Random(random.nextInt(4)));
  }

  private Edit content(Node node) {
    List<Field> fields = Catalogue.fields(node.kind());
    if (fields.isEmpty() || random.nextInt(3) > 0) {
      return new Edit.SetContent(node.id(), "words", Optional.of(new FieldValue.Words(word())));
    }
    Field field = pick(fields);
    return new Edit.SetContent(
        node.id(), field.key(), Optional.of(few().content(node.kind(), field)));
  }

  private Edit style(Node node) {
    StyleProperty property = pick(Catalogue.styles(node.kind()));
    StyleKey key = new Samples(random).key(node.kind(), property);
    return new Edit.SetStyle(
        node.id(),
        key,
        random.nextInt(4) == 0
            ? Optional.empty()
            : Optional.of(few().value(node.kind(), property)));
  }

  /** A random edit on what is shown, of any aspect; it may be refused. */
  public Edit edit(Node shown, Predicate<Node> target, boolean slots) {
    List<Node> targets = shown.all().stream().filter(target).toList();
    Node node = pick(targets);
    switch (random.nextInt(slots ? 13 : 12)) {
      case 0, 1:
        return content(node);
      case 2, 3:
        return style(node);
      case 4:
        return new Edit.SetVisibility(
            node.id(), random.nextBoolean() ? Set.of() : Set.of(pick(List.of(Device.values()))));
      case 5:
        return new Edit.Remove(node.id());
      case 6, 7, 8:
        return new Edit.Move(node.id(), pick(targets).id(), random.nextInt(3));
      case 9:
        Node parent = pick(targets);
        Optional<Node> placing = random.nextInt(3) == 0 ? placing(parent.kind()) : Optional.empty();
        if (placing.isPresent()) {
          return new Edit.Insert(parent.id(), random.nextInt(3), placing.get());
        }
        Node child =
            Catalogue.mayHold(parent.kind(), Kind.COLUMN)
                ? column(1)
                : random.nextInt(3) == 0 ? row(1) : element();
        return new Edit.Insert(parent.id(), random.nextInt(3), child);
      case 10:
        return new Edit.SetNamedStyles(
            node.id(), pick(List.of(List.of(), List.of("quiet"), List.of("quiet", "loud"))));
      case 11:
        return new Edit.SetScheme(
            node.id(), random.nextBoolean() ? Optional.empty() : Optional.of("dark"));
      default:
        return new Edit.SetSlot(node.id(), "words", random.nextBoolean());
    }
  }

  /** The tree after some random edits that were not refused. */
  public Node edited(Node root, int edits) {
    Node now = root;
    for (int i = 0; i < edits; i++) {
      try {
        now = Editor.apply(now, edit(now, node -> true, true)).root();
      } catch (Refused refused) {
        // A refused edit changes nothing.
      }
    }
    return now;
  }
}
