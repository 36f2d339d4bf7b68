package goodbones.testing;

import goodbones.document.Bound;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Icons;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.document.ValueType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Values of everything that the catalogue allows, at random. The catalogue says what there is, so
 * that a property, field or kind that is added to it is drawn from by itself; a new form of value
 * does not compile until it is said here what it looks like.
 */
public final class Samples {
  private final Random random;

  public Samples(Random random) {
    this.random = random;
  }

  public <T> T any(List<T> list) {
    return list.get(random.nextInt(list.size()));
  }

  public boolean oneIn(int n) {
    return random.nextInt(n) == 0;
  }

  private String number(double least, double most) {
    double n = least + random.nextDouble() * (most - least);
    return oneIn(3)
        ? String.valueOf((int) Math.round(n))
        : String.format(java.util.Locale.ROOT, "%.2f", n);
  }

  private String length() {
    return switch (random.nextInt(7)) {
      case 0 -> "0";
      case 1 -> number(0, 3) + "rem";
      case 2 -> number(0, 2) + "em";
      case 3 -> number(0, 6) + "vw";
      case 4 -> number(0, 8) + "vh";
      case 5 -> fluid(0, 40);
      default -> number(0, 48) + "px";
    };
  }

  private String fluid(double least, double most) {
    String sum =
        any(List.of("", "-"))
            + number(0, 3)
            + any(List.of("px", "rem", "em", "vw", "vh"))
            + any(List.of("", " + " + number(0, 4) + "vw", " - " + number(0, 3) + "vh"));
    return "clamp("
        + number(least, most / 2)
        + "px, "
        + sum
        + ", "
        + number(most / 2, most)
        + "px)";
  }

  private String size(List<String> words) {
    return switch (random.nextInt(6)) {
      case 0 -> any(words);
      case 1 -> number(5, 60) + "rem";
      case 2 -> number(5, 110) + "%";
      case 3 -> number(10, 100) + "vw";
      case 4 -> fluid(40, 900);
      default -> number(0, 900) + "px";
    };
  }

  private String colour() {
    return any(List.of("#1d3a4c", "#cfc8ba80", "transparent", "rgb(29 58 76 / 60%)", "tomato"));
  }

  private String columns() {
    if (oneIn(3)) {
      return any(List.of("equal", "equal 1", "equal 2", "equal 3", "equal 4", "equal 12"));
    }
    List<String> shares = new ArrayList<>();
    if (oneIn(3)) {
      double left = 100;
      int count = 1 + random.nextInt(4);
      for (int i = 0; i < count; i++) {
        double share = 1 + random.nextDouble() * (left / (count - i) - 1);
        shares.add(String.format(java.util.Locale.ROOT, "%.1f%%", share));
        left -= share;
      }
      return String.join(" ", shares);
    }
    boolean whole = oneIn(2);
    double left = 12;
    int count = 1 + random.nextInt(5);
    for (int i = 0; i < count; i++) {
      double most = whole ? 8 : left / (count - i);
      double offset = oneIn(3) ? Math.floor(random.nextDouble() * most / 2) : 0;
      double width = Math.max(whole ? 1 : 0.5, random.nextDouble() * (most - offset));
      String share =
          whole
              ? String.valueOf((int) width)
              : String.format(java.util.Locale.ROOT, "%.2f", Math.floor(width * 4) / 4);
      String said = (offset > 0 ? (int) offset + "+" : "") + share;
      if (ValueType.SPANS.accepts(
          String.join(" ", shares) + (shares.isEmpty() ? "" : " ") + said)) {
        shares.add(said);
        left -= width + offset;
      }
    }
    return shares.isEmpty() ? "8 1+3" : String.join(" ", shares);
  }

  /** A literal of a form. */
  public String value(ValueType type) {
    return switch (type) {
      case COLOUR -> colour();
      case LENGTH -> length();
      case SIGNED_LENGTH, DIMENSION -> (oneIn(3) ? "-" : "") + number(0, 12) + "px";
      case WIDTH -> size(List.of("auto", "0"));
      case MAX_WIDTH -> size(List.of("none", "0"));
      case MIN_HEIGHT ->
          switch (random.nextInt(5)) {
            case 0 -> any(List.of("auto", "0"));
            case 1 -> number(0, 100) + "vh";
            case 2 -> number(0, 30) + "vw";
            case 3 -> fluid(10, 300);
            default -> number(0, 400) + "px";
          };
      case MARGIN ->
          switch (random.nextInt(5)) {
            case 0 -> "auto";
            case 1 -> number(-6, 12) + "%";
            case 2 -> fluid(0, 40);
            case 3 -> number(-4, 6) + any(List.of("vw", "vh", "rem"));
            default -> number(-60, 80) + "px";
          };
      case NUMBER -> number(-3, 3);
      case LINE_HEIGHT ->
          any(List.of("normal", number(0.8, 2), number(10, 40) + "px", number(1, 2) + "rem"));
      case WEIGHT -> String.valueOf(1 + random.nextInt(1000));
      case FAMILY -> any(List.of("serif", "Literata, Georgia, serif", "monospace", "system-ui"));
      case CASE -> any(List.of("none", "uppercase", "lowercase", "capitalize"));
      case TEXT_ALIGN -> any(List.of("start", "center", "end"));
      case LIST_MARK -> any(List.of("disc", "circle", "square", "dash", "arrow", "check", "none"));
      case ALIGN -> any(List.of("start", "center", "end", "stretch"));
      case FIT -> any(List.of("cover", "contain"));
      case RATIO -> oneIn(4) ? "auto" : number(0.4, 4) + " / " + number(0.5, 3);
      case SPANS -> columns();
      case SPREAD -> any(List.of("start", "center", "end", "space-between"));
      case STACK -> any(List.of("start", "center", "end", "stretch", "space-between"));
      case FLOW -> any(List.of("down", "across"));
      case CORNER ->
          any(List.of("none", "none", "top-left", "top-right", "bottom-left", "bottom-right"));
      case ORDER -> String.valueOf(random.nextInt(7) - 3);
      case DURATION -> any(List.of("200ms", "0.2s", "0s"));
      case CURVE -> any(List.of("ease", "linear", "cubic-bezier(0.2, 0, 0, 1)"));
      case STROKE -> any(List.of("solid", "dashed", "dotted", "double", "groove", "inset"));
      case SHADOW -> oneIn(4) ? "none" : "-2px 4px 12px 0 " + colour();
      case BORDER ->
          oneIn(4)
              ? "none"
              : any(List.of("0", number(0, 6) + "px", number(0, 1) + "vw"))
                  + " "
                  + value(ValueType.STROKE)
                  + " "
                  + colour();
      case TRANSITION -> "200ms 0ms ease";
      case GRADIENT -> oneIn(4) ? "none" : "linear-gradient(180deg, #0000 0%, #0b2638 100%)";
      case TYPOGRAPHY -> "600 32px/1.2 0px Literata, serif";
    };
  }

