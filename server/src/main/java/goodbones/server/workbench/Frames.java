package goodbones.server.workbench;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Shown;
import goodbones.render.PageHtml;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.StyleSheet;
import goodbones.render.Surroundings;
import goodbones.server.finishes.Fonts;
import goodbones.server.sites.SiteInfo;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** Renders for the canvas: what will be published, with node ids on it. */
@Component
public class Frames {
  static final NodeId PIECE_PAGE = NodeId.of("piece-page");
  private final Fonts fonts;

  Frames(Fonts fonts) {
    this.fonts = fonts;
  }

  /** A whole HTML document that needs nothing but pictures and fonts. */
  public String html(Shown page, SiteFinishes finishes, SiteInfo site, String title) {
    Surroundings surroundings =
        new Surroundings(
            id -> "/api/pictures/" + id + "/file",
            UnaryOperator.identity(),
            fonts.faces(site.id(), "/client-fonts/"),
            "",
            true);
    Rendered rendered = Renderer.render(page, finishes, surroundings);
    String css = StyleSheet.of(List.of(rendered));
    return PageHtml.of(site.language(), title, "", "<style>\n" + css + "</style>", rendered);
  }

  /** A piece shown alone, on a bare page. */
  static Shown alone(Node root) {
    return Shown.of(Node.of(PIECE_PAGE, Kind.PAGE, "").withChildren(List.of(root)));
  }
}
