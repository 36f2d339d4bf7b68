package goodbones.exchange;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;

/**
 * Makes elements of HTML that comes from another program: headings and texts with their marks. Its
 * styles and pictures are left behind. The HTML given in is not modified.
 */
public final class PastedHtml {
  private static final int LIMIT = 200;
  private static final Set<String> HEADINGS = Set.of("h1", "h2", "h3", "h4", "h5", "h6");
  private static final Set<String> TEXTS =
      Set.of("p", "ul", "ol", "blockquote", "pre", "table", "dl", "figcaption", "li");

  private final Supplier<NodeId> ids;
  private final List<Node> nodes = new ArrayList<>();
  private final StringBuilder loose = new StringBuilder();

  private PastedHtml(Supplier<NodeId> ids) {
    this.ids = ids;
  }

  /**
   * @param ids gives an id that was never used
   * @return headings and texts in their order, at most two hundred; empty if there are no words
   */
  public static List<Node> nodes(String html, Supplier<NodeId> ids) {
    PastedHtml reader = new PastedHtml(ids);
    reader.read(Jsoup.parseBodyFragment(html).body());
    reader.settle();
    return reader.nodes.size() > LIMIT ? reader.nodes.subList(0, LIMIT) : reader.nodes;
  }

  private void read(Element element) {
    for (org.jsoup.nodes.Node child : element.childNodes()) {
      if (child instanceof TextNode words) {
        loose.append(words.outerHtml());
      } else if (child instanceof Element inner) {
        String name = inner.normalName();
        if (HEADINGS.contains(name)) {
          settle();
          add(Kind.HEADING, inner.outerHtml(), name.charAt(1) - '0');
        } else if (TEXTS.contains(name)) {
          settle();
          add(Kind.TEXT, inner.outerHtml(), 0);
        } else if (inner.isBlock()) {
          settle();
          read(inner);
          settle();
        } else {
          loose.append(inner.outerHtml());
        }
      }
    }
  }

  /** Words that stand in no paragraph make one. */
  private void settle() {
    if (loose.length() > 0) {
      add(Kind.TEXT, loose.toString(), 0);
      loose.setLength(0);
    }
  }

  private void add(Kind kind, String html, int level) {
    FieldValue.Words words = MarkedHtml.words(html);
    if (words.text().isBlank()) {
      return;
    }
    Node node = Node.of(ids.get(), kind, "");
    nodes.add(
        kind == Kind.HEADING
            ? node.withContent("words", new FieldValue.Words(words.text()))
                .withContent("level", new FieldValue.Level(level))
            : node.withContent("words", words));
  }
}
