package goodbones.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** What a content field holds. */
public sealed interface FieldValue {

  /**
   * Words; a line break is {@code \n}.
   *
   * @param marks what is said of stretches of them, such as bold; in their one form
   */
  record Words(String text, List<Mark> marks) implements FieldValue {
    public Words {
      Objects.requireNonNull(text, "text");
      marks = marks == null ? List.of() : Mark.tidied(marks, text.length());
    }

    /** Plain words. */
    public Words(String text) {
      this(text, List.of());
    }

    /** Other words in the place of these; what is said of those that stay is kept. */
    public Words retyped(String newText) {
      int least = Math.min(text.length(), newText.length());
      int same = 0;
      while (same < least && text.charAt(same) == newText.charAt(same)) {
        same++;
      }
      int tail = 0;
      while (tail < least - same
          && text.charAt(text.length() - 1 - tail) == newText.charAt(newText.length() - 1 - tail)) {
        tail++;
      }
      int cut = text.length() - tail;
      int shift = newText.length() - text.length();
      List<Mark> kept = new ArrayList<>();
      for (Mark mark : marks) {
        int from = mark.from() <= same ? mark.from() : Math.max(mark.from(), cut) + shift;
        int to = mark.to() >= cut ? mark.to() + shift : Math.min(mark.to(), same);
        if (from < to) {
          kept.add(new Mark(mark.type(), from, to, mark.value()));
        }
      }
      return new Words(newText, kept);
    }
  }

  /** A picture by id, with its alternative text; an empty text marks it as decoration. */
  record Picture(String pictureId, String alt) implements FieldValue {
    public Picture {
      Objects.requireNonNull(pictureId, "pictureId");
      Objects.requireNonNull(alt, "alt");
    }
  }

  /** Where a link goes: an address in the site ({@code /fares}), {@code #name}, or outside. */
  record Link(String target) implements FieldValue {
    public Link {
      Objects.requireNonNull(target, "target");
    }
  }

  /** A heading's level, 1 to 6. */
  record Level(int level) implements FieldValue {}
}
