package goodbones.server.publishing;

import goodbones.fonts.FontFace;
import goodbones.render.Facts;
import goodbones.render.Framed;
import goodbones.render.PageHead;
import goodbones.render.PageHtml;
import goodbones.render.Pictured;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.StyleSheet;
import goodbones.render.Surroundings;
import goodbones.server.coverage.Framing;
import goodbones.server.drawing.Sections;
import goodbones.server.drawing.SiteLinks;
import goodbones.server.files.ClientFiles;
import goodbones.server.files.FileView;
import goodbones.server.fonts.Fonts;
import goodbones.server.pictures.PictureBook;
import goodbones.server.pictures.PictureView;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.NotFound;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.PageSettings;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.site.Addresses;
import goodbones.site.Details;
import goodbones.site.Links;
import goodbones.site.PageTree;
import goodbones.site.SitePage;
import goodbones.style.SiteFinishes;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Year;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

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
  private static final String HTML = "text/html;charset=utf-8";
  private final Sources from;
  private final SiteInfo site;
  private final SiteFinishes finishes;
  private final List<FontFace> faces;
  private final PageTree tree;
  private final Map<String, Map<String, String>> sections;
  private final Links links;
  private final PictureBook book;
  private final Map<String, Pictured> pictured = new HashMap<>();
  private final Map<String, Content> files = new LinkedHashMap<>();

  /** Where everything is had that is published. */
  record Sources(
      Sites sites,
      PageSettings settings,
      ClientDetails details,
      Framing framing,
      SiteLinks links,
      Pictures pictures,
      ClientFiles files,
      Fonts fonts,
      Clock clock) {}

  SiteFiles(Sources from, SiteFinishes finishes, String siteId) {
    this.from = from;
    this.site = from.sites().get(siteId);
    this.book = from.pictures().book();
    this.finishes = finishes;
    this.faces = from.fonts().faces(siteId, FONTS);
    this.tree =
        new PageTree(from.sites().tree(siteId).all().stream().filter(SitePage::ready).toList());
    this.sections = sections(from, siteId);
    this.links = from.links().of(siteId, tree, sections);
  }

  /** The addresses of all sections; those that are published for the first time get one. */
  private static Map<String, Map<String, String>> sections(Sources from, String siteId) {
    Map<String, Map<String, String>> known = from.settings().sections(siteId);
    Map<String, Map<String, String>> sections = new TreeMap<>();
    for (PageState page : from.sites().pages(siteId)) {
      sections.put(
          page.id(),
          Addresses.sections(
              Sections.of(from.sites().shown(page)), known.getOrDefault(page.id(), Map.of())));
    }
    return sections;
  }

  /** The addresses of the sections of each page, which are to stay. */
  Map<String, Map<String, String>> sections() {
    return sections;
  }

  /** Path to content; paths have no leading slash. */
  Map<String, Content> make() {
    List<Rendered> rendered = new ArrayList<>();
    for (PageState page : from.sites().pages(site.id())) {
      if (tree.find(page.id()).isEmpty()) {
        continue;
      }
      String base = "../".repeat(depth(page.address()));
      Surroundings around = surroundings(page.id(), base);
      Framed body =
          new Framed(
              Renderer.render(
                  around.of(from.sites().shown(page)),
                  finishes,
                  around.with(from.framing().room(site.id(), page.id()))),
              from.framing().around(page, finishes, around));
      rendered.addAll(body.rendered());
      files.put(
          path(page.address()),
          Content.text(
              HTML,
              PageHtml.of(
                  site.language(),
                  page.title() + " · " + site.name(),
                  page.description(),
                  head(page, base),
                  body.body())));
    }
    from.settings().leadOn(site.id(), tree).forEach(this::leadOn);
    files.put(STYLE_SHEET, Content.text("text/css;charset=utf-8", StyleSheet.of(rendered)));
    for (Rendered page : rendered) {
      for (FontFace face : page.faces()) {
        String file = face.url().substring(FONTS.length());
        files.computeIfAbsent(
            face.url(), path -> new Content(Fonts.mediaType(file), from.fonts().bytes(file)));
      }
    }
    return files;
  }

  private String head(PageState page, String base) {
    Details details = from.details().of(site.id());
    Optional<Pictured> icon =
        Optional.of(details.icon()).filter(id -> book.find(id).isPresent()).map(this::pictured);
    Optional<Pictured> image =
        tree.find(page.id())
            .map(SitePage::picture)
            .filter(id -> book.find(id).isPresent())
            .map(this::pictured);
    return new PageHead(
            base + STYLE_SHEET,
            icon.map(small -> base + small.url()).orElse(""),
            site.name(),
            page.title(),
            page.description(),
            details.web(),
            page.address().equals("/") ? "/" : page.address() + "/",
            image.map(Pictured::url).orElse(""),
            image.map(Pictured::alt).orElse(""))
        .html();
  }

  /** A page that forwards from where something was before to where it is now. */
  private void leadOn(String former, String address) {
    String base = "../".repeat(depth(former));
    files.putIfAbsent(
        path(former),
        Content.text(HTML, PageHtml.forward(site.language(), site.name(), link(base, address))));
  }

  private Surroundings surroundings(String page, String base) {
    Facts facts =
        Facts.of(
                site.name(),
                site.logo(),
                from.details().menus(site.id()),
                links,
                page,
                Year.now(from.clock()).getValue())
            .withSections(sections.getOrDefault(page, Map.of()));
    return new Surroundings(this::pictured, link -> leadsTo(base, link), faces, base, false, facts);
  }

  /** Where a stored link leads from a page; empty if it leads nowhere. */
  private String leadsTo(String base, String link) {
    return links
        .address(link)
        .map(
            address ->
                link.startsWith(Links.FILE) ? base + file(Links.fileOf(link)) : link(base, address))
        .orElse("");
  }

  /** A picture or another file that is linked to, as it is published. */
  private String file(String id) {
    if (book.find(id).isPresent()) {
      return pictured(id).url();
    }
    FileView file = from.files().view(id);
    String path = "files/" + file.fileName();
    files.computeIfAbsent(path, wanted -> new Content(file.mediaType(), from.files().bytes(id)));
    return path;
  }

  /** A picture with its files as they are published, which are made when it is first asked for. */
  private Pictured pictured(String id) {
    return pictured.computeIfAbsent(
        id,
        wanted ->
            book.find(wanted)
                .map(picture -> book.pictured(picture, width -> picture(picture, width)))
                .orElseThrow(() -> new NotFound("picture", wanted)));
  }

  private String picture(PictureView picture, int width) {
    String name = picture.fileName();
    if (width != picture.width()) {
      int dot = name.lastIndexOf('.');
      name = name.substring(0, dot) + "-" + width + name.substring(dot);
    }
    String path = "pictures/" + name;
    if (files.containsKey(path)) {
      path = "pictures/" + picture.id() + "-" + name;
    }
    files.put(path, new Content(picture.mediaType(), from.pictures().bytes(picture.id(), width)));
    return path;
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
