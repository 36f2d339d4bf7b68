package goodbones.testing;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.library.Shown;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;

/** Seeded generator of sections and of edits on them. The same seed gives the same things. */
public final class Trees {
  private static final List<Kind> ELEMENTS =
      Arrays.stream(Kind.values()).filter(Kind::isElement).toList();

  private final Random random;
  private final String prefix;
  private List<Placeable> placeable = List.of();
  private boolean lists;
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

  /** From now on there are lists too, as there can be in a piece. */
  public Trees withLists() {
    lists = true;
    return this;
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
            .withPlacement(Placement.of(piece.pieceId()).withBound(piece.revision())));
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
    if (lists && random.nextInt(3) == 0) {
      children.add(list());
    }
    return section.withChildren(children);
  }

  /** A box with some elements, and maybe a row. */
  public Node box() {
    List<Node> children = new ArrayList<>(List.of(element()));
    for (int i = 0; i < random.nextInt(3); i++) {
      children.add(random.nextInt(4) == 0 ? row(1) : element());
    }
    if (lists && random.nextInt(4) == 0) {
      children.add(list());
    }
    return Node.of(freshId(), Kind.BOX, "").withChildren(children);
  }

  /** A list of boxes with words in them, some of them its items' own. */
  private Node list() {
    Node heading = worded();
    Node box = Node.of(freshId(), Kind.BOX, "").withChildren(List.of(heading, element()));
    List<Node> children = new ArrayList<>();
    children.add(Node.of(freshId(), Kind.PATTERN, "").withChildren(List.of(box)));
    for (int i = 0; i < 1 + random.nextInt(3); i++) {
      Node item = Node.item(freshId());
      LocalKey words = new LocalKey(heading.id(), Aspect.content("words"));
      children.add(
          item.withPlacement(
              item.placement()
                  .orElseThrow()
                  .withChange(
                      words,
                      random.nextBoolean()
                          ? Optional.empty()
                          : Optional.of(new LocalChange(new LocalValue.ContentIs(words()), 0)))));
    }
    return Node.of(freshId(), Kind.BOX, "").withChildren(children);
  }

  /**
   * A random choice about what is shown, such as a form or an item more; empty if there is none.
   */
  private Optional<Edit> choice(Node members, Predicate<Node> target, boolean own) {
    List<Node> all = members.all().stream().filter(target).toList();
    if (all.isEmpty()) {
      return Optional.empty();
    }
    Node node = pick(all);
    List<Node> lists = all.stream().filter(Node::isList).toList();
    List<Node> items = all.stream().filter(n -> n.kind() == Kind.ITEM).toList();
    List<Node> placed = all.stream().filter(n -> n.kind() == Kind.PLACEMENT).toList();
    switch (random.nextInt(own ? 9 : 7)) {
      case 0:
        return Optional.of(new Edit.Switch(node.id(), random.nextInt(3) == 0));
      case 1:
        List<Node> optional = all.stream().filter(n -> n.options().optional()).toList();
        return optional.isEmpty()
            ? Optional.empty()
            : Optional.of(new Edit.Switch(pick(optional).id(), random.nextInt(3) == 0));
      case 2:
        if (placed.isEmpty()) {
          return Optional.empty();
        }
        Node member = pick(placed);
        List<Optional<String>> forms = new ArrayList<>(List.of(Optional.empty()));
        member
            .children()
            .forEach(
                root ->
                    root.options().variants().forEach(form -> forms.add(Optional.of(form.id()))));
        return Optional.of(new Edit.ShowVariant(member.id(), pick(forms)));
      case 3:
        return lists.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new Edit.Insert(pick(lists).id(), random.nextInt(4), Node.item(freshId())));
      case 4:
        return items.isEmpty() ? Optional.empty() : Optional.of(new Edit.Remove(pick(items).id()));
      case 5:
        if (items.isEmpty()) {
          return Optional.empty();
        }
        Node item = pick(items);
        return members
            .parentOf(item.id())
            .map(list -> new Edit.Move(item.id(), list.id(), random.nextInt(3)));
      case 6:
        return items.isEmpty() ? Optional.empty() : Optional.of(content(pick(items)));
      default:
        return Optional.of(new Edit.SetOptional(node.id(), random.nextInt(4) > 0));
    }
  }

  /** An edit of what is shown, or a choice about it. */
  public Edit edit(Shown shown, Predicate<Node> target, boolean slots) {
    Optional<Edit> choice =
        random.nextInt(4) == 0 ? choice(shown.members(), target, slots) : Optional.empty();
    return choice.orElseGet(() -> edit(shown.root(), target, slots));
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

  /** One of any kind that there is; with words, where it has any, and maybe with all the rest. */
  private Node element() {
    Kind kind = pick(ELEMENTS);
    Node element = Node.of(freshId(), kind, "");
    for (Field field : Catalogue.fields(kind)) {
      if (field.key().equals("words")) {
        element = element.withContent("words", words());
      } else if (random.nextInt(3) == 0) {
        element = element.withContent(field.key(), few().content(kind, field));
      }
    }
    return element;
  }

  private Node worded() {
    Node element = element();
    return element.content().containsKey("words") ? element : worded();
  }

  private FieldValue words() {
    return new FieldValue.Words(word(), List.of(), random.nextInt(4) == 0);
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
    boolean worded = fields.stream().anyMatch(f -> f.key().equals("words"));
    if (fields.isEmpty() || worded && random.nextInt(3) > 0) {
      return new Edit.SetContent(node.id(), "words", Optional.of(words()));
    }
    Field field = pick(fields);
    return new Edit.SetContent(
        node.id(), field.key(), Optional.of(few().content(node.kind(), field)));
  }

  private Edit style(Node node) {
    if (Catalogue.styles(node.kind()).isEmpty()) {
      return content(node);
    }
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
    if (targets.isEmpty()) {
      throw Refused.at(shown, "Nothing is shown here");
    }
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
        return random.nextInt(3) == 0
            ? new Edit.SetSiteSlot(node.id(), "words", random.nextBoolean())
            : new Edit.SetSlot(node.id(), "words", random.nextBoolean());
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
