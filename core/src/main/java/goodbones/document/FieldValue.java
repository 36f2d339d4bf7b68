package goodbones.document;

import java.util.Objects;

/** What a content field holds. */
public sealed interface FieldValue {

  /** Plain words; a line break is {@code \n}. */
  record Words(String text) implements FieldValue {
    public Words {
      Objects.requireNonNull(text, "text");
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
