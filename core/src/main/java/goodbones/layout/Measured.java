package goodbones.layout;

import goodbones.document.Node;

/** What no arithmetic on styles can tell: the sizes of words and pictures. */
public interface Measured {
  /** Where nothing was measured: words are as long as they have letters, pictures are 3 to 2. */
  Measured GUESSED = new Guessed(9);

  /** The same with letters half as wide again, to tell what depends on the length of words. */
  Measured LONGER = new Guessed(13.5);

  /** The height of an element's words set in a border box of a given width, in px. */
  double height(Node element, double width);

  /**
   * The width of an element's border box when its words stand in as few lines as they say; of a
   * picture, its own.
   */
  double width(Node element);

  /**
   * The width of an element's border box when its words break wherever they can; 0 for a picture,
   * which shrinks to any width.
   */
  double narrowest(Node element);

  /** Width through height of the picture that stands in an element. */
  double ratio(Node picture);
}
