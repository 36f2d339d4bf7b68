package goodbones.testing;

import goodbones.document.Node;
import goodbones.layout.Measured;

/**
 * The same sizes for all words and pictures, in px.
 *
 * @param height of words, whatever their room
 * @param width of words in one line
 * @param narrowest of words broken wherever they can be
 * @param ratio of every picture
 */
public record Sizes(double height, double width, double narrowest, double ratio)
    implements Measured {
  @Override
  public double height(Node element, double room) {
    return height;
  }

  @Override
  public double width(Node element) {
    return width;
  }

  @Override
  public double narrowest(Node element) {
    return narrowest;
  }

  @Override
  public double ratio(Node picture) {
    return ratio;
  }
}
