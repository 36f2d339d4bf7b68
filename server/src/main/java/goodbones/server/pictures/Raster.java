package goodbones.server.pictures;

import goodbones.colour.Colour;
import goodbones.colour.Palette;
import java.util.List;

/**
 * The pixels of a picture, made small enough to reckon with.
 *
 * @param argb row by row, 8 bits each of alpha, red, green and blue, not premultiplied
 */
public record Raster(int width, int height, int[] argb) {

  List<Palette.Swatch> palette() {
    return Palette.of(argb);
  }

  /** The colour at a point; x and y are shares of width and height, 0 to 1. */
  Colour at(double x, double y) {
    return Palette.at(argb, width, height, place(x, width), place(y, height));
  }

  private static int place(double share, int size) {
    return Math.max(0, Math.min(size - 1, (int) (share * size)));
  }

  /** The pixel at a point, alpha and all. */
  public Colour pixel(double x, double y) {
    int p = argb[place(y, height) * width + place(x, width)];
    return new Colour(p >> 16 & 255, p >> 8 & 255, p & 255, (p >>> 24) / 255.0);
  }
}
