package goodbones.server.pictures;

import goodbones.server.problems.BadInput;
import java.io.ByteArrayInputStream;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes an SVG file anew out of what is allowed in it: known elements of the SVG namespace, known
 * attributes with plain values, references inside the file, and pictures that it holds itself. The
 * file that was brought in is read and thrown away.
 */
final class SvgRebuilder {
  private static final String SVG = "http://www.w3.org/2000/svg";
  private static final String XLINK = "http://www.w3.org/1999/xlink";
  private static final int LISTED = 6;
  private final String fileName;
  private final SvgStyles styles = new SvgStyles();
  private final SvgReferences references;
  private final Set<String> leftOut = new LinkedHashSet<>();
  private int elements;
  private long pixels;
  private double width;
  private double height;

  private SvgRebuilder(String fileName) {
    this.fileName = fileName;
    this.references = new SvgReferences(fileName);
  }

  /**
   * A file written anew.
   *
   * @param width in px
   * @param leftOut names of what did not come along, a few at most
   */
  record Rebuilt(byte[] bytes, int width, int height, Set<String> leftOut) {}

  /**
   * @throws BadInput if it cannot be read, or is beyond a limit
   */
  static Rebuilt rebuild(String fileName, byte[] bytes) {
    if (bytes.length > PictureLimits.SVG_BYTES) {
      throw new BadInput(
          "file",
          "“"
              + fileName
              + "” has "
              + bytes.length / 1024
              + " KB; an SVG may have at most "
              + PictureLimits.SVG_BYTES / 1024
              + ": export it with fewer points, or as a PNG");
    }
    SvgRebuilder rebuilder = new SvgRebuilder(fileName);
    try {
      rebuilder.readStyles(bytes);
      byte[] written = rebuilder.write(bytes);
      rebuilder.references.require();
      return new Rebuilt(
          written,
          (int) Math.max(1, Math.round(rebuilder.width)),
          (int) Math.max(1, Math.round(rebuilder.height)),
          rebuilder.leftOut);
    } catch (XMLStreamException e) {
      throw rebuilder.bad(
          "cannot be read as SVG"
              + (e.getLocation() == null ? "" : " at line " + e.getLocation().getLineNumber())
              + "; export it again as a plain SVG, without a document type");
    }
  }

  private static XMLStreamReader reader(byte[] bytes) throws XMLStreamException {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
    return factory.createXMLStreamReader(new ByteArrayInputStream(bytes));
  }

  /** Style sheets may stand behind what they speak of. */
  private void readStyles(byte[] bytes) throws XMLStreamException {
    XMLStreamReader in = reader(bytes);
    StringBuilder css = new StringBuilder();
    int depth = 0;
    boolean inStyle = false;
    while (in.hasNext()) {
      int event = in.next();
      if (event == XMLStreamConstants.START_ELEMENT) {
        depth++;
        if (depth > PictureLimits.SVG_DEPTH) {
          throw bad(
              "has elements that stand in each other more than "
                  + PictureLimits.SVG_DEPTH
                  + " deep; ungroup them and export it again");
        }
        elements++;
        if (elements > PictureLimits.SVG_ELEMENTS) {
          throw bad(
              "has more than "
                  + PictureLimits.SVG_ELEMENTS
                  + " elements; make it simpler, or export it as a PNG");
        }
        inStyle = in.getLocalName().equals("style") && SVG.equals(in.getNamespaceURI());
      } else if (event == XMLStreamConstants.END_ELEMENT) {
        depth--;
        inStyle = false;
      } else if (inStyle && in.isCharacters()) {
        css.append(in.getText());
      }
    }
    if (!css.isEmpty()) {
      styles.add(css.toString());
    }
  }

