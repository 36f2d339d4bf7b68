package goodbones.document;

import static goodbones.document.StyleProperty.*;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;

/**
 * Says for each kind what it holds: its fields (and which are slots to begin with), the kinds that
 * may stand in it, its style properties and states. Adding a kind is one entry here and its
 * rendering.
 */
public final class Catalogue {
  /** The greatest length of a node's name. */
  public static final int NAME_LIMIT = 80;

  /** More columns than a row has twelfths cannot be given a width. */
  public static final int COLUMN_LIMIT = 12;

  /** Said where something else is put among the items of a list. */
  public static final String LIST_HOLDS_ITEMS =
      "A list holds items made from its pattern: add an item, or put this beside the list";

  /** Deeper nesting is never meant, and would take the walks of a tree too far down. */
  public static final int DEPTH_LIMIT = 60;

  private record Entry(
      List<Field> fields, Set<Kind> children, Set<StyleProperty> styles, Set<State> states) {
    private List<StyleProperty> ordered() {
      return styles.stream().sorted().toList();
    }
  }

  private static final Map<Kind, Entry> ENTRIES = new EnumMap<>(Kind.class);

  private static final Set<Kind> ELEMENTS =
      EnumSet.of(
          Kind.HEADING,
          Kind.TEXT,
          Kind.LABEL,
          Kind.BUTTON,
          Kind.PICTURE,
          Kind.ICON,
          Kind.LOGO,
          Kind.MENU,
          Kind.SOCIAL,
          Kind.DIVIDER);

  /** What words and all that holds them may have; lists stand in texts only. */
  private static final Set<StyleProperty> TYPE = type();

  private static final Set<StyleProperty> BOX =
      EnumSet.of(
          BACKGROUND_COLOR,
          PADDING_TOP,
          PADDING_RIGHT,
          PADDING_BOTTOM,
          PADDING_LEFT,
          RADIUS,
          RULE_WIDTH,
          RULE_COLOR,
          GRADIENT,
          BORDER,
          SHADOW);
  private static final Set<StyleProperty> INSIDE =
      EnumSet.of(MIN_HEIGHT, FLOW, ROW_GAP, COLUMN_GAP, CONTENT_ALIGN, SPREAD);
  private static final Set<StyleProperty> MARGIN =
      EnumSet.of(MARGIN_TOP, MARGIN_RIGHT, MARGIN_BOTTOM, MARGIN_LEFT);
  private static final Set<StyleProperty> ELEMENT =
      union(MARGIN, EnumSet.of(WIDTH, MAX_WIDTH, PLACE, ORDER, PIN));

