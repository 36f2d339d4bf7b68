package goodbones.server.pictures;

import goodbones.server.problems.BadInput;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;

/**
 * A file that was found to be a picture.
 *
 * @param width in px
 * @param height in px
 */
record PictureFile(String mediaType, String ending, int width, int height) {
  private static final Set<String> REFUSED_IN_SVG =
      Set.of("script", "foreignobject", "iframe", "object", "embed", "handler", "set", "animate");

  /**
   * Looks into a file; its name is not trusted.
   *
   * @throws BadInput if it is no PNG, JPEG or SVG picture that can be shown safely
   */
  static PictureFile read(String fileName, byte[] bytes) {
    String start =
        new String(bytes, 0, Math.min(bytes.length, 400), java.nio.charset.StandardCharsets.UTF_8);
    if (start.contains("<svg")) {
      return svg(fileName, bytes);
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      while (readers.hasNext()) {
        ImageReader reader = readers.next();
        String format = reader.getFormatName().toLowerCase(Locale.ROOT);
        if (format.equals("png") || format.equals("jpeg")) {
          reader.setInput(in);
          return new PictureFile(
              "image/" + format,
              format.equals("png") ? "png" : "jpg",
              reader.getWidth(0),
              reader.getHeight(0));
        }
      }
    } catch (IOException | RuntimeException e) {
      throw new BadInput(
          "file",
          "“"
              + fileName
              + "” looks like a picture but is damaged; save it again and bring it in anew");
    }
    throw new BadInput(
        "file",
        "“"
            + fileName
            + "” is not a picture that can be used here; bring in a PNG, JPEG or SVG file");
  }

  private static PictureFile svg(String fileName, byte[] bytes) {
    Document svg =
        Jsoup.parse(
            new String(bytes, java.nio.charset.StandardCharsets.UTF_8), "", Parser.xmlParser());
    for (Element element : svg.getAllElements()) {
      String tag = element.normalName();
      if (REFUSED_IN_SVG.contains(tag)) {
        throw unsafe(fileName, "<" + tag + ">");
      }
      for (Attribute attribute : element.attributes()) {
        String name = attribute.getKey().toLowerCase(Locale.ROOT);
        boolean outside =
            name.endsWith("href")
                && !attribute.getValue().startsWith("#")
                && !attribute.getValue().startsWith("data:image/");
        if (name.startsWith("on") || outside) {
          throw unsafe(fileName, name);
        }
      }
    }
    Element root = svg.selectFirst("svg");
    if (root == null) {
      throw new BadInput("file", "“" + fileName + "” has no svg element; export it again as SVG");
    }
    String[] box = root.attr("viewBox").trim().split("[ ,]+");
    if (box.length != 4) {
      throw new BadInput(
          "file", "“" + fileName + "” has no viewBox, so its size is unknown; export it with one");
    }
    try {
      return new PictureFile(
          "image/svg+xml",
          "svg",
          (int) Math.round(Double.parseDouble(box[2])),
          (int) Math.round(Double.parseDouble(box[3])));
    } catch (NumberFormatException e) {
      throw new BadInput("file", "“" + fileName + "” has a viewBox that is not four numbers");
    }
  }

  private static BadInput unsafe(String fileName, String what) {
    return new BadInput(
        "file",
        "“"
            + fileName
            + "” holds "
            + what
            + ", which could run or fetch something; export it as a plain SVG");
  }
}
