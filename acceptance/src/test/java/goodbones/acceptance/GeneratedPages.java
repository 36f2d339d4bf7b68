package goodbones.acceptance;

import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/** Makes sections of every shape that the catalogue allows. */
final class GeneratedPages {
  private final Random random;
  private int next;

  GeneratedPages(Random random) {
    this.random = random;
  }

  private <T> T any(List<T> list) {
    return list.get(random.nextInt(list.size()));
  }

  private boolean oneIn(int n) {
    return random.nextInt(n) == 0;
  }

  private Node fresh(Kind kind) {
    return Node.of(NodeId.of("n" + next++), kind, "");
  }

  private Node maybe(Node node, int oneIn, String property, List<String> values) {
    Node styled = node;
    if (oneIn(oneIn)) {
      styled = styled.withStyle(StyleKey.parse(property), StyleValue.parse(any(values)));
    }
    if (oneIn(oneIn * 3)) {
      String device = any(List.of("@tablet", "@phone"));
      styled = styled.withStyle(StyleKey.parse(property + device), StyleValue.parse(any(values)));
    }
    return styled;
  }

  private static final List<String> LENGTHS =
      List.of("0", "8px", "24px", "2rem", "3vw", "4%", "clamp(8px, 2vw, 30px)");
  private static final List<String> PADDINGS =
      List.of("0", "8px", "24px", "2rem", "3vw", "1.5em", "clamp(8px, 2vw, 30px)");
  private static final List<String> MARGINS = List.of("6px", "-12px", "1.5rem", "3%", "-1vw");
  private static final List<String> HEIGHTS = List.of("120px", "40vh", "75vh", "auto");
  private static final List<String> GAPS = List.of("0", "8px", "24px", "2vw", "1rem");
  private static final List<String> STACKS =
      List.of("start", "center", "end", "stretch", "space-between");
  private static final List<String> ALIGNS = List.of("start", "center", "end", "stretch");
  private static final List<String> COLUMNS =
      List.of(
          "equal",
          "equal 2",
          "equal 3",
          "7 5",
          "8 1+3",
          "4 2+4",
          "3+6",
          "7+4",
          "56% 33%",
          "60% 40%",
          "25% 50% 25%",
          "6.5 5.5",
          "3.25 1.5+4.5",
          "12",
          "4 4 4 6 6",
          "3 3 3 3",
          "2 1+2 2",
          "30% 30%");

  Node page() {
    Node page = fresh(Kind.PAGE);
    page = maybe(page, 2, "content-width", List.of("900px", "70%", "1350px"));
    page = maybe(page, 2, "padding-left", List.of("16px", "40px", "5%"));
    page = maybe(page, 2, "padding-right", List.of("16px", "40px", "0"));
    List<Node> children = new ArrayList<>();
    for (int i = 0; i < 10; i++) {
      children.add(oneIn(6) ? any(List.of(row(2), box(1), element())) : section());
    }
    return page.withChildren(children);
  }

  private Node padded(Node node) {
    Node styled = node;
    for (String side : List.of("top", "right", "bottom", "left")) {
      styled = maybe(styled, 4, "padding-" + side, PADDINGS);
    }
    styled = maybe(styled, 10, "border-top-width", List.of("1px", "3px", "2.6px"));
    return maybe(styled, 12, "border", List.of("2px solid #123456", "none"));
  }

  private Node margins(Node node, int oneIn) {
    Node styled = node;
    for (String side : List.of("top", "right", "bottom", "left")) {
      styled = maybe(styled, oneIn, "margin-" + side, MARGINS);
    }
    return styled;
  }

