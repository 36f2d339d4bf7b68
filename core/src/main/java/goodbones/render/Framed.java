package goodbones.render;

import goodbones.layout.Room;
import goodbones.site.Region;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A rendered page with what stands around its content. The canvas draws what is published, with
 * ids: both have the page's own content, and every shared part, in a container of its own.
 *
 * @param around the shared parts, in the order in which they stand
 * @param marked whether each of them can be told by its id, as the canvas needs it
 * @param room how much of the width is left to a shared part that is shown by itself
 */
public record Framed(Rendered page, List<Part> around, boolean marked, Room room) {
  /** A shared part, rendered for this page. */
  public record Part(Region region, String id, Rendered drawn) {
    /** What it draws, without a body around it. */
    public String html() {
      return drawn.blocks().stream().map(Rendered.Block::html).collect(Collectors.joining());
    }

    /** A container of its own, so that nothing in it takes part in what stands beside it. */
    private String contained(boolean marked) {
      return "<div class=\"around\""
          + (marked
              ? " data-part=\"" + Html.escape(id) + "\" data-region=\"" + region.word() + "\""
              : "")
          + ">"
          + html()
          + "</div>";
    }
  }

  public Framed {
    around = List.copyOf(around);
  }

  /** As it is published. */
  public Framed(Rendered page, List<Part> around) {
    this(page, around, false, Room.WHOLE);
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

  /** The HTML of the body element. */
  public String body() {
    return page.open()
        + before()
        + page.blocks().stream().map(Rendered.Block::html).collect(Collectors.joining())
        + after()
        + "</body>";
  }

  /**
   * What is written between the start of the body and the page's own content: the header, a side
   * column beside the content, and the bands above it. Where there is no header the side column is
   * it.
   */
  public String before() {
    String header = html(Region.HEADER);
    String side = html(Region.SIDE);
    return wrapped("header", header)
        + (side.isEmpty()
            ? ""
            : "<div class=\"beside\">" + wrapped(header.isEmpty() ? "header" : "aside", side))
        + switch (room) {
          case WHOLE -> "";
          case BESIDE_COLUMN -> "<div class=\"beside\"><div></div>";
          case SIDE_COLUMN -> "<div class=\"beside\">";
        }
        + "<main>"
        + html(Region.BAND_ABOVE)
        + "<div class=\"own\">";
  }

  /** What is written between the page's own content and the end of the body. */
  public String after() {
    return "</div>"
        + html(Region.BAND_BELOW)
        + "</main>"
        + (html(Region.SIDE).isEmpty() && room == Room.WHOLE ? "" : "</div>")
        + wrapped("footer", html(Region.FOOTER));
  }

  private String html(Region region) {
    return around.stream()
        .filter(part -> part.region() == region)
        .map(part -> part.contained(marked))
        .collect(Collectors.joining());
  }

  private static String wrapped(String tag, String html) {
    return html.isEmpty() ? "" : "<" + tag + ">" + html + "</" + tag + ">";
  }
}
