package goodbones.server.publishing;

import goodbones.fonts.FontFace;
import goodbones.render.PageHtml;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.StyleSheet;
import goodbones.render.Surroundings;
import goodbones.server.fonts.Fonts;
import goodbones.server.pictures.Picture;
import goodbones.server.pictures.Pictures;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.SiteFinishes;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Makes the plain files of one site: pages, one style sheet, the pictures and fonts in use. */
final class SiteFiles {
  /** A file's content. */
  record Content(String mediaType, byte[] bytes) {
    static Content text(String mediaType, String text) {
      return new Content(mediaType, text.getBytes(StandardCharsets.UTF_8));
    }
  }

  private static final String STYLE_SHEET = "style.css";
  private static final String FONTS = "fonts/";
  private final Sites sites;
  private final Pictures pictures;
  private final Fonts fonts;
  private final SiteInfo site;
  private final SiteFinishes finishes;
  private final List<FontFace> faces;
  private final Map<String, String> picturePaths = new HashMap<>();
  private final Set<String> takenPaths = new HashSet<>();
  private final Map<String, Content> files = new LinkedHashMap<>();

  SiteFiles(Sites sites, SiteFinishes finishes, Pictures pictures, Fonts fonts, String siteId) {
    this.sites = sites;
    this.pictures = pictures;
    this.fonts = fonts;
    this.site = sites.get(siteId);
    this.finishes = finishes;
    this.faces = fonts.faces(siteId, FONTS);
  }

  /** Path to content; paths have no leading slash. */
  Map<String, Content> make() {
    List<Rendered> rendered = new ArrayList<>();
    for (PageState page : sites.pages(site.id())) {
      String base = "../".repeat(depth(page.address()));
      Rendered body = Renderer.render(sites.shown(page), finishes, surroundings(base));
      rendered.add(body);
      String head = "<link rel=\"stylesheet\" href=\"" + base + STYLE_SHEET + "\">";
      files.put(
          path(page.address()),
          Content.text(
              "text/html;charset=utf-8",
              PageHtml.of(
                  site.language(),
                  page.title() + " · " + site.name(),
                  page.description(),
                  head,
                  body)));
    }
    files.put(STYLE_SHEET, Content.text("text/css;charset=utf-8", StyleSheet.of(rendered)));
    for (Rendered page : rendered) {
      for (FontFace face : page.faces()) {
        String file = face.url().substring(FONTS.length());
        files.computeIfAbsent(
            face.url(), path -> new Content(Fonts.mediaType(file), fonts.bytes(file)));
      }
    }
    return files;
  }

  private Surroundings surroundings(String base) {
    return new Surroundings(this::picture, link -> link(base, link), faces, base, false);
  }

  private String picture(String id) {
    return picturePaths.computeIfAbsent(
        id,
        wanted -> {
          Picture picture = pictures.get(wanted);
          String path = "pictures/" + picture.fileName();
          if (!takenPaths.add(path)) {
            path = "pictures/" + wanted + "-" + picture.fileName();
          }
          files.put(path, new Content(picture.mediaType(), picture.bytes()));
          return path;
        });
  }

  private static int depth(String address) {
    return address.equals("/") ? 0 : (int) address.chars().filter(c -> c == '/').count();
  }

  static String path(String address) {
    return address.equals("/") ? "index.html" : address.substring(1) + "/index.html";
  }

  /** Addresses in the site become relative, so that the files work wherever they are put. */
  private static String link(String base, String link) {
    if (!link.startsWith("/")) {
      return link;
    }
    int hash = link.indexOf('#');
    String address = hash < 0 ? link : link.substring(0, hash);
    String anchor = hash < 0 ? "" : link.substring(hash);
    String trimmed = address.substring(1);
    String folder = trimmed.isEmpty() || trimmed.endsWith("/") ? trimmed : trimmed + "/";
    String relative = base + folder;
    return (relative.isEmpty() ? "./" : relative) + anchor;
  }
}
