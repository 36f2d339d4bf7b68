package goodbones.server.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.server.problems.BadInput;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.concurrent.TimeUnit;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SvgRebuilderTest {
  private static final String OPEN =
      "<svg xmlns=\"http://www.w3.org/2000/svg\" xmlns:xlink=\"http://www.w3.org/1999/xlink\""
          + " viewBox=\"0 0 40 20\">";

  private static SvgRebuilder.Rebuilt rebuild(String text) {
    return SvgRebuilder.rebuild("p.svg", text.getBytes(StandardCharsets.UTF_8));
  }

  private static String text(String body) {
    return new String(rebuild(OPEN + body + "</svg>").bytes(), StandardCharsets.UTF_8);
  }

  /** Every way that got something past a list of what is forbidden. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "<script>evil()</script>",
        "<s:script xmlns:s=\"http://www.w3.org/2000/svg\">evil()</s:script>",
        "<x:script xmlns:x=\"http://www.w3.org/1999/xhtml\">evil()</x:script>",
        "<h:meta xmlns:h=\"http://www.w3.org/1999/xhtml\" http-equiv=\"refresh\" content=\"0;evil\"/>",
        "<foreignObject><p xmlns=\"http://www.w3.org/1999/xhtml\">evil</p></foreignObject>",
        "<style>@import url(http://evil/x.css); .a{fill:url(http://evil/y)}</style><g class=\"a\"/>",
        "<rect onload=\"evil()\" style=\"background:url(evil)\" fill=\"url(http://evil/#a)\"/>",
        "<a xlink:href=\"javascript:evil()\"><rect width=\"1\"/></a>",
        "<image href=\"http://evil/x.png\"/>",
        "<image xlink:href=\"data:text/html;base64,ZXZpbA==\"/>",
        "<use href=\"evil.svg#a\"/>",
        "<set attributeName=\"href\" to=\"evil\"/>",
        "<animate attributeName=\"fill\" values=\"evil\"/>",
        "<?xml-stylesheet href=\"evil.css\"?>",
        "<rect fill=\"image(evil)\" filter=\"url(#evil)\"/>",
        "<!-- evil --><rect data-x=\"evil\" xml:base=\"http://evil/\"/>"
      })
  void nothingThatRunsOrFetchesComesAlong(String body) {
    assertThat(text(body)).doesNotContain("evil").startsWith("<svg xmlns=");
  }

  @Test
  void thePicturesThatItHoldsCountTogether() throws IOException {
    BufferedImage white = new BufferedImage(6000, 6000, BufferedImage.TYPE_BYTE_BINARY);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(white, "png", bytes);
    String image =
        "<image width=\"1\" height=\"1\" href=\"data:image/png;base64,"
            + Base64.getEncoder().encodeToString(bytes.toByteArray())
            + "\"/>";
    assertThat(text(image)).contains("data:image/png");
    assertThatThrownBy(() -> text(image + image))
        .isInstanceOf(BadInput.class)
        .hasMessageContaining("40 million pixels together");
  }

  @Test
  void aDocumentTypeIsNotFollowed() {
    String head =
        "<!DOCTYPE svg [<!ENTITY e \"evil\"><!ATTLIST rect onload CDATA \"evil()\">]>" + OPEN;
    for (String body : new String[] {"<rect/>", "<text>&e;</text>", "<rect fill=\"red\"/>"}) {
      assertThat(new String(rebuild(head + body + "</svg>").bytes(), StandardCharsets.UTF_8))
          .doesNotContain("evil", "DOCTYPE");
    }
  }

  @Test
  void whatItLooksLikeStays() {
    String body =
        "<style>.a{fill:#1d3a4c} #b{stroke:red}</style><defs><linearGradient id=\"g\"><stop"
            + " offset=\"0\" stop-color=\"#fff\"/></linearGradient></defs>"
            + "<rect class=\"a\" id=\"b\" width=\"4\" style=\"opacity:.5\"/>"
            + "<use xlink:href=\"#b\"/><circle r=\"2\" fill=\"url(#g)\"/><text>Quay &amp; co</text>";
    assertThat(text(body))
        .contains(
            "fill=\"#1d3a4c\"",
            "stroke=\"red\"",
            "opacity=",
            "xlink:href=\"#b\"",
            "fill=\"url(#g)\"",
            "Quay &amp; co");
    SvgRebuilder.Rebuilt rebuilt = rebuild(OPEN + body + "</svg>");
    assertThat(rebuilt.width()).isEqualTo(40);
    assertThat(rebuilt.leftOut()).isEmpty();
  }

  /** A file of 3 KB: eight levels of ten uses each are a hundred million elements. */
  @Test
  void usesOfUsesAreCountedBeforeAnythingIsDrawn() {
    StringBuilder svg = new StringBuilder(OPEN).append("<g id=\"l0\"><rect width=\"1\"/></g>");
    for (int level = 1; level <= 8; level++) {
      svg.append("<g id=\"l").append(level).append("\">");
      svg.append(("<use href=\"#l" + (level - 1) + "\"/>").repeat(10)).append("</g>");
    }
    assertThatThrownBy(() -> rebuild(svg.append("</svg>").toString()))
        .isInstanceOf(BadInput.class)
        .hasMessageContaining("would be drawn");
    assertThatThrownBy(() -> text("<g id=\"a\"><use href=\"#a\"/></g>"))
        .hasMessageContaining("inside itself");
  }

  @Test
  void deepAndManyElementsAreRefusedInWords() {
    assertThatThrownBy(() -> text("<g>".repeat(50_000) + "</g>".repeat(50_000)))
        .hasMessageContaining("deep");
    assertThatThrownBy(() -> text("<g/>".repeat(30_000))).hasMessageContaining("elements");
    assertThatThrownBy(() -> rebuild(OPEN + "x".repeat(3_000_000)))
        .hasMessageContaining("may have at most 2048");
  }

  /** The header of a PNG says its size; nothing more is read (PNG, third edition, 11.2.1). */
  @Test
  void tooManyPixelsAreRefusedByTheHeader() {
    byte[] png = header(20_000, 20_000);
    assertThatThrownBy(() -> PictureFile.read("vast.png", png))
        .isInstanceOf(BadInput.class)
        .hasMessageContaining("20000 × 20000 px", "40 million pixels");
  }

  private static byte[] header(int width, int height) {
    java.nio.ByteBuffer png = java.nio.ByteBuffer.allocate(8 + 25);
    png.putLong(0x89504E470D0A1A0AL).putInt(13);
    java.nio.ByteBuffer chunk = java.nio.ByteBuffer.allocate(17);
    chunk.put("IHDR".getBytes(StandardCharsets.US_ASCII)).putInt(width).putInt(height);
    chunk.put(new byte[] {8, 2, 0, 0, 0});
    CRC32 sum = new CRC32();
    sum.update(chunk.array());
    return png.put(chunk.array()).putInt((int) sum.getValue()).array();
  }

  /** Dashes without end: no count of elements tells that, only the time it takes. */
  @Test
  void whatTakesTooLongIsEndedAndTheNextIsDrawn() {
    DrawingRoom room = new DrawingRoom(Duration.ofSeconds(4));
    try {
      String dashes =
          "<path d=\"M0 0H90000000\" stroke=\"#000\" stroke-width=\"9\" stroke-dasharray=\"0.0001\"/>";
      DrawingRoom.Sheet endless = picture(text(dashes.repeat(40)));
      assertThatThrownBy(() -> room.draw(endless))
          .isInstanceOf(BadInput.class)
          .hasMessageContaining("p.svg");
      Raster next = room.draw(picture(text("<rect width=\"40\" height=\"20\" fill=\"#1d3a4c\"/>")));
      assertThat(next.at(0.5, 0.5).css()).isEqualTo("#1d3a4c");
    } finally {
      room.end();
    }
  }

  @Test
  void theProcessIsEndedWhenItsTimeIsOver() {
    DrawingRoom room = new DrawingRoom(Duration.ofMillis(700));
    String line = "<path d=\"M0 5H40000\" stroke=\"#000\" stroke-dasharray=\"1 2\"/>";
    DrawingRoom.Sheet slow = picture(text(line.repeat(2000)));
    assertThatThrownBy(() -> room.draw(slow)).hasMessageContaining("takes longer than");
    assertThat(ProcessHandle.current().children())
        .as("what was drawing it")
        .noneMatch(
            child ->
                child.isAlive()
                    && child.info().commandLine().orElse("").contains("DrawingProcess")
                    && child.onExit().completeOnTimeout(null, 5, TimeUnit.SECONDS).join() == null);
  }

  private static DrawingRoom.Sheet picture(String svg) {
    return new DrawingRoom.Sheet(
        "p.svg", "image/svg+xml", 40, 20, svg.getBytes(StandardCharsets.UTF_8));
  }
}