  private Node section() {
    Node section = padded(fresh(Kind.SECTION));
    section = maybe(section, 2, "content-width", List.of("900px", "80%", "1350px", "none"));
    section = maybe(section, 2, "min-height", HEIGHTS);
    section = maybe(section, 2, "content-align", STACKS);
    section = maybe(section, 2, "row-gap", GAPS);
    section = maybe(section, 8, "margin-top", List.of("-30px", "10px", "2vh"));
    section = maybe(section, 8, "margin-bottom", List.of("-20px", "14px"));
    List<Node> children = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(3); i++) {
      children.add(
          switch (random.nextInt(5)) {
            case 0 -> element();
            case 1 -> box(2);
            default -> row(2);
          });
    }
    return hidden(section.withChildren(children));
  }

  private Node row(int depth) {
    Node row = margins(padded(fresh(Kind.ROW)), 9);
    row = maybe(row, 2, "column-gap", GAPS);
    row = maybe(row, 2, "row-gap", GAPS);
    row = maybe(row, 2, "content-align", ALIGNS);
    row = maybe(row, 3, "justify-content", List.of("start", "center", "end", "space-between"));
    row = maybe(row, 4, "min-height", HEIGHTS);
    row = maybe(row, 1, "columns", COLUMNS);
    List<Node> columns = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(5); i++) {
      columns.add(column(depth));
    }
    return order(hidden(row.withChildren(columns)));
  }

  private Node order(Node node) {
    return maybe(node, 8, "order", List.of("-1", "1", "2"));
  }

  private Node hidden(Node node) {
    return oneIn(12) ? node.withHiddenOn(Set.of(any(List.of(Device.values())))) : node;
  }

  private Node inside(Node node) {
    Node styled = maybe(node, 3, "flow", List.of("across", "down"));
    styled = maybe(styled, 3, "content-align", ALIGNS);
    styled = maybe(styled, 3, "justify-content", List.of("center", "end", "space-between"));
    styled = maybe(styled, 3, "row-gap", GAPS);
    styled = maybe(styled, 3, "column-gap", GAPS);
    return maybe(styled, 4, "min-height", HEIGHTS);
  }

  private Node column(int depth) {
    Node column = inside(margins(padded(fresh(Kind.COLUMN)), 14));
    column = maybe(column, 6, "align-self", ALIGNS);
    List<Node> children = new ArrayList<>();
    for (int i = 0; i < random.nextInt(4); i++) {
      boolean across = column.styles().containsValue(StyleValue.literal("across"));
      children.add(
          depth > 1 && !across && oneIn(4) ? row(depth - 1) : oneIn(5) ? box(1) : element());
    }
    return order(hidden(column.withChildren(children)));
  }

  private Node box(int depth) {
    Node box = inside(margins(padded(fresh(Kind.BOX)), 12));
    box = maybe(box, 3, "width", List.of("50%", "200px", "40%"));
    box = maybe(box, 6, "max-width", List.of("300px", "60%"));
    box = maybe(box, 5, "place", ALIGNS);
    box = maybe(box, 10, "pin", List.of("top-left", "bottom-right", "top-right", "none"));
    List<Node> children = new ArrayList<>();
    for (int i = 0; i < random.nextInt(4); i++) {
      children.add(depth > 1 && oneIn(4) ? box(depth - 1) : element());
    }
    return hidden(box.withChildren(children));
  }

  private Node element() {
    Kind kind = any(List.of(Kind.HEADING, Kind.TEXT, Kind.LABEL, Kind.BUTTON, Kind.PICTURE));
    Node element = margins(fresh(kind), 7);
    element = maybe(element, 8, "margin-left", List.of("auto"));
    element = maybe(element, 5, "max-width", List.of("240px", "50%"));
    element = maybe(element, 4, "place", ALIGNS);
    element = maybe(element, 9, "pin", List.of("top-left", "bottom-right", "none"));
    if (kind == Kind.PICTURE) {
      element = maybe(element, 2, "aspect-ratio", List.of("3 / 2", "1 / 1", "auto", "16 / 9"));
      element = maybe(element, 2, "width", List.of("50%", "180px", "100%"));
      String picture = any(List.of("300x200", "120x120", "90x160"));
      return element.withContent(
          "picture", Optional.of(new FieldValue.Picture(picture, "A picture")));
    }
    element = maybe(element, 9, "width", List.of("50%", "180px"));
    element = maybe(element, 3, "font-size", List.of("14px", "2rem", "1.25em"));
    StringBuilder words = new StringBuilder("Words");
    for (int i = 0; i < random.nextInt(14); i++) {
      words.append(any(List.of(" plot", " allotment", " of", " tools and seeds")));
    }
    return element.withContent("words", new FieldValue.Words(words.toString()));
  }
}