  static {
    Field picture = new Field("picture", "Picture", Field.Type.PICTURE, true, 300);
    Field link = new Field("link", "Link", Field.Type.LINK, true, 2000);
    add(
        Kind.PAGE,
        List.of(),
        union(ELEMENTS, EnumSet.of(Kind.SECTION, Kind.PLACEMENT, Kind.ROW, Kind.BOX)),
        union(TYPE, EnumSet.of(BACKGROUND_COLOR, PADDING_RIGHT, PADDING_LEFT, CONTENT_WIDTH)));
    add(
        Kind.SECTION,
        List.of(picture),
        union(ELEMENTS, EnumSet.of(Kind.ROW, Kind.BOX, Kind.PLACEMENT)),
        union(
            TYPE,
            BOX,
            EnumSet.of(
                OVERLAY_COLOR,
                MARGIN_TOP,
                MARGIN_BOTTOM,
                MIN_HEIGHT,
                CONTENT_WIDTH,
                CONTENT_ALIGN,
                ROW_GAP,
                ORDER)));
    add(
        Kind.ROW,
        List.of(),
        EnumSet.of(Kind.COLUMN, Kind.PLACEMENT),
        union(
            TYPE,
            BOX,
            MARGIN,
            EnumSet.of(COLUMNS, COLUMN_GAP, ROW_GAP, CONTENT_ALIGN, SPREAD, MIN_HEIGHT, ORDER)));
    add(
        Kind.COLUMN,
        List.of(),
        union(ELEMENTS, EnumSet.of(Kind.ROW, Kind.BOX, Kind.PLACEMENT)),
        union(TYPE, BOX, MARGIN, INSIDE, EnumSet.of(HEIGHT_PLACE, ORDER)));
    add(
        Kind.BOX,
        List.of(),
        union(ELEMENTS, EnumSet.of(Kind.ROW, Kind.BOX, Kind.PLACEMENT)),
        union(TYPE, BOX, ELEMENT, INSIDE, EnumSet.of(HEIGHT_PLACE)));
    add(
        Kind.HEADING,
        List.of(words(200), new Field("level", "Level", Field.Type.LEVEL, false, 0)),
        Set.of(),
        union(TYPE, ELEMENT));
    add(Kind.TEXT, List.of(words(5000)), Set.of(), union(TYPE, ELEMENT, EnumSet.of(LIST_MARK)));
    add(Kind.LABEL, List.of(words(120)), Set.of(), union(TYPE, ELEMENT));
    ENTRIES.put(
        Kind.BUTTON,
        new Entry(
            List.of(words(80), link),
            Set.of(),
            union(TYPE, BOX, ELEMENT, EnumSet.of(TRANSITION)),
            EnumSet.of(State.NORMAL, State.HOVER, State.FOCUS, State.CURRENT)));
    add(
        Kind.PICTURE,
        List.of(picture),
        Set.of(),
        union(ELEMENT, EnumSet.of(RADIUS, BORDER, SHADOW, PICTURE_FIT, PICTURE_RATIO)));
    add(
        Kind.ICON,
        List.of(new Field("icon", "Icon", Field.Type.ICON, true, 40)),
        Set.of(),
        union(ELEMENT, EnumSet.of(COLOR, FONT_SIZE, TEXT_ALIGN)));
    add(Kind.LOGO, List.of(), Set.of(), union(TYPE, ELEMENT));
    ENTRIES.put(
        Kind.MENU,
        new Entry(
            List.of(words(40), new Field("menu", "Menu", Field.Type.MENU, true, 40)),
            Set.of(),
            union(TYPE, ELEMENT, EnumSet.of(FLOW, ROW_GAP, COLUMN_GAP)),
            EnumSet.of(State.NORMAL, State.HOVER, State.FOCUS, State.CURRENT)));
    add(
        Kind.SOCIAL,
        List.of(),
        Set.of(),
        union(TYPE, ELEMENT, EnumSet.of(FLOW, ROW_GAP, COLUMN_GAP)));
    add(Kind.DIVIDER, List.of(), Set.of(), union(ELEMENT, EnumSet.of(RULE_WIDTH, RULE_COLOR)));
    add(Kind.PLACEMENT, List.of(), Set.of(), Set.of());
    add(
        Kind.ITEM,
        List.of(new Field(PageShown.FIELD, "Page it shows", Field.Type.PAGE, true, 2000)),
        Set.of(),
        Set.of());
    add(
        Kind.PATTERN,
        List.of(new Field(PageShown.LOT, "Pages to show", Field.Type.PAGES, true, 2000)),
        union(ELEMENTS, EnumSet.of(Kind.ROW, Kind.COLUMN, Kind.BOX, Kind.PLACEMENT)),
        Set.of());
  }

  private static final Map<Kind, List<StyleProperty>> ORDERED = new EnumMap<>(Kind.class);

  static {
    ENTRIES.forEach((kind, entry) -> ORDERED.put(kind, entry.ordered()));
  }

  private Catalogue() {}

  private static Set<StyleProperty> type() {
    Set<StyleProperty> type = EnumSet.copyOf(StyleProperty.allInherited());
    type.remove(LIST_MARK);
    return type;
  }

  private static Field words(int limit) {
    return new Field("words", "Words", Field.Type.WORDS, true, limit);
  }

  private static void add(
      Kind kind, List<Field> fields, Set<Kind> children, Set<StyleProperty> styles) {
    ENTRIES.put(kind, new Entry(fields, children, styles, EnumSet.of(State.NORMAL)));
  }

  @SafeVarargs
  private static <T> Set<T> union(Set<T>... sets) {
    Set<T> union = new HashSet<>();
    for (Set<T> set : sets) {
      union.addAll(set);
    }
    return Set.copyOf(union);
  }

  private static Entry entry(Kind kind) {
    return java.util.Objects.requireNonNull(ENTRIES.get(kind), () -> "no entry for " + kind);
  }

  public static List<Field> fields(Kind kind) {
    return entry(kind).fields();
  }

  public static Optional<Field> field(Kind kind, String key) {
    for (Field field : fields(kind)) {
      if (field.key().equals(key)) {
        return Optional.of(field);
      }
    }
    return Optional.empty();
  }

  /** The style properties of a kind, in the order in which they are declared. */
  public static List<StyleProperty> styles(Kind kind) {
    return java.util.Objects.requireNonNull(ORDERED.get(kind), () -> "no entry for " + kind);
  }

