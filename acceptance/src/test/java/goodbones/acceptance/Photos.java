package goodbones.acceptance;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** Pictures that a person might bring in. */
final class Photos {
  /** One that would run something and fetch something. */
  static final String HOSTILE =
      "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 300 200' onload='evil()'>"
          + "<script>evil()</script><image href='https://example.org/spy.png'/>"
          + "<rect width='300' height='200' fill='#cde'/></svg>";

  private Photos() {}

  static byte[] jpeg(int width, int height) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    var graphics = image.createGraphics();
    graphics.setPaint(new GradientPaint(0, 0, Color.ORANGE, width, height, Color.BLUE));
    graphics.fillRect(0, 0, width, height);
    graphics.dispose();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "jpg", bytes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }
}
