package goodbones.render;

/** Escaping for HTML text and attributes (HTML Standard, 13.3 Serializing HTML fragments). */
final class Html {
  private Html() {}

  static String escape(String text) {
    StringBuilder out = new StringBuilder(text.length() + 16);
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      switch (c) {
        case '&' -> out.append("&amp;");
        case '<' -> out.append("&lt;");
        case '>' -> out.append("&gt;");
        case '"' -> out.append("&quot;");
        case '\'' -> out.append("&#39;");
        default -> {
          if (c >= ' ' || c == '\n' || c == '\t') {
            out.append(c);
          }
        }
      }
    }
    return out.toString();
  }

  /** Escaped text in which line breaks are kept. */
  static String lines(String text) {
    return escape(text).replace("\n", "<br>");
  }
}
