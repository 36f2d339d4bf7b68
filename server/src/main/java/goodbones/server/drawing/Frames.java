package goodbones.server.drawing;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.fonts.FontFace;
import goodbones.library.Shown;
import goodbones.render.PageHtml;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.StyleSheet;
import goodbones.render.Surroundings;
import goodbones.server.fonts.Fonts;
import goodbones.server.sites.SiteInfo;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** Draws for frames: what will be published, with node ids on it. */
@Component
public class Frames {
  public static final NodeId PIECE_PAGE = NodeId.of("piece-page");

  private final Fonts fonts;

  Frames(Fonts fonts) {
    this.fonts = fonts;
  }

  /** What a drawing stands in: where its pictures and the fonts of a client are had. */
  public static Surroundings surroundings(List<FontFace> faces) {
    return new Surroundings(
        id -> "/api/pictures/" + id + "/file", UnaryOperator.identity(), faces, "", true);
  }

  /** The fonts of a client, as a drawing has them. */
  public List<FontFace> faces(String siteId) {
    return fonts.faces(siteId, "/client-fonts/");
  }

  /** A whole HTML document that needs nothing but pictures and fonts. */
  public String html(Shown page, SiteFinishes finishes, SiteInfo site, String title) {
    Rendered rendered = Renderer.render(page, finishes, surroundings(faces(site.id())));
    String css = StyleSheet.of(List.of(rendered));
    return PageHtml.of(site.language(), title, "", "<style>\n" + css + "</style>", rendered);
  }

  /** A bare page around a piece, so that it can be shown alone. */
  public static Node around(Node root) {
    return Node.of(PIECE_PAGE, Kind.PAGE, "").withChildren(List.of(root));
  }
}
