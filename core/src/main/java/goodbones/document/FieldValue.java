package goodbones.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** What a content field holds. */
public sealed interface FieldValue {
  /** Whether it only shows where the real one goes. */
  default boolean standIn() {
    return false;
  }

  /**
   * Words; a line break is {@code \n}.
   *
   * @param marks what is said of stretches of them, such as bold; in their one form
   * @param standIn whether they only show where the real ones go
   */
  record Words(String text, List<Mark> marks, boolean standIn) implements FieldValue {
    public Words {
      Objects.requireNonNull(text, "text");
      marks = marks == null ? List.of() : Mark.tidied(marks, text.length());
    }

    public Words(String text, List<Mark> marks) {
      this(text, marks, false);
    }

    /** Plain words. */
    public Words(String text) {
      this(text, List.of());
    }

    /** Plain words that only show where the real ones go. */
    public static Words standIn(String text) {
      return new Words(text, List.of(), true);
    }

    public Words withMarks(List<Mark> others) {
      return new Words(text, others, standIn);
    }

    /**
     * Other words in the place of these; what is said of those that stay is kept. They are the real
     * ones, unless nothing was changed.
     */
    public Words retyped(String newText) {
      if (newText.equals(text)) {
        return this;
      }
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

  /**
   * A picture by id.
   *
   * @param alt what it says here; empty for the picture's own alternative text
   * @param decoration whether it says nothing here, whatever its own text is
   */
  record Picture(String pictureId, String alt, boolean decoration) implements FieldValue {
    /** The id of the picture that only shows where a real one goes; it is there from the start. */
    public static final String STAND_IN_ID = "stand-in";

    /** Shows where a real picture goes. */
    public static final Picture STAND_IN = new Picture(STAND_IN_ID, "");

    public Picture {
      Objects.requireNonNull(pictureId, "pictureId");
      Objects.requireNonNull(alt, "alt");
    }

    public Picture(String pictureId, String alt) {
      this(pictureId, alt, false);
    }

    /** Its alternative text here, where the picture has one of its own. */
    public String says(String own) {
      if (decoration) {
        return "";
      }
      return alt.isBlank() ? own : alt;
    }

    @Override
    public boolean standIn() {
      return pictureId.equals(STAND_IN_ID);
    }
  }

  /**
   * Where a link goes: a reference inside the site, or an address outside.
   *
   * @param newTab whether it opens beside the page that it stands on
   */
  record Link(String target, boolean newTab) implements FieldValue {
    public Link {
      Objects.requireNonNull(target, "target");
    }

    /** In the tab of the page that it stands on. */
    public Link(String target) {
      this(target, false);
    }
  }

  /** One of the site's menus, by its name. */
  record Menu(String name) implements FieldValue {
    public Menu {
      Objects.requireNonNull(name, "name");
    }
  }

  /**
   * One of the {@link Icons} by its name.
   *
   * @param solid whether it is filled, where there is such a form; else drawn in outline
   */
  record Icon(String name, boolean solid) implements FieldValue {
    private static final String SOLID = " solid";

    public Icon {
      Objects.requireNonNull(name, "name");
    }

    /** The name, and {@code solid} after a space if it is. */
    public static Icon of(String said) {
      return said.endsWith(SOLID)
          ? new Icon(said.substring(0, said.length() - SOLID.length()), true)
          : new Icon(said, false);
    }

    @Override
    public String toString() {
      return solid ? name + SOLID : name;
    }
  }

  /** A heading's level, 1 to 6. */
  record Level(int level) implements FieldValue {}
}
