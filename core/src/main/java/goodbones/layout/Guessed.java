package goodbones.layout;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;

/** Sizes of words that depend on their length and their room, as real ones do. */
final class Guessed implements Measured {
  private static final double LINE = 24;

  private final double letter;

  /**
   * @param letter how wide a letter is, in px
   */
  Guessed(double letter) {
    this.letter = letter;
  }

  private double length(Node element) {
    return element.content().get("words") instanceof FieldValue.Words words
        ? Math.max(1, words.text().length()) * letter
        : 2 * letter;
  }

  @Override
  public double height(Node element, double width) {
    return Math.ceil(length(element) / Math.max(letter, width)) * LINE;
  }

  @Override
  public double width(Node element) {
    return length(element);
  }

  @Override
  public double narrowest(Node element) {
    return element.kind() == Kind.PICTURE ? 0 : letter;
  }

  @Override
  public double ratio(Node picture) {
    return 3.0 / 2;
  }
}