  /** What a property is called in the interface, where a kind has it. */
  public static String label(Kind kind, StyleProperty property) {
    if (kind == Kind.ICON) {
      return switch (property) {
        case COLOR -> "Icon colour";
        case FONT_SIZE -> "Icon size";
        case TEXT_ALIGN -> "Icon alignment";
        default -> property.label();
      };
    }
    return property.label();
  }

  public static boolean hasStyle(Kind kind, StyleProperty property) {
    return entry(kind).styles().contains(property);
  }

  public static Set<State> states(Kind kind) {
    return entry(kind).states();
  }

  public static boolean mayHold(Kind parent, Kind child) {
    if (child == Kind.PATTERN || child == Kind.ITEM) {
      return mayBeList(parent);
    }
    return entry(parent).children().contains(child);
  }

  /** Whether it can be a list of like items. */
  public static boolean mayBeList(Kind kind) {
    return kind.holdsOthers() && kind != Kind.PAGE;
  }

  public static Collection<Kind> children(Kind kind) {
    return entry(kind).children().stream().sorted().toList();
  }

  public static SortedSet<String> defaultSlots(Kind kind) {
    return Sorted.set(fields(kind).stream().filter(Field::slot).map(Field::key).toList());
  }

  /** Everything about a tree that the catalogue does not allow; empty if all is well. */
  public static List<Fault> faults(Node root) {
    List<Fault> faults = new ArrayList<>();
    if (root.isDeeperThan(DEPTH_LIMIT)) {
      faults.add(
          fault(
              root,
              "Things stand in each other more than "
                  + DEPTH_LIMIT
                  + " deep here; take some of the boxes around them away"));
      return faults;
    }
    Set<NodeId> seen = new HashSet<>();
    root.walk(
        node -> {
          if (!seen.add(node.id())) {
            faults.add(fault(node, "The id " + node.id() + " stands twice in this document"));
          }
          if (node.kind() == Kind.PATTERN && root.kind() == Kind.PAGE) {
            faults.add(fault(node, "A list belongs to a piece: keep what is around it as one"));
          }
          check(node, faults);
        });
    return faults;
  }

  /** The faults at a node and at some of its children, without a look at what is further down. */
  public static List<Fault> faultsAt(Node parent, Set<NodeId> nodes) {
    List<Fault> faults = new ArrayList<>();
    check(parent, faults);
    for (Node child : parent.children()) {
      if (nodes.contains(child.id())) {
        check(child, faults);
      }
    }
    faults.removeIf(fault -> !nodes.contains(fault.node()));
    return faults;
  }

  /**
   * @throws Refused naming everything that is wrong
   */
  public static void require(Node root) {
    List<Fault> faults = faults(root);
    if (!faults.isEmpty()) {
      throw new Refused(faults);
    }
  }

  /**
   * Requires that nothing became wrong that was not so before, such as what an earlier catalogue
   * still allowed: that must not keep anybody from working on.
   *
   * @throws Refused naming everything that became wrong
   */
  public static void requireNoneNew(Node before, Node after) {
    List<Fault> faults = faults(after);
    if (!faults.isEmpty()) {
      faults.removeAll(faults(before));
      if (!faults.isEmpty()) {
        throw new Refused(faults);
      }
    }
  }

  private static void check(Node node, List<Fault> faults) {
    if (node.name().length() > NAME_LIMIT) {
      faults.add(
          fault(
              node,
              "The name has "
                  + node.name().length()
                  + " characters; at most "
                  + NAME_LIMIT
                  + " fit"));
    }
    boolean places = node.kind() == Kind.PLACEMENT || node.kind() == Kind.ITEM;
    if (places != node.placement().isPresent()) {
      faults.add(fault(node, "A placement, and only a placement, names a piece"));
    }
    checkList(node, faults);
    if (node.scheme().isPresent() && node.kind() != Kind.SECTION) {
      faults.add(fault(node, "Only a section takes a colour scheme"));
    }
    if (node.kind() == Kind.PAGE && !node.hiddenOn().isEmpty()) {
      faults.add(fault(node, "A page cannot be hidden; hide what stands on it"));
    }
    checkContent(node, faults);
    node.styles().forEach((key, value) -> styleFault(node, key, value).ifPresent(faults::add));
    for (Node child : node.children()) {
      if (!mayHold(node.kind(), child.kind())) {
        faults.add(fault(child, misplaced(node.kind(), child.kind())));
      }
    }
    int columns = node.children().size() - (node.isList() ? 1 : 0);
    if (node.kind() == Kind.ROW && columns > COLUMN_LIMIT) {
      faults.add(fault(node, "A row holds at most " + COLUMN_LIMIT + " columns, not " + columns));
    }
  }

