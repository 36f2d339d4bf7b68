package goodbones.server.pictures;

import goodbones.server.problems.BadInput;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * A file that was found to be a picture, as it is kept.
 *
 * @param width in px, as it is seen: a camera that was held upright is minded
 * @param height in px, likewise
 * @param leftOut names of what did not come along
 */
record PictureFile(
    String mediaType, String ending, int width, int height, byte[] bytes, Set<String> leftOut) {
  private static final int BEGINNING = 4000;

  /**
   * Looks into a file; its name is not trusted. Only headers are read of pixels, and an SVG is
   * written anew.
   *
   * @throws BadInput if it is no PNG, JPEG or SVG picture, or is beyond a limit
   */
  static PictureFile read(String fileName, byte[] bytes) {
    if (bytes.length > PictureLimits.BYTES) {
      throw new BadInput(
          "file",
          "“"
              + fileName
              + "” is too large: a picture may have at most "
              + PictureLimits.BYTES / PictureLimits.MB
              + " MB; save it smaller and bring it in again");
    }
    if (beginning(bytes).contains("<svg")) {
      SvgRebuilder.Rebuilt svg = SvgRebuilder.rebuild(fileName, bytes);
      return new PictureFile(
          "image/svg+xml", "svg", svg.width(), svg.height(), svg.bytes(), svg.leftOut());
    }
    return raster(fileName, bytes)
        .orElseThrow(
            () ->
                new BadInput(
                    "file",
                    "“"
                        + fileName
                        + "” is not a picture that can be used here; bring in a PNG, JPEG or SVG"
                        + " file"));
  }

  private static String beginning(byte[] bytes) {
    boolean wide =
        bytes.length > 1 && (bytes[0] == -2 && bytes[1] == -1 || bytes[0] == -1 && bytes[1] == -2);
    return new String(
        bytes,
        0,
        Math.min(bytes.length, BEGINNING),
        wide ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8);
  }

  /**
   * Reads the header of a PNG or JPEG.
   *
   * @return empty if it is neither
   * @throws BadInput if it is damaged, or has too many pixels
   */
  static Optional<PictureFile> raster(String fileName, byte[] bytes) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      while (readers.hasNext()) {
        ImageReader reader = readers.next();
        String format = reader.getFormatName().toLowerCase(Locale.ROOT);
        if (format.equals("png") || format.equals("jpeg")) {
          reader.setInput(in, true, false);
          boolean turned = Turned.byQuarter(reader);
          int width = turned ? reader.getHeight(0) : reader.getWidth(0);
          int height = turned ? reader.getWidth(0) : reader.getHeight(0);
          reader.dispose();
          requirePixels(fileName, width, height);
          String ending = format.equals("png") ? "png" : "jpg";
          return Optional.of(
              new PictureFile("image/" + format, ending, width, height, bytes, Set.of()));
        }
      }
    } catch (BadInput refused) {
      throw refused;
    } catch (IOException | RuntimeException e) {
      throw new BadInput(
          "file",
          "“"
              + fileName
              + "” looks like a picture but is damaged; save it again and bring it in anew");
    }
    return Optional.empty();
  }

  boolean isRaster() {
    return !ending.equals("svg");
  }

  private static void requirePixels(String fileName, int width, int height) {
    if ((long) width * height > PictureLimits.PIXELS) {
      throw new BadInput(
          "file",
          "“"
              + fileName
              + "” is "
              + width
              + " × "
              + height
              + " px; a picture may have at most "
              + PictureLimits.PIXELS / 1_000_000
              + " million pixels: save it smaller, 4000 px wide is plenty for any page");
    }
  }
}
