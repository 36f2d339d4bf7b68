package goodbones.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What an item of a list shows of a page. The pattern says that it shows something of whatever page
 * the item names; where the item is drawn, that becomes something of this very page:
 *
 * <ul>
 *   <li>words that follow {@link Bound#ITEM_TITLE} or {@link Bound#ITEM_SUMMARY} follow {@code
 *       title:ID} or {@code summary:ID}
 *   <li>the picture {@link #PICTURE} becomes {@code page:ID}
 *   <li>a link to {@link #LINK} becomes one to {@code page:ID}
 * </ul>
 *
 * What an item that names no page shows of it stays as it is, and is worth nothing.
 */
public final class PageShown {
  /** The content field in which an item names its page, as a link. */
  public static final String FIELD = "page";

  /** The id of the picture that is the one of the page shown. */
  public static final String PICTURE = "item-picture";

  /** A link to the page shown. */
  public static final String LINK = "item:page";

  /** Before the id of a page: a link to it, or the picture that stands for it. */
  public static final String PAGE = "page:";

  /**
   * The content field in which a list says, on its pattern, what it is to show all of: what is
   * filed under a page, {@code page:ID}, or all pages of a kind, {@code role:KIND}.
   */
  public static final String LOT = "pages";

  /** Before the word of a kind: a link to the first page of that kind, or all pages of it. */
  public static final String ROLE = "role:";

  private static final String TITLE = "title:";
  private static final String SUMMARY = "summary:";

  private PageShown() {}

  /** Words of a certain page. */
  public record Of(boolean summary, String page) {}

  /** The page that an item names. */
  public static Optional<String> of(Node item) {
    return item.kind() == Kind.ITEM
            && item.content().get(FIELD) instanceof FieldValue.Link link
            && link.target().startsWith(PAGE)
        ? Optional.of(link.target().substring(PAGE.length()))
        : Optional.empty();
  }

  /** What a list is to show all of; empty if it is to show what was chosen. */
  public static String lot(Node list) {
    return list.isList() && list.children().get(0).content().get(LOT) instanceof FieldValue.Link lot
        ? lot.target()
        : "";
  }

  static boolean isLot(String target) {
    return target.startsWith(PAGE) || target.startsWith(ROLE);
  }

  /** What words follow, if that is something of a certain page. */
  public static Optional<Of> words(String followed) {
    if (followed.startsWith(TITLE)) {
      return Optional.of(new Of(false, followed.substring(TITLE.length())));
    }
    return followed.startsWith(SUMMARY)
        ? Optional.of(new Of(true, followed.substring(SUMMARY.length())))
        : Optional.empty();
  }

  /** The page whose picture it is, if it is that of a certain page. */
  public static Optional<String> picture(String pictureId) {
    return pictureId.startsWith(PAGE)
        ? Optional.of(pictureId.substring(PAGE.length()))
        : Optional.empty();
  }

  /** Whether a picture is of whatever page is shown, or of a certain one. */
  public static boolean isPicture(String pictureId) {
    return pictureId.equals(PICTURE) || pictureId.startsWith(PAGE);
  }

  /** A tree that shows a certain page wherever it shows that of the item; the same if nowhere. */
  public static Node showing(Node node, String page) {
    SortedMap<String, FieldValue> content = new TreeMap<>(node.content());
    content.replaceAll((field, value) -> showing(value, page));
    Node shown = node;
    for (String field : content.keySet()) {
      if (!content.get(field).equals(node.content().get(field))) {
        shown = shown.withContent(field, Optional.of(content.get(field)));
      }
    }
    List<Node> children = new ArrayList<>();
    boolean same = true;
    for (Node child : node.children()) {
      Node there = showing(child, page);
      same &= there == child;
      children.add(there);
    }
    return same ? shown : shown.withChildren(children);
  }

  private static FieldValue showing(FieldValue value, String page) {
    if (value instanceof FieldValue.Link link && link.target().equals(LINK)) {
      return new FieldValue.Link(PAGE + page, link.newTab());
    }
    if (value instanceof FieldValue.Picture picture && picture.pictureId().equals(PICTURE)) {
      return new FieldValue.Picture(PAGE + page, picture.alt(), picture.decoration());
    }
    if (value instanceof FieldValue.Words words) {
      List<Mark> marks = words.marks().stream().map(mark -> showing(mark, page)).toList();
      return marks.equals(words.marks()) ? words : words.withMarks(marks);
    }
    return value;
  }

  private static Mark showing(Mark mark, String page) {
    if (mark.type() == Mark.Type.LINK && mark.value().equals(LINK)) {
      return new Mark(mark.type(), mark.from(), mark.to(), PAGE + page);
    }
    if (mark.type() == Mark.Type.BOUND && mark.value().equals(Bound.ITEM_TITLE.word())) {
      return new Mark(mark.type(), mark.from(), mark.to(), TITLE + page);
    }
    return mark.type() == Mark.Type.BOUND && mark.value().equals(Bound.ITEM_SUMMARY.word())
        ? new Mark(mark.type(), mark.from(), mark.to(), SUMMARY + page)
        : mark;
  }
}