  /** A list holds its pattern, and then items; what stands elsewhere is none of these. */
  private static void checkList(Node node, List<Fault> faults) {
    for (int i = 0; i < node.children().size(); i++) {
      Node child = node.children().get(i);
      if (child.kind() == Kind.PATTERN && i > 0) {
        faults.add(fault(child, "A list has one pattern only"));
      } else if (node.isList() && i > 0 && child.kind() != Kind.ITEM) {
        faults.add(fault(child, LIST_HOLDS_ITEMS));
      } else if (child.kind() == Kind.ITEM && !node.isList()) {
        faults.add(fault(child, "An item stands in the list that it belongs to, and nowhere else"));
      } else if (child.kind() == Kind.ITEM && !child.children().isEmpty()) {
        faults.add(fault(child, "An item is made from its list's pattern, and holds nothing else"));
      }
    }
    if (node.isList() && node.children().size() > LocalValue.ItemsAre.LIMIT + 1) {
      faults.add(fault(node, "A list has at most " + LocalValue.ItemsAre.LIMIT + " items"));
    }
    if (node.kind() == Kind.PATTERN && node.children().size() != 1) {
      faults.add(
          fault(node, "A pattern is one thing; put a box or a column around what items share"));
    }
    if (node.isList()) {
      node.children().get(0).children().stream()
          .map(Node::standsAs)
          .filter(kind -> !mayHold(node.kind(), kind))
          .forEach(kind -> faults.add(fault(node, misplaced(node.kind(), kind))));
    }
  }

  /** Why a kind cannot stand in another, and where it can. */
  public static String misplaced(Kind parent, Kind child) {
    List<String> homes =
        ENTRIES.entrySet().stream()
            .filter(e -> e.getValue().children().contains(child) && !e.getKey().isMember())
            .map(e -> e.getKey().word())
            .sorted()
            .toList();
    return child.oneOfIt()
        + " cannot stand in "
        + parent.oneOfIt().toLowerCase(Locale.ROOT)
        + (homes.isEmpty() ? "" : "; put it in a " + String.join(" or a ", homes));
  }

  private static void checkContent(Node node, List<Fault> faults) {
    node.content()
        .forEach(
            (key, value) ->
                field(node.kind(), key)
                    .map(field -> field.faultOf(value))
                    .orElseGet(
                        () -> Optional.of(node.kind().oneOfIt() + " has no field “" + key + "”"))
                    .ifPresent(message -> faults.add(fault(node, message))));
    if (node.content().get("words") instanceof FieldValue.Words words) {
      for (Mark mark : words.marks()) {
        if (mark.type() == Mark.Type.LIST && node.kind() != Kind.TEXT) {
          faults.add(fault(node, "A list can stand in a text only"));
        } else if ((mark.type() == Mark.Type.LINK || mark.type() == Mark.Type.NEW_TAB)
            && node.kind() == Kind.BUTTON) {
          faults.add(fault(node, "A button is a link itself; its words cannot hold another"));
        }
      }
    }
    List<String> slots = new ArrayList<>(node.slots());
    slots.addAll(node.options().siteSlots());
    for (String slot : slots) {
      if (field(node.kind(), slot).isEmpty()) {
        faults.add(
            fault(node, node.kind().oneOfIt() + " has no field “" + slot + "” to be a slot"));
      }
    }
  }

  private static Optional<Fault> styleFault(Node node, StyleKey key, StyleValue value) {
    StyleProperty property = key.property();
    if (!hasStyle(node.kind(), property)) {
      return Optional.of(
          fault(
              node,
              node.kind().oneOfIt() + " has no " + label(node.kind(), property).toLowerCase()));
    }
    if (!states(node.kind()).contains(key.state())) {
      return Optional.of(
          fault(node, node.kind().oneOfIt() + " has no state “" + key.state().word() + "”"));
    }
    if (value instanceof StyleValue.Literal literal && !property.type().accepts(literal.css())) {
      return Optional.of(
          fault(
              node,
              property.label()
                  + " cannot be “"
                  + literal.css()
                  + "”: give "
                  + property.type().form()
                  + ", or a token such as {color.accent}"));
    }
    if (node.kind() == Kind.ROW
        && property == CONTENT_ALIGN
        && value.equals(StyleValue.literal("space-between"))) {
      return Optional.of(
          fault(
              node,
              "Columns stand side by side, so there is nothing to space out in height: give start,"
                  + " center, end or stretch"));
    }
    return Optional.empty();
  }

  private static Fault fault(Node node, String message) {
    return new Fault(node.id(), node.title(), message);
  }
}
