package goodbones.render;

/** The HTML document around a rendered body. */
public final class PageHtml {
  private PageHtml() {}

  /**
   * @param language a BCP 47 tag
   * @param description for search results; left out when empty
   * @param head what else stands in the head: the style sheet, as a link or inline
   */
  public static String of(
      String language, String title, String description, String head, Rendered page) {
    return "<!DOCTYPE html>\n<html lang=\""
        + Html.escape(language)
        + "\">\n<head>\n<meta charset=\"utf-8\">\n"
        + "<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n<title>"
        + Html.escape(title)
        + "</title>\n"
        + (description.isBlank()
            ? ""
            : "<meta name=\"description\" content=\"" + Html.escape(description) + "\">\n")
        + head
        + "\n</head>\n"
        + page.body()
        + "\n</html>\n";
  }
}