  /** A literal that the catalogue takes for a property of a kind. */
  public StyleValue value(Kind kind, StyleProperty property) {
    while (true) {
      StyleValue value = StyleValue.literal(value(property.type()));
      Node node = Node.of(goodbones.document.NodeId.of("n"), kind, "");
      Node styled = node.withStyle(StyleKey.of(property), value);
      if (Catalogue.faults(styled).isEmpty()) {
        return value;
      }
    }
  }

  /** A setting of a property at a device, in one of the states of the kind. */
  public StyleKey key(Kind kind, StyleProperty property) {
    State state = oneIn(4) ? any(List.copyOf(Catalogue.states(kind))) : State.NORMAL;
    return new StyleKey(property, any(List.of(Device.values())), state);
  }

  /** Words with marks of every type that the kind may have, or none. */
  public FieldValue.Words words(Kind kind, int limit) {
    StringBuilder text = new StringBuilder("Words");
    for (int i = 0; i < random.nextInt(14); i++) {
      text.append(any(List.of(" plot", " allotment", " of", " tools and seeds", "\nshed")));
    }
    String said = text.substring(0, Math.min(limit, text.length()));
    List<Mark> marks = new ArrayList<>();
    if (oneIn(3) && said.length() > 8) {
      int from = random.nextInt(said.length() - 5);
      Mark mark =
          switch (any(List.of(Mark.Type.values()))) {
            case BOLD -> new Mark(Mark.Type.BOLD, from, from + 4, "");
            case ITALIC -> new Mark(Mark.Type.ITALIC, from, from + 4, "");
            case LINK -> new Mark(Mark.Type.LINK, from, from + 4, "/fares");
            case NEW_TAB -> new Mark(Mark.Type.NEW_TAB, from, from + 4, "");
            case COLOUR -> new Mark(Mark.Type.COLOUR, from, from + 4, colour());
            case BOUND ->
                new Mark(Mark.Type.BOUND, from, from + 4, any(List.of(Bound.values())).word());
            case LIST ->
                new Mark(Mark.Type.LIST, 0, said.length(), any(List.of("", Mark.NUMBERED)));
          };
      Node node = Node.of(goodbones.document.NodeId.of("n"), kind, "");
      FieldValue.Words marked = new FieldValue.Words(said, List.of(mark));
      if (Catalogue.faults(node.withContent("words", marked)).isEmpty()) {
        return marked;
      }
    }
    return new FieldValue.Words(said, List.of(), oneIn(5));
  }

  /** Something that a field of a kind may hold. */
  public FieldValue content(Kind kind, Field field) {
    return switch (field.type()) {
      case WORDS -> words(kind, field.limit());
      case PICTURE -> picture();
      case LINK ->
          new FieldValue.Link(
              any(
                  List.of(
                      "",
                      "/fares",
                      "#times",
                      "https://example.org",
                      "page:p-1#band",
                      "role:home",
                      "item:page",
                      "detail:phone")),
              oneIn(4));
      case PAGE -> new FieldValue.Link(any(List.of("page:p-1", "page:home")));
      case PAGES -> new FieldValue.Link(any(List.of("page:home", "role:service")));
      case MENU -> new FieldValue.Menu(any(List.of("Main", "Footer")));
      case ICON -> new FieldValue.Icon(any(List.copyOf(Icons.all())).name(), random.nextBoolean());
      case LEVEL -> new FieldValue.Level(1 + random.nextInt(6));
    };
  }

  /** A picture whose id says its width and height in px. */
  public FieldValue.Picture picture() {
    return new FieldValue.Picture(
        any(List.of("300x200", "120x120", "90x160", "1x1", "2000x30")), "A picture", oneIn(6));
  }

  /** A node of a kind with contents and settings, without children. */
  public Node node(goodbones.document.NodeId id, Kind kind, int oneOfSettings) {
    Node node = Node.of(id, kind, "");
    for (Field field : Catalogue.fields(kind)) {
      if (kind.isElement() || oneIn(6)) {
        node = node.withContent(field.key(), Optional.of(content(kind, field)));
      }
    }
    for (StyleProperty property : Catalogue.styles(kind)) {
      if (oneIn(oneOfSettings)) {
        node = node.withStyle(StyleKey.of(property), value(kind, property));
      }
      if (oneIn(oneOfSettings * 4)) {
        node = node.withStyle(key(kind, property), value(kind, property));
      }
    }
    return kind != Kind.PAGE && oneIn(16)
        ? node.withHiddenOn(java.util.Set.of(any(List.of(Device.values()))))
        : node;
  }
}
