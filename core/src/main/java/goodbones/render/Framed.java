package goodbones.render;

import goodbones.site.Region;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * A rendered page with what stands around its content.
 *
 * @param around the shared parts, in the order in which they stand
 */
public record Framed(Rendered page, List<Part> around) {
  /** A shared part, rendered for this page. */
  public record Part(Region region, String id, Rendered drawn) {
    /** What it draws, without a body around it. */
    public String html() {
      return drawn.blocks().stream().map(Rendered.Block::html).collect(Collectors.joining());
    }
  }

  public Framed {
    around = List.copyOf(around);
  }

  /** A page with nothing around it. */
  public static Framed bare(Rendered page) {
    return new Framed(page, List.of());
  }

  /** All that has styles of its own. */
  public List<Rendered> rendered() {
    List<Rendered> all = new ArrayList<>(List.of(page));
    around.forEach(part -> all.add(part.drawn()));
    return all;
  }

  /**
   * The HTML of the body element: header, then content between its bands, a side column beside it,
   * then footer. Where there is no header the side column is it.
   */
  public String body() {
    String header = html(part -> part.region() == Region.HEADER);
    String side = html(part -> part.region() == Region.SIDE);
    String footer = html(part -> part.region() == Region.FOOTER);
    String main =
        "<main>"
            + html(part -> part.region() == Region.BAND_ABOVE)
            + page.blocks().stream().map(Rendered.Block::html).collect(Collectors.joining())
            + html(part -> part.region() == Region.BAND_BELOW)
            + "</main>";
    String tag = header.isEmpty() ? "header" : "aside";
    return page.open()
        + wrapped("header", "around", header)
        + (side.isEmpty()
            ? main
            : "<div class=\"beside\">" + wrapped(tag, "around", side) + main + "</div>")
        + wrapped("footer", "around", footer)
        + "</body>";
  }

  private String html(Predicate<Part> which) {
    return around.stream().filter(which).map(Part::html).collect(Collectors.joining());
  }

  private static String wrapped(String tag, String name, String html) {
    return html.isEmpty() ? "" : "<" + tag + " class=\"" + name + "\">" + html + "</" + tag + ">";
  }
}
