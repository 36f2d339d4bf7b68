package goodbones.document;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;

/**
 * Something said of a stretch of words: that it is bold, a link, a list.
 *
 * @param from the first character, counted from 0
 * @param to one after the last character
 * @param value where a link goes, a colour as a style value, what bound words follow, or {@link
 *     #NUMBERED} for a list in which the order tells something; empty for the others
 */
public record Mark(Type type, int from, int to, String value) {
  /** Of a list whose items are counted. */
  public static final String NUMBERED = "numbered";

  /** What can be said, the outermost first when it is written as HTML. */
  public enum Type {
    /** Whole lines that are items of a list. */
    LIST,
    LINK,
    /** A link that opens beside the page. */
    NEW_TAB,
    COLOUR,
    BOLD,
    ITALIC,
    /** Words that follow something of the client or the page, such as the phone number. */
    BOUND
  }

  private static final Comparator<Mark> ORDER =
      Comparator.comparing(Mark::type).thenComparingInt(Mark::from).thenComparingInt(Mark::to);

  public Mark {
    Objects.requireNonNull(type, "type");
    Objects.requireNonNull(value, "value");
    if (from < 0 || from >= to) {
      throw new IllegalArgumentException("a mark from " + from + " to " + to + " holds nothing");
    }
  }

  /**
   * The marks in their one form: in order, cut to the text, those that touch joined, of two links
   * or colours for the same words the earlier kept.
   */
  static List<Mark> tidied(List<Mark> marks, int length) {
    List<Mark> tidy = new ArrayList<>();
    for (Mark mark : marks.stream().sorted(ORDER).toList()) {
      Mark last = tidy.isEmpty() ? null : tidy.get(tidy.size() - 1);
      int from = mark.from;
      int to = Math.min(mark.to, length);
      if (last != null && last.type == mark.type && from <= last.to) {
        if (last.value.equals(mark.value)) {
          tidy.set(
              tidy.size() - 1, new Mark(mark.type, last.from, Math.max(last.to, to), mark.value));
          continue;
        }
        from = last.to;
      }
      if (from < to) {
        tidy.add(new Mark(mark.type, from, to, mark.value));
      }
    }
    return List.copyOf(tidy);
  }
}
