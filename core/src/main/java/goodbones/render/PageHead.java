package goodbones.render;

/**
 * What stands in the head of a published page besides its title: its style sheet, the small icon
 * (HTML, 4.6.7.8), where it is to be found (RFC 6596) and what is shown of it where it is shared
 * (the Open Graph protocol, ogp.me). What needs an absolute address is left out while the site's is
 * not known.
 *
 * @param styleSheet its address, relative to the page
 * @param icon the address of the small icon, relative to the page; empty for none
 * @param site what the site is called
 * @param title what the page is called
 * @param web where the site is; empty while that is not known
 * @param path of the page on the site, with a slash at both ends
 * @param image of the picture that stands for the page, on the site; empty for none
 * @param imageSays its alternative text
 */
public record PageHead(
    String styleSheet,
    String icon,
    String site,
    String title,
    String description,
    String web,
    String path,
    String image,
    String imageSays) {

  public String html() {
    StringBuilder html = new StringBuilder();
    link(html, "stylesheet", styleSheet);
    if (!icon.isEmpty()) {
      link(html, "icon", icon);
    }
    said(html, "og:type", "website");
    said(html, "og:site_name", site);
    said(html, "og:title", title);
    said(html, "og:description", description);
    if (!web.isEmpty()) {
      String page = web + path;
      link(html, "canonical", page);
      said(html, "og:url", page);
      if (!image.isEmpty()) {
        said(html, "og:image", web + "/" + image);
        said(html, "og:image:alt", imageSays);
      }
    }
    return html.toString().stripTrailing();
  }

  private static void link(StringBuilder html, String rel, String href) {
    html.append("<link rel=\"")
        .append(rel)
        .append("\" href=\"")
        .append(Html.escape(href))
        .append("\">\n");
  }

  private static void said(StringBuilder html, String property, String content) {
    if (!content.isBlank()) {
      html.append("<meta property=\"")
          .append(property)
          .append("\" content=\"")
          .append(Html.escape(content))
          .append("\">\n");
    }
  }
}
