package goodbones.layout;

import goodbones.document.Node;
import goodbones.layout.Styles.Sides;
import java.util.Arrays;
import java.util.List;

/** How wide things are that stand side by side in one line (CSS Flexbox 1, 9.7; nothing grows). */
final class FlexLine {
  private FlexLine() {}

  /**
   * Something in a line.
   *
   * @param base its border box before anything shrinks, in px
   * @param edges its borders and paddings, below which it never shrinks
   * @param greatest the greatest width of its border box
   */
  record Item(Node node, double base, double edges, double greatest, Sides margin) {
    double clamped(double width) {
      return Math.max(edges, Math.min(width, greatest));
    }

    /** Its width with its margins where there is room enough. */
    double outer() {
      return clamped(base) + margin.across();
    }

    /** What of it can shrink. */
    private double inner() {
      return Math.max(0, base - edges);
    }
  }

  /** The width of each border box in a line that is so wide inside. */
  static double[] widths(List<Item> items, double inner, double gap) {
    double gaps = gap * Math.max(0, items.size() - 1);
    double[] widths = items.stream().mapToDouble(item -> item.clamped(item.base())).toArray();
    double wanted = items.stream().mapToDouble(Item::outer).sum() + gaps;
    if (wanted <= inner) {
      return widths;
    }
    boolean[] frozen = new boolean[widths.length];
    for (int i = 0; i < frozen.length; i++) {
      frozen[i] = items.get(i).base() < widths[i];
    }
    while (shrunk(items, widths, frozen, inner - gaps)) {
      // Until every width is one that its limits allow.
    }
    return widths;
  }

  /** One round: what is beyond a limit is put there and stays; says whether another is needed. */
  private static boolean shrunk(List<Item> items, double[] widths, boolean[] frozen, double room) {
    double free = room;
    double scaled = 0;
    for (int i = 0; i < widths.length; i++) {
      Item item = items.get(i);
      free -= (frozen[i] ? widths[i] : item.base()) + item.margin().across();
      scaled += frozen[i] ? 0 : item.inner();
    }
    double[] clamped = new double[widths.length];
    double violation = 0;
    for (int i = 0; i < widths.length; i++) {
      Item item = items.get(i);
      if (!frozen[i]) {
        widths[i] = item.base() + (scaled > 0 ? Math.min(0, free) * item.inner() / scaled : 0);
        clamped[i] = item.clamped(widths[i]);
        violation += clamped[i] - widths[i];
      }
    }
    boolean more = false;
    double[] targets = Arrays.copyOf(widths, widths.length);
    for (int i = 0; i < widths.length; i++) {
      if (!frozen[i]) {
        double by = clamped[i] - targets[i];
        boolean freeze = violation == 0 || violation > 0 && by > 0 || violation < 0 && by < 0;
        widths[i] = clamped[i];
        frozen[i] = freeze;
        more |= !freeze;
      }
    }
    return more;
  }
}
