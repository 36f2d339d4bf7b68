package goodbones.render;

/** The HTML document around a rendered body. */
public final class PageHtml {
  private PageHtml() {}

  /**
   * @param language a BCP 47 tag
   * @param description for search results; left out when empty
   * @param head what else stands in the head: the style sheet, as a link or inline
   * @param body the body element
   */
  public static String of(
      String language, String title, String description, String head, String body) {
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
        + body
        + "\n</html>\n";
  }

  /**
   * A document that does nothing but lead on to another address, without a script.
   *
   * @param to relative to where it stands
   */
  public static String forward(String language, String title, String to) {
    String address = Html.escape(to);
    return of(
        language,
        title,
        "",
        "<meta http-equiv=\"refresh\" content=\"0; url="
            + address
            + "\">\n<meta name=\"robots\" content=\"noindex\">\n<link rel=\"canonical\" href=\""
            + address
            + "\">",
        "<body><main><p><a href=\"" + address + "\">This page is here now</a></p></main></body>");
  }
}
