package goodbones.server.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.server.problems.BadInput;
import java.awt.Color;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

class RasterTest {
  private static final DrawingRoom ROOM = new DrawingRoom(Duration.ofSeconds(20));

  @AfterAll
  static void close() {
    ROOM.end();
  }

  private static DrawingRoom.Sheet svg(String body) {
    String text =
        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 400 100\">" + body + "</svg>";
    return new DrawingRoom.Sheet(
        "p.svg", "image/svg+xml", 400, 100, text.getBytes(StandardCharsets.UTF_8));
  }

  private static DrawingRoom.Sheet png(int width, int height, Color left, Color right)
      throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    var graphics = image.createGraphics();
    graphics.setColor(left);
    graphics.fillRect(0, 0, width / 2, height);
    graphics.setColor(right);
    graphics.fillRect(width / 2, 0, width - width / 2, height);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, "png", bytes);
    return new DrawingRoom.Sheet("p.png", "image/png", width, height, bytes.toByteArray());
  }

  /** A picture at the limit of what is taken in, with as many bits as a PNG may have. */
  @Test
  void theLargestPictureThatIsTakenInIsMadeNarrower() throws IOException {
    BufferedImage deep =
        new BufferedImage(
            new ComponentColorModel(
                ColorSpace.getInstance(ColorSpace.CS_sRGB),
                true,
                false,
                Transparency.TRANSLUCENT,
                DataBuffer.TYPE_USHORT),
            Raster16.of(8000, 5000),
            false,
            null);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(deep, "png", bytes);
    PictureFile file = PictureFile.read("deep.png", bytes.toByteArray());
    assertThat((long) file.width() * file.height()).isEqualTo(PictureLimits.PIXELS);
    DrawingRoom.Sheet sheet =
        new DrawingRoom.Sheet("deep.png", "image/png", 8000, 5000, bytes.toByteArray());
    for (int width : new int[] {2560, 320}) {
      BufferedImage narrow = ImageIO.read(new ByteArrayInputStream(ROOM.narrower(sheet, width)));
      assertThat(narrow.getWidth()).isEqualTo(width);
    }
  }

  /** Pixels of four channels with 16 bits each. */
  private static final class Raster16 {
    private Raster16() {}

    static java.awt.image.WritableRaster of(int width, int height) {
      return java.awt.image.Raster.createInterleavedRaster(
          DataBuffer.TYPE_USHORT, width, height, 4, null);
    }
  }

  @Test
  void theSamePictureAsSvgAndAsPngGivesTheSameColours() throws IOException {
    Raster drawn =
        ROOM.draw(
            svg(
                "<rect width=\"200\" height=\"100\" fill=\"#1d3a4c\"/>"
                    + "<rect x=\"200\" width=\"200\" height=\"100\" fill=\"#e2a13a\"/>"));
    Raster read = ROOM.draw(png(800, 200, new Color(0x1d3a4c), new Color(0xe2a13a)));
    for (Raster raster : new Raster[] {drawn, read}) {
      assertThat(raster.width()).isEqualTo(320);
      assertThat(raster.height()).isEqualTo(80);
      assertThat(raster.at(0.2, 0.5).css()).isEqualTo("#1d3a4c");
      assertThat(raster.at(0.8, 0.5).css()).isEqualTo("#e2a13a");
      assertThat(raster.at(7, -7).css()).as("outside counts as the edge").isEqualTo("#e2a13a");
      assertThat(raster.palette()).hasSize(2);
      assertThat(raster.palette().get(0).share()).isBetween(0.45, 0.55);
    }
  }

  @Test
  void whatIsClearStaysClear() {
    Raster raster = ROOM.draw(svg("<rect width=\"200\" height=\"100\" fill=\"#1d3a4c\"/>"));
    assertThat(raster.pixel(0.9, 0.5).alpha()).isZero();
    assertThat(raster.palette()).hasSize(1);
  }

  @Test
  void aSmallPictureIsNotMadeLarger() throws IOException {
    assertThat(ROOM.draw(png(12, 6, Color.RED, Color.RED)).width()).isEqualTo(12);
  }

  @Test
  void whatCannotBeDrawnIsSaid() {
    DrawingRoom.Sheet damaged =
        new DrawingRoom.Sheet(
            "quay.png", "image/png", 3, 3, "not pixels".getBytes(StandardCharsets.UTF_8));
    assertThatThrownBy(() -> ROOM.draw(damaged))
        .isInstanceOf(BadInput.class)
        .hasMessageContaining("“quay.png” cannot be drawn here");
  }
}
