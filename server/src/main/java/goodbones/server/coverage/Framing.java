package goodbones.server.coverage;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.layout.Room;
import goodbones.library.Shown;
import goodbones.render.Framed;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.Surroundings;
import goodbones.server.memory.Memory;
import goodbones.server.memory.Same;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import goodbones.site.Region;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Draws what stands around the content of pages, with the page's own type settings around it. */
@Component
public class Framing {
  /** In characters of HTML. */
  private static final int MOST_DRAWN = 20_000_000;

  private final Coverages coverages;
  private final Sites sites;
  private final Memory<Drawn, Rendered> drawn = new Memory<>(MOST_DRAWN, Framing::length);
  private final Memory<Own, Rendered> owns = new Memory<>(MOST_DRAWN, Framing::length);

  Framing(Coverages coverages, Sites sites) {
    this.coverages = coverages;
    this.sites = sites;
  }

  private static int length(Rendered rendered) {
    return rendered.blocks().stream().mapToInt(block -> block.html().length()).sum();
  }

  /** All that the content of a page looks like depends on. */
  private record Own(String page, long version, long stamp, Same finishes, Same surroundings) {}

  /** All that a shared part looks like on a page depends on; looks are known by themselves. */
  private record Drawn(
      String part,
      long version,
      long stamp,
      Same finishes,
      Same surroundings,
      Room room,
      Map<StyleKey, StyleValue> page,
      List<String> named) {}

  /**
   * A page with what stands around it.
   *
   * @param surroundings of the page; the same object for the same, so that it is known again
   */
  @Transactional(readOnly = true)
  public Framed page(PageState page, SiteFinishes finishes, Surroundings surroundings) {
    Own own =
        new Own(
            page.id(),
            page.version(),
            sites.stamp(page.siteId()),
            new Same(finishes),
            new Same(surroundings));
    return new Framed(
        owns.get(own, () -> Renderer.render(sites.shown(page), finishes, surroundings)),
        around(page, finishes, surroundings));
  }

  /**
   * @param surroundings of the page, so that what is written leads on from there
   */
  @Transactional(readOnly = true)
  public List<Framed.Part> around(
      PageState page, SiteFinishes finishes, Surroundings surroundings) {
    return around(page.siteId(), page.id(), page.root(), finishes, surroundings);
  }

  /**
   * @param root the page's outermost node, whose settings hold in what stands around it too
   */
  @Transactional(readOnly = true)
  public List<Framed.Part> around(
      String siteId, String pageId, Node root, SiteFinishes finishes, Surroundings surroundings) {
    List<Framed.Part> around = new ArrayList<>();
    List<Coverages.Standing> standing = coverages.around(siteId, pageId);
    if (standing.isEmpty()) {
      return around;
    }
    long stamp = sites.stamp(siteId);
    boolean side = Coverages.hasSide(standing);
    for (Coverages.Standing each : standing) {
      PageState part = sites.page(each.part());
      Drawn key =
          new Drawn(
              part.id(),
              part.version(),
              stamp,
              new Same(finishes),
              new Same(surroundings),
              each.region().room(side),
              root.styles(),
              root.namedStyles());
      around.add(
          new Framed.Part(
              each.region(),
              part.id(),
              drawn.get(key, () -> drawn(part, root, finishes, surroundings.with(key.room())))));
    }
    return around;
  }

  /** How much of the page's width its own content has. */
  @Transactional(readOnly = true)
  public Room room(String siteId, String pageId) {
    return Region.roomOfContent(Coverages.hasSide(coverages.around(siteId, pageId)));
  }

  private Rendered drawn(
      PageState part, Node page, SiteFinishes finishes, Surroundings surroundings) {
    Shown shown = surroundings.of(sites.shown(part));
    Node around =
        page.withId(NodeId.of("around-" + part.id())).withChildren(shown.root().children());
    return Renderer.render(shown.withRoot(around), finishes, surroundings);
  }
}
