package goodbones.server.drawing;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.fonts.FontFace;
import goodbones.library.Shown;
import goodbones.render.Facts;
import goodbones.render.Framed;
import goodbones.render.PageHtml;
import goodbones.render.Renderer;
import goodbones.render.StyleSheet;
import goodbones.render.Surroundings;
import goodbones.server.fonts.Fonts;
import goodbones.server.pictures.PictureBook;
import goodbones.server.pictures.Pictures;
import goodbones.server.sites.SiteInfo;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** Draws for frames: what will be published, with node ids on it. */
@Component
public class Frames {
  public static final NodeId PIECE_PAGE = NodeId.of("piece-page");

  private static final int MOST_PAGES = 2_000;

  private final Fonts fonts;
  private final SiteFacts facts;
  private final Pictures pictures;
  private final Cache<Drawn, Surroundings> latest =
      Caffeine.newBuilder().maximumSize(MOST_PAGES).build();

  /** What surroundings are for. */
  private record Drawn(String site, String page) {}

  Frames(Fonts fonts, SiteFacts facts, Pictures pictures) {
    this.fonts = fonts;
    this.facts = facts;
    this.pictures = pictures;
  }

  /**
   * What a page of a client is drawn in: mostly the same object as long as all it says is the same.
   *
   * @param page the id of the page; empty for what is no page
   */
  public Surroundings surroundings(SiteInfo site, String page) {
    Surroundings now = surroundings(faces(site.id()), facts(site, page), pictures.book());
    return latest
        .asMap()
        .merge(
            new Drawn(site.id(), page), now, (known, asked) -> known.equals(asked) ? known : asked);
  }

  /** What is known of a client, for drawing one of its pages. */
  public Facts facts(SiteInfo site, String page) {
    return facts.of(site, page);
  }

  /** What a drawing stands in: where its pictures and the fonts of a client are had. */
  public static Surroundings surroundings(List<FontFace> faces, Facts facts, PictureBook book) {
    return new Surroundings(book, UnaryOperator.identity(), faces, "", true, facts);
  }

  /** What is known of pictures now. */
  public PictureBook pictures() {
    return pictures.book();
  }

  /** The fonts of a client, as a drawing has them. */
  public List<FontFace> faces(String siteId) {
    return fonts.faces(siteId, "/client-fonts/");
  }

  /** A whole HTML document that needs nothing but pictures and fonts. */
  public String html(Shown page, SiteFinishes finishes, SiteInfo site, String title) {
    return html(Framed.bare(Renderer.render(page, finishes, surroundings(site, ""))), site, title);
  }

  /** The same of a page with what stands around its content. */
  public static String html(Framed page, SiteInfo site, String title) {
    String css = StyleSheet.of(page.rendered());
    return PageHtml.of(site.language(), title, "", "<style>\n" + css + "</style>", page.body());
  }

  /** A bare page around a piece, so that it can be shown alone. */
  public static Node around(Node root) {
    return Node.of(PIECE_PAGE, Kind.PAGE, "").withChildren(List.of(root));
  }
}
