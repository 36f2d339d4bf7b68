package goodbones.server.pictures;

import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import org.apache.batik.transcoder.TranscoderException;
import org.apache.batik.transcoder.TranscoderInput;
import org.apache.batik.transcoder.TranscoderOutput;
import org.apache.batik.transcoder.image.ImageTranscoder;

/** Draws pictures smaller. It runs in a process of its own; see {@link DrawingRoom}. */
final class Drawing {
  /** The longer side of what is drawn, in px. */
  static final int SIDE = 320;

  /** That many are in memory at a time: 16 bits a channel are 128 MB of them. */
  private static final double MOST_PIXELS = 16_000_000;

  private static final double QUALITY = 0.82;

  private Drawing() {}

  /**
   * @param width of the picture, in px
   * @throws IOException if it cannot be drawn
   */
  static BufferedImage of(String mediaType, int width, int height, byte[] bytes)
      throws IOException {
    return mediaType.equals("image/svg+xml")
        ? svg(width, height, bytes)
        : scaled(read(bytes, SIDE));
  }

  /**
   * The same picture narrower, as a file of the same kind, without what a camera wrote into it.
   *
   * @param width in px
   * @throws IOException if it cannot be drawn
   */
  static byte[] narrower(String mediaType, int width, byte[] bytes) throws IOException {
    boolean png = mediaType.equals("image/png");
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    Thumbnails.of(read(bytes, width))
        .width(width)
        .imageType(png ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB)
        .outputFormat(png ? "png" : "jpg")
        .outputQuality(QUALITY)
        .toOutputStream(file);
    return file.toByteArray();
  }

  /**
   * Reads no more pixels than are needed to scale from, twice as many on a side where they fit into
   * memory; the way up that it is seen.
   */
  private static BufferedImage read(byte[] bytes, int side) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      ImageReader reader = ImageIO.getImageReaders(in).next();
      reader.setInput(in, true, false);
      int longer = Math.max(reader.getWidth(0), reader.getHeight(0));
      double times = Math.sqrt((double) reader.getWidth(0) * reader.getHeight(0) / MOST_PIXELS);
      int few = Math.min((int) Math.ceil(times), longer / side);
      int step = Math.max(1, Math.max(few, longer / (side * 2)));
      ImageReadParam wanted = reader.getDefaultReadParam();
      wanted.setSourceSubsampling(step, step, 0, 0);
      try {
        BufferedImage stored = reader.read(0, wanted);
        return Turned.of(reader)
            .map(orientation -> ExifFilterUtils.getFilterForOrientation(orientation).apply(stored))
            .orElse(stored);
      } finally {
        reader.dispose();
      }
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

  private static BufferedImage svg(int width, int height, byte[] bytes) throws IOException {
    BufferedImage[] drawn = new BufferedImage[1];
    ImageTranscoder transcoder =
        new ImageTranscoder() {
          @Override
          public BufferedImage createImage(int w, int h) {
            return new BufferedImage(w, h, BufferedImage.TYPE_INT_ARGB);
          }

          @Override
          public void writeImage(BufferedImage image, TranscoderOutput output) {
            drawn[0] = image;
          }
        };
    double scale = SIDE / (double) Math.max(1, Math.max(width, height));
    transcoder.addTranscodingHint(
        ImageTranscoder.KEY_WIDTH, (float) Math.max(1, Math.round(width * scale)));
    transcoder.addTranscodingHint(
        ImageTranscoder.KEY_HEIGHT, (float) Math.max(1, Math.round(height * scale)));
    transcoder.addTranscodingHint(ImageTranscoder.KEY_ALLOW_EXTERNAL_RESOURCES, false);
    try {
      transcoder.transcode(
          new TranscoderInput(new ByteArrayInputStream(bytes)), new TranscoderOutput());
    } catch (TranscoderException e) {
      throw new IOException(e);
    }
    return drawn[0];
  }
}
