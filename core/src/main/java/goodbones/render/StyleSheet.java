package goodbones.render;

import goodbones.fonts.FontFace;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Puts the CSS of rendered pages together: only what they use, the same bytes for the same pages.
 */
public final class StyleSheet {
  /** Brings every kind to a known start; only inheritance is left to the browser. */
  private static final String RESET =
      """
      *,*::before,*::after{box-sizing:border-box}
      html{-webkit-text-size-adjust:100%;text-size-adjust:100%}
      body,h1,h2,h3,h4,h5,h6,p,ul{margin:0}
      h1,h2,h3,h4,h5,h6{font-size:inherit;font-weight:inherit}
      h1,h2,h3,h4,h5,h6,p,a,.text{min-width:0;overflow-wrap:anywhere}
      ul{padding-left:1.25em}
      a{color:inherit;text-decoration:none}
      p a,h1 a,h2 a,h3 a,h4 a,h5 a,h6 a,li a{text-decoration:underline}
      strong{font-weight:700}
      img{display:block;width:100%;height:auto}
      main{display:grid;position:relative;grid-template-columns:minmax(var(--page-left,0px),1fr) \
      minmax(0,var(--page-width,100%)) minmax(var(--page-right,0px),1fr)}
      main>*{grid-column:2}
      main>.section{grid-column:1/-1}
      .section,.row,.column,.box{display:grid;position:relative;min-width:0}
      .section,.column,.box{grid-template-columns:minmax(0,1fr);align-content:start}
      .section{justify-content:center;background-size:cover;background-position:center}
      .button{display:inline-block}
      .button:focus-visible{outline:3px solid currentcolor;outline-offset:2px}
      .picture{object-fit:cover;min-width:0}
      @media (prefers-reduced-motion:reduce){.button{transition-duration:0s!important}}
      """;

  private StyleSheet() {}

  /** The style sheet for some rendered pages of one site. */
  public static String of(List<Rendered> pages) {
    TreeMap<String, String> rules = new TreeMap<>();
    TreeMap<String, String> tokens = new TreeMap<>();
    TreeMap<String, SortedMap<String, String>> scopes = new TreeMap<>();
    TreeSet<FontFace> faces = new TreeSet<>();
    for (Rendered page : pages) {
      rules.putAll(page.rules());
      tokens.putAll(page.tokens());
      page.scopes()
          .forEach((scope, own) -> scopes.computeIfAbsent(scope, k -> new TreeMap<>()).putAll(own));
      faces.addAll(page.faces());
    }
    StringBuilder css = new StringBuilder();
    faces.forEach(face -> css.append(face.rule()));
    css.append(RESET);
    append(":root", tokens, css);
    scopes.forEach((scope, values) -> append("." + scope, values, css));
    rules.values().forEach(css::append);
    return css.toString();
  }

  private static void append(String selector, Map<String, String> values, StringBuilder css) {
    if (!values.isEmpty()) {
      css.append(selector).append('{');
      values.forEach((name, value) -> css.append(name).append(':').append(value).append(';'));
      css.setCharAt(css.length() - 1, '}');
      css.append('\n');
    }
  }
}
