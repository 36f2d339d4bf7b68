package goodbones.layout;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;

/** Sizes of words that depend on their length and their room, as real ones do. */
final class Guessed implements Measured {
  private static final double LETTER = 9;
  private static final double LINE = 24;

  private static double length(Node element) {
    return element.content().get("words") instanceof FieldValue.Words words
        ? Math.max(1, words.text().length()) * LETTER
        : 2 * LETTER;
  }

  @Override
  public double height(Node element, double width) {
    return Math.ceil(length(element) / Math.max(LETTER, width)) * LINE;
  }

  @Override
  public double width(Node element) {
    return length(element);
  }

  @Override
  public double narrowest(Node element) {
    return element.kind() == Kind.PICTURE ? 0 : LETTER;
  }

  @Override
  public double ratio(Node picture) {
    return 3.0 / 2;
  }
}
