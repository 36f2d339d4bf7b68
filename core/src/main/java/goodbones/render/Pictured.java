package goodbones.render;

import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * What is known of a picture where it is drawn.
 *
 * @param url where it is served, relative to the style sheet
 * @param width of the whole picture, in px; 0 if that is not known
 * @param height of the whole picture, in px; 0 if that is not known
 * @param alt its own alternative text; empty if it has none
 * @param decoration whether it says nothing on purpose
 * @param focus what is to be seen of it when it is cropped
 * @param sizes the same picture at smaller and smaller widths, and the whole last; none for one
 *     that is sharp at any size
 */
public record Pictured(
    String url,
    int width,
    int height,
    String alt,
    boolean decoration,
    Focus focus,
    List<Size> sizes) {

  /** A point of a picture, in shares of its width and height, 0 to 1. */
  public record Focus(double x, double y) {
    public static final Focus CENTRE = new Focus(0.5, 0.5);
    private static final int PERCENT = 100;

    public Focus {
      if (!(x >= 0 && x <= 1 && y >= 0 && y <= 1)) {
        throw new IllegalArgumentException(
            "a point of a picture lies between 0 and 1 across and down, not at " + x + ", " + y);
      }
    }

    /** As a CSS {@code <position>} (CSS Values 4, 9.2). */
    String css() {
      return percent(x) + " " + percent(y);
    }

    private static String percent(double share) {
      return Math.round(share * PERCENT) + "%";
    }
  }

  /** One file of a picture; the width is in px. */
  public record Size(int width, String url) {}

  public Pictured {
    sizes = List.copyOf(sizes);
  }

  /** Where nothing is known but where pictures are served. */
  public static Function<String, Pictured> at(UnaryOperator<String> url) {
    return id -> new Pictured(url.apply(id), 0, 0, "", false, Focus.CENTRE, List.of());
  }
}
