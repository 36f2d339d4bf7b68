package goodbones.structure;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.PageShown;
import java.util.List;
import java.util.Optional;

/** What stands in for a client’s words, pictures and links in a piece that is for all clients. */
final class Neutral {
  private static final List<String> HEADINGS =
      List.of(
          "Say it here",
          "Say in a line what this is",
          "A heading that says what the reader gets here",
          "A longer heading, for what cannot be said in fewer words than these");
  private static final List<String> SENTENCES =
      List.of(
          "Say here what the reader needs to know.",
          "One thought to a sentence is enough.",
          "Give a name, a number or a day where there is one.",
          "Then say what comes next, and how to get it.");
  private static final String LABEL = "Small label";
  private static final String BUTTON = "Next step";

  private Neutral() {}

  /** About as long as what it stands in for, so that the piece looks as it will be used. */
  static Optional<FieldValue> of(Kind kind, FieldValue value) {
    if (kind == Kind.ITEM) {
      return Optional.empty();
    }
    if (value instanceof FieldValue.Words words) {
      return Optional.of(FieldValue.Words.standIn(words(kind, words.text().strip().length())));
    }
    if (value instanceof FieldValue.Picture) {
      return Optional.of(FieldValue.Picture.STAND_IN);
    }
    return Optional.of(value instanceof FieldValue.Link ? new FieldValue.Link("/") : value);
  }

  /** Whether there is anything of the client’s in it. */
  static boolean isOfClient(FieldValue value) {
    if (value.standIn()) {
      return false;
    }
    if (value instanceof FieldValue.Words words) {
      return !words.text().isBlank();
    }
    return value instanceof FieldValue.Picture picture
            && !picture.pictureId().equals(PageShown.PICTURE)
        || value instanceof FieldValue.Link link
            && !link.target().isEmpty()
            && !link.target().equals("/")
            && !link.target().equals(PageShown.LINK);
  }

  private static String words(Kind kind, int length) {
    return switch (kind) {
      case BUTTON -> BUTTON;
      case LABEL -> LABEL;
      case HEADING -> nearest(length);
      default -> sentences(length);
    };
  }

  private static String nearest(int length) {
    String best = HEADINGS.get(0);
    for (String heading : HEADINGS) {
      if (Math.abs(heading.length() - length) < Math.abs(best.length() - length)) {
        best = heading;
      }
    }
    return best;
  }

  private static String sentences(int length) {
    StringBuilder text = new StringBuilder(SENTENCES.get(0));
    for (int i = 1;
        text.length() + SENTENCES.get(i % SENTENCES.size()).length() / 2 < length;
        i++) {
      text.append(' ').append(SENTENCES.get(i % SENTENCES.size()));
    }
    return text.toString();
  }
}
