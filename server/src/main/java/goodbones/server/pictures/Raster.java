package goodbones.server.pictures;

import goodbones.colour.Colour;
import goodbones.colour.Palette;
import goodbones.server.problems.BadInput;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.batik.transcoder.TranscoderException;
import org.apache.batik.transcoder.TranscoderInput;
import org.apache.batik.transcoder.TranscoderOutput;
import org.apache.batik.transcoder.image.ImageTranscoder;

/**
 * The pixels of a picture, made small enough to reckon with.
 *
 * @param argb row by row, 8 bits each of alpha, red, green and blue, not premultiplied
 */
public record Raster(int width, int height, int[] argb) {
  private static final int SIDE = 320;

  /**
   * @throws BadInput if the picture cannot be drawn
   */
  static Raster of(Picture picture) {
    try {
      BufferedImage image =
          picture.mediaType().equals("image/svg+xml")
              ? drawn(picture)
              : scaled(ImageIO.read(new ByteArrayInputStream(picture.bytes())));
      int[] pixels =
          image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
      return new Raster(image.getWidth(), image.getHeight(), pixels);
    } catch (IOException | TranscoderException | RuntimeException e) {
      throw new BadInput(
          "picture",
          "“" + picture.fileName() + "” cannot be drawn here; save it again and bring it in anew");
    }
  }

  private static BufferedImage scaled(BufferedImage image) {
    double scale = Math.min(1, SIDE / (double) Math.max(image.getWidth(), image.getHeight()));
    int width = Math.max(1, (int) Math.round(image.getWidth() * scale));
    int height = Math.max(1, (int) Math.round(image.getHeight() * scale));
    BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    var graphics = small.createGraphics();
    graphics.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    graphics.drawImage(image, 0, 0, width, height, null);
    graphics.dispose();
    return small;
  }

  /** Draws an SVG picture; what stands in it was checked when it came in. */
  private static BufferedImage drawn(Picture picture) throws TranscoderException {
    BufferedImage[] drawn = new BufferedImage[1];
    ImageTranscoder transcoder =
        new ImageTranscoder() {
          @Override
          public BufferedImage createImage(int width, int height) {
            return new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
          }

          @Override
          public void writeImage(BufferedImage image, TranscoderOutput output) {
            drawn[0] = image;
          }
        };
    double scale = SIDE / (double) Math.max(1, Math.max(picture.width(), picture.height()));
    transcoder.addTranscodingHint(
        ImageTranscoder.KEY_WIDTH, (float) Math.max(1, picture.width() * scale));
    transcoder.addTranscodingHint(
        ImageTranscoder.KEY_HEIGHT, (float) Math.max(1, picture.height() * scale));
    transcoder.addTranscodingHint(ImageTranscoder.KEY_ALLOW_EXTERNAL_RESOURCES, false);
    transcoder.transcode(
        new TranscoderInput(new ByteArrayInputStream(picture.bytes())), new TranscoderOutput());
    return drawn[0];
  }

  public List<Palette.Swatch> palette() {
    return Palette.of(argb);
  }

  /** The colour at a point; x and y are shares of width and height, 0 to 1. */
  public Colour at(double x, double y) {
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
