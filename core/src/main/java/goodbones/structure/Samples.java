package goodbones.structure;

import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.SlotWant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Fills the slots of what is shown with short, long or no words, to see what a piece makes of it.
 */
public final class Samples {
  /** How much is filled in. */
  public enum Length {
    SHORT,
    LONG,
    /** Neither words nor pictures. */
    NONE;

    /**
     * @throws IllegalArgumentException if it is none of the words {@code short}, {@code long},
     *     {@code none}
     */
    public static Length ofWord(String word) {
      for (Length length : values()) {
        if (length.name().equalsIgnoreCase(word)) {
          return length;
        }
      }
      throw new IllegalArgumentException("“" + word + "” is no length of sample words");
    }
  }

  /** One word that cannot be broken, as names and addresses have them. */
  private static final String LONG_WORD = "Thoroughgoingness";

  private static final String WORDS =
      "Every part of this was written longer than its author had in mind, as it happens on real"
          + " pages when there is more to say than there is room for, and nobody wants to leave"
          + " anything out that a reader might look for before calling, writing or coming along. ";

  private Samples() {}

  /**
   * What fills every slot of a tree. What a slot wants says how long its words are; where nothing
   * is said, the kind does (common practice).
   *
   * @param root as shown; it is not modified
   */
  public static Edit of(Node root, Length length) {
    List<Edit> edits = new ArrayList<>();
    root.walk(
        node -> {
          for (String field : slots(node)) {
            FieldValue value = node.content().get(field);
            if (node.kind() == Kind.PICTURE || field.equals("picture")) {
              if (length == Length.NONE && value != null) {
                edits.add(new Edit.SetContent(node.id(), field, Optional.empty()));
              }
            } else if (field.equals("words") && node.kind() != Kind.MENU) {
              // The words of a menu name its button; they are not what it says.
              edits.add(new Edit.SetContent(node.id(), field, words(node, length)));
            }
          }
        });
    return new Edit.Group(edits);
  }

  private static List<String> slots(Node node) {
    List<String> slots = new ArrayList<>(node.slots());
    slots.addAll(node.options().siteSlots());
    return slots;
  }

  private static Optional<FieldValue> words(Node node, Length length) {
    if (length == Length.NONE) {
      return Optional.empty();
    }
    SlotWant want = node.options().wants().getOrDefault("words", new SlotWant(0, 0, "", ""));
    int characters =
        length == Length.SHORT
            ? want.from() > 0 ? want.from() : shortest(node.kind())
            : want.to() > 0 ? want.to() : longest(node.kind());
    return Optional.of(new FieldValue.Words(text(characters, length == Length.LONG)));
  }

  private static int shortest(Kind kind) {
    return kind == Kind.TEXT ? 24 : 4;
  }

  private static int longest(Kind kind) {
    return switch (kind) {
      case BUTTON -> 32;
      case LABEL -> 40;
      case HEADING -> 90;
      default -> 600;
    };
  }

  /** So many characters of plain words, with one long one at the front where there is room. */
  private static String text(int characters, boolean longWord) {
    StringBuilder text = new StringBuilder();
    if (longWord && characters > LONG_WORD.length() * 2) {
      text.append(LONG_WORD).append(' ');
    }
    while (text.length() <= characters) {
      text.append(WORDS);
    }
    String cut = text.substring(0, characters);
    int space = cut.lastIndexOf(' ');
    boolean within = text.charAt(characters - 1) != ' ' && text.charAt(characters) != ' ';
    return (within && space > characters / 2 ? cut.substring(0, space) : cut).strip();
  }
}
