package goodbones.exchange;

import goodbones.document.FieldValue;
import goodbones.document.Mark;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;

/**
 * Reads the words of an element from HTML: what was typed on the canvas, or pasted from anywhere.
 * Only words, line breaks, lists, links, bold, italic and colours that are said by {@code
 * data-colour} (empty: none) are taken over; everything else is left behind. The HTML given in is
 * not modified.
 */
public final class MarkedHtml {
  private static final Set<String> BLOCKS =
      Set.of(
          "p",
          "div",
          "h1",
          "h2",
          "h3",
          "h4",
          "h5",
          "h6",
          "ul",
          "ol",
          "li",
          "section",
          "article",
          "header",
          "footer",
          "table",
          "tr",
          "blockquote",
          "pre",
          "figure",
          "main",
          "body",
          "dl",
          "dt",
          "dd");
  private static final Set<String> UNREAD =
      Set.of("script", "style", "head", "title", "template", "noscript", "svg", "iframe", "object");
  private static final int BOLD_FROM = 600;

  private final StringBuilder text = new StringBuilder();
  private final List<Mark> marks = new ArrayList<>();
  private boolean lineAsked;

  private MarkedHtml() {}

  /** The words of a piece of HTML; plain text is HTML too, as long as it is escaped. */
  public static FieldValue.Words words(String html) {
    MarkedHtml reader = new MarkedHtml();
    reader.children(Jsoup.parseBodyFragment(html).body());
    while (reader.text.length() > 0
        && Character.isWhitespace(reader.text.charAt(reader.text.length() - 1))) {
      reader.cut(reader.text.length() - 1);
    }
    reader.marks.removeIf(MarkedHtml::isNoColour);
    return new FieldValue.Words(reader.text.toString(), reader.marks);
  }

  private void children(Element element) {
    for (Node child : element.childNodes()) {
      if (child instanceof TextNode words) {
        append(words.getWholeText());
      } else if (child instanceof Element inner && !UNREAD.contains(inner.normalName())) {
        element(inner);
      }
    }
  }

  private void element(Element element) {
    String name = element.normalName();
    if (name.equals("br")) {
      newLine();
      return;
    }
    boolean block = BLOCKS.contains(name);
    if (block) {
      askForLine();
    }
    if (name.equals("li")) {
      settleLine();
    }
    int from = start();
    children(element);
    if (text.length() > from) {
      mark(element, name, from);
    }
    if (block) {
      askForLine();
    }
  }

  /** Where words that come now will stand. */
  private int start() {
    return text.length() + (lineAsked && !atLineStart() ? 1 : 0);
  }

  private boolean atLineStart() {
    return text.length() == 0 || text.charAt(text.length() - 1) == '\n';
  }

  private void mark(Element element, String name, int from) {
    int to = text.length();
    String style = element.attr("style").toLowerCase(Locale.ROOT).replace(" ", "");
    if (name.equals("li")) {
      marks.add(new Mark(Mark.Type.LIST, from, to, isCounted(element) ? Mark.NUMBERED : ""));
    }
    if (name.equals("a") && element.hasAttr("href")) {
      marks.add(new Mark(Mark.Type.LINK, from, to, element.attr("href").strip()));
      if (element.attr("target").equals("_blank")) {
        marks.add(new Mark(Mark.Type.NEW_TAB, from, to, ""));
      }
    }
    if (isBold(name, style)) {
      marks.add(new Mark(Mark.Type.BOLD, from, to, ""));
    }
    if (name.equals("i") || name.equals("em") || style.contains("font-style:italic")) {
      marks.add(new Mark(Mark.Type.ITALIC, from, to, ""));
    }
    if (element.hasAttr("data-bound")) {
      marks.add(new Mark(Mark.Type.BOUND, from, to, element.attr("data-bound").strip()));
    }
    if (element.hasAttr("data-colour")) {
      colour(element.attr("data-colour").strip(), from, to);
    }
  }

  private static boolean isCounted(Element item) {
    Element list = item.parent();
    return list != null && list.normalName().equals("ol");
  }

  /** A colour inside another replaces it there; an empty one leaves the words without any. */
  private void colour(String colour, int from, int to) {
    List<Mark> inside =
        marks.stream()
            .filter(mark -> mark.type() == Mark.Type.COLOUR && mark.from() >= from)
            .sorted(Comparator.comparingInt(Mark::from))
            .toList();
    int at = from;
    for (Mark inner : inside) {
      if (at < inner.from()) {
        marks.add(new Mark(Mark.Type.COLOUR, at, inner.from(), colour));
      }
      at = inner.to();
    }
    if (at < to) {
      marks.add(new Mark(Mark.Type.COLOUR, at, to, colour));
    }
  }

  private static boolean isNoColour(Mark mark) {
    return mark.type() == Mark.Type.COLOUR && mark.value().isEmpty();
  }

  private static boolean isBold(String name, String style) {
    int at = style.indexOf("font-weight:");
    if (at < 0) {
      return name.equals("b") || name.equals("strong");
    }
    String weight = style.substring(at + "font-weight:".length()).split(";")[0];
    return weight.equals("bold")
        || weight.matches("\\d{3,4}") && Integer.parseInt(weight) >= BOLD_FROM;
  }

  private void append(String words) {
    for (int i = 0; i < words.length(); i++) {
      char c = words.charAt(i);
      if (c == '\u200B' || c == '\uFEFF') {
        continue;
      }
      if (c == '\u00A0' || Character.isWhitespace(c)) {
        boolean more = !lineAsked && !atLineStart() && text.charAt(text.length() - 1) != ' ';
        text.append(more ? " " : "");
        continue;
      }
      settleLine();
      text.append(c);
    }
  }

  private void newLine() {
    settleLine();
    trim();
    text.append('\n');
  }

  /** A line does not end with a space. */
  private void trim() {
    if (text.length() > 0 && text.charAt(text.length() - 1) == ' ') {
      cut(text.length() - 1);
    }
  }

  private void cut(int length) {
    text.setLength(length);
    marks.removeIf(mark -> mark.from() >= length);
    marks.replaceAll(m -> m.to() > length ? new Mark(m.type(), m.from(), length, m.value()) : m);
  }

  private void askForLine() {
    lineAsked = true;
  }

  private void settleLine() {
    if (lineAsked) {
      trim();
    }
    if (lineAsked && !atLineStart()) {
      text.append('\n');
    }
    lineAsked = false;
  }
}
