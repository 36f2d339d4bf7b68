package goodbones.render;

import goodbones.document.FieldValue;
import goodbones.document.Mark;
import java.util.List;
import java.util.function.UnaryOperator;

/** Writes words with their marks as HTML. */
final class Marked {
  private static final Mark.Type[] TYPES = Mark.Type.values();
  private final FieldValue.Words words;
  private final UnaryOperator<String> href;
  private final UnaryOperator<String> colour;
  private final BoundWords bound;
  private final StringBuilder html = new StringBuilder();

  private Marked(
      FieldValue.Words words,
      UnaryOperator<String> href,
      UnaryOperator<String> colour,
      BoundWords bound) {
    this.bound = bound;
    this.words = words;
    this.href = href;
    this.colour = colour;
  }

  /** Whether the words hold a list, and so cannot stand in a paragraph. */
  static boolean hasList(FieldValue.Words words) {
    return words.marks().stream().anyMatch(mark -> mark.type() == Mark.Type.LIST);
  }

  /**
   * @param href from a stored link to the address in the page
   * @param colour from a stored colour to the attributes that show it
   * @param bound how words that follow something are written
   */
  static String html(
      FieldValue.Words words,
      UnaryOperator<String> href,
      UnaryOperator<String> colour,
      BoundWords bound) {
    if (words.marks().isEmpty()) {
      return Html.lines(words.text());
    }
    Marked marked = new Marked(words, href, colour, bound);
    if (hasList(words)) {
      marked.blocks();
    } else {
      marked.inline(0, words.text().length(), Mark.Type.LIST.ordinal() + 1);
    }
    return marked.html.toString();
  }

  /** Lines of a list become items, other lines paragraphs. */
  private void blocks() {
    String list = "";
    boolean inParagraph = false;
    int from = 0;
    while (from <= words.text().length()) {
      int end = words.text().indexOf('\n', from);
      int to = end < 0 ? words.text().length() : end;
      String around = listAround(from, to);
      boolean item = !around.isEmpty();
      if (!list.equals(around)) {
        html.append(list.isEmpty() ? "" : "</" + list + ">")
            .append(inParagraph ? "</p>" : "")
            .append(item ? "<" + around + ">" : "");
      }
      if (item) {
        html.append("<li>");
      } else {
        html.append(inParagraph ? "<br>" : "<p>");
      }
      inline(from, to, Mark.Type.LIST.ordinal() + 1);
      if (item) {
        html.append("</li>");
      }
      list = around;
      inParagraph = !item;
      from = to + 1;
    }
    html.append(list.isEmpty() ? "</p>" : "</" + list + ">");
  }

  /** The element of the list of which a line is an item; empty if it is none. */
  private String listAround(int from, int to) {
    return marks(Mark.Type.LIST).stream()
        .filter(mark -> mark.from() <= from && mark.to() >= to)
        .findFirst()
        .map(mark -> mark.value().equals(Mark.NUMBERED) ? "ol" : "ul")
        .orElse("");
  }

  private List<Mark> marks(Mark.Type type) {
    return words.marks().stream().filter(mark -> mark.type() == type).toList();
  }

  /** One type after the other, so that a link stays one even when some of its words are bold. */
  private void inline(int from, int to, int type) {
    if (from >= to) {
      return;
    }
    if (type == TYPES.length) {
      html.append(Html.lines(words.text().substring(from, to)));
      return;
    }
    int at = from;
    for (Mark mark : marks(TYPES[type])) {
      int begin = Math.max(mark.from(), at);
      int end = Math.min(mark.to(), to);
      if (begin < end) {
        inline(at, begin, type + 1);
        html.append(open(mark));
        if (mark.type() == Mark.Type.BOUND) {
          html.append(bound.html(mark.value(), words.text().substring(begin, end)));
        } else {
          inline(begin, end, type + 1);
        }
        html.append(close(mark.type()));
        at = end;
      }
    }
    inline(at, to, type + 1);
  }

  private String open(Mark mark) {
    return switch (mark.type()) {
      case LINK -> link(href.apply(mark.value()), opensBeside(mark));
      case COLOUR -> "<span" + colour.apply(mark.value()) + ">";
      case BOLD -> "<strong>";
      case ITALIC -> "<em>";
      case LIST, NEW_TAB, BOUND -> "";
    };
  }

  private boolean opensBeside(Mark link) {
    return marks(Mark.Type.NEW_TAB).stream()
        .anyMatch(mark -> mark.from() < link.to() && mark.to() > link.from());
  }

  /** A page that is opened beside this one knows nothing of it. */
  private static String link(String address, boolean beside) {
    return address.isEmpty()
        ? "<a>"
        : "<a href=\""
            + Html.escape(address)
            + (beside ? "\" target=\"_blank\" rel=\"noopener\">" : "\">");
  }

  private static String close(Mark.Type type) {
    return switch (type) {
      case LINK -> "</a>";
      case COLOUR -> "</span>";
      case BOLD -> "</strong>";
      case ITALIC -> "</em>";
      case LIST, NEW_TAB, BOUND -> "";
    };
  }

  /** How words are written that follow something. */
  @FunctionalInterface
  interface BoundWords {
    /**
     * @param what the word of a {@link goodbones.document.Bound}
     * @param stored the words that stand there as stored
     */
    String html(String what, String stored);
  }

  /** Bound words as they are stored, with what they follow beside them. */
  static String kept(String what, String stored) {
    return "<span data-bound=\"" + Html.escape(what) + "\">" + Html.lines(stored) + "</span>";
  }
}