  private byte[] write(byte[] bytes) throws XMLStreamException {
    StringWriter text = new StringWriter();
    XMLStreamWriter out = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(text);
    XMLStreamReader in = reader(bytes);
    Deque<String> open = new ArrayDeque<>();
    while (in.hasNext()) {
      int event = in.next();
      if (event == XMLStreamConstants.START_ELEMENT) {
        String name = in.getLocalName();
        boolean svg = SVG.equals(in.getNamespaceURI());
        boolean holder = svg && SvgAllowed.HOLDERS.contains(name);
        if (!holder && !(svg && SvgAllowed.ELEMENTS.contains(name))
            || open.isEmpty() && !name.equals("svg")) {
          skip(in, svg ? name : in.getPrefix() + ":" + name);
          continue;
        }
        start(in, holder ? "g" : name, open.isEmpty(), out);
        open.push(holder ? "g" : name);
      } else if (event == XMLStreamConstants.END_ELEMENT) {
        references.close();
        out.writeEndElement();
        open.pop();
      } else if (in.isCharacters() && !in.isWhiteSpace() && holdsText(open.peek())) {
        out.writeCharacters(in.getText());
      }
    }
    if (width <= 0) {
      throw bad("has no svg element; export it again as SVG");
    }
    out.flush();
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static boolean holdsText(String element) {
    return element != null && Set.of("text", "tspan", "title", "desc").contains(element);
  }

  /** Leaves an element out with all that stands in it. */
  private void skip(XMLStreamReader in, String name) throws XMLStreamException {
    if (!name.equals("style") && leftOut.size() < LISTED) {
      leftOut.add("<" + name.replaceFirst("^:", "") + ">");
    }
    int depth = 1;
    while (depth > 0) {
      int event = in.next();
      depth +=
          event == XMLStreamConstants.START_ELEMENT
              ? 1
              : event == XMLStreamConstants.END_ELEMENT ? -1 : 0;
    }
  }

  private void start(XMLStreamReader in, String name, boolean root, XMLStreamWriter out)
      throws XMLStreamException {
    Map<String, String> attributes = attributes(in, name);
    String href = href(in, name);
    references.open(attributes, href);
    out.writeStartElement(name);
    if (root) {
      out.writeDefaultNamespace(SVG);
      out.writeNamespace("xlink", XLINK);
      size(attributes);
    }
    for (Map.Entry<String, String> attribute : attributes.entrySet()) {
      out.writeAttribute(attribute.getKey(), attribute.getValue());
    }
    if (!href.isEmpty()) {
      out.writeAttribute("xlink", XLINK, "href", href);
    }
  }

  private Map<String, String> attributes(XMLStreamReader in, String name) {
    Map<String, String> attributes = new LinkedHashMap<>();
    for (int i = 0; i < in.getAttributeCount(); i++) {
      String attribute = in.getAttributeLocalName(i);
      String namespace = in.getAttributeNamespace(i);
      boolean plain = namespace == null || namespace.isEmpty();
      if (plain && SvgAllowed.takes(attribute, in.getAttributeValue(i))) {
        attributes.put(attribute, in.getAttributeValue(i));
      }
    }
    attributes.putAll(
        styles.of(
            name,
            attributes.getOrDefault("id", ""),
            new LinkedHashSet<>(Arrays.asList(said(in, "class").strip().split("\\s+"))),
            said(in, "style")));
    return attributes;
  }

  private static String said(XMLStreamReader in, String attribute) {
    String value = in.getAttributeValue(null, attribute);
    return value == null ? "" : value;
  }

  private String href(XMLStreamReader in, String name) {
    String plain = said(in, "href");
    String linked = in.getAttributeValue(XLINK, "href");
    String href = plain.isEmpty() && linked != null ? linked.strip() : plain.strip();
    if (name.equals("image")) {
      return href.startsWith("data:") ? embedded(href) : left(href);
    }
    boolean refers = Set.of("use", "linearGradient", "radialGradient", "pattern").contains(name);
    return refers && !SvgAllowed.idOf(href).isEmpty() ? href : "";
  }

  /** Every one that is drawn is unpacked, so their sum counts. */
  private String embedded(String href) {
    long found = EmbeddedPicture.pixels(href);
    pixels += found;
    if (pixels > PictureLimits.PIXELS) {
      throw bad(
          "holds pictures of more than "
              + PictureLimits.PIXELS / 1_000_000
              + " million pixels together; make them smaller, or bring them in by themselves");
    }
    return found > 0 ? href : left(href);
  }

  private String left(String href) {
    if (!href.isEmpty() && leftOut.size() < LISTED) {
      leftOut.add("a picture that it does not hold itself");
    }
    return "";
  }

  /** The size is the view box's; without one, that of the picture. */
  private void size(Map<String, String> attributes) {
    String[] box = attributes.getOrDefault("viewBox", "").strip().split("[ ,]+");
    try {
      if (box.length == 4) {
        width = Double.parseDouble(box[2]);
        height = Double.parseDouble(box[3]);
      } else {
        width = px(attributes.get("width"));
        height = px(attributes.get("height"));
        attributes.put("viewBox", "0 0 " + width + " " + height);
      }
    } catch (NumberFormatException e) {
      throw bad("has a viewBox that is not four numbers; export it with one");
    }
    boolean sound = width > 0 && height > 0 && Math.max(width, height) <= PictureLimits.SVG_SIDE;
    if (!sound) {
      throw bad(
          "says a size of "
              + width
              + " by "
              + height
              + "; both have to be above 0 and at most "
              + PictureLimits.SVG_SIDE);
    }
  }

  private double px(String length) {
    if (length == null || length.endsWith("%")) {
      throw bad("has no viewBox, so its size is unknown; export it with one");
    }
    return Double.parseDouble(length.strip().replaceFirst("px$", ""));
  }

  private BadInput bad(String what) {
    return new BadInput("file", "“" + fileName + "” " + what);
  }
}
