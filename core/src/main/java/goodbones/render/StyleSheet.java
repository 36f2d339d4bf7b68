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
      body,h1,h2,h3,h4,h5,h6,p,ul,ol{margin:0}
      h1,h2,h3,h4,h5,h6{font-size:inherit;font-weight:inherit}
      h1,h2,h3,h4,h5,h6,p,a,.text{min-width:0;overflow-wrap:anywhere}
      ul{padding-left:1.25em;list-style-type:inherit}
      ol{padding-left:1.75em}
      a{color:inherit;text-decoration:none}
      p a,h1 a,h2 a,h3 a,h4 a,h5 a,h6 a,li a{text-decoration:underline}
      strong{font-weight:700}
      img{display:block;width:100%;height:auto}
      .own,.around{display:grid;position:relative;grid-template-columns:minmax(var(--page-left,0px),1fr) \
      minmax(0,var(--page-width,100%)) minmax(var(--page-right,0px),1fr)}
      .own>*,.around>*{grid-column:2}
      .own>.section,.around>.section{grid-column:1/-1}
      .beside{display:grid;grid-template-columns:minmax(0,3fr) minmax(0,9fr);align-items:start}
      @media (width<1024px){.beside{grid-template-columns:minmax(0,1fr)}}
      .section,.row,.column,.box{display:grid;position:relative;min-width:0}
      .section,.column,.box{grid-template-columns:minmax(0,1fr);align-content:start}
      .section{justify-content:center;background-size:cover;background-position:center}
      .button{display:inline-block}
      .button:focus-visible{outline:3px solid currentcolor;outline-offset:2px}
      .picture{object-fit:cover;min-width:0}
      hr{border-width:0;margin:0;min-width:0}
      .icon{line-height:0;min-width:0}
      .icon svg{width:1em;height:1em;vertical-align:top}
      .logo{display:block}
      .menu,.social{min-width:0;flex-direction:column}
      .menu ul,.social{list-style:none;margin:0;padding:0}
      .menu li a,.social a{display:inline-block;min-height:24px;text-decoration:none}
      .menu-open{font:inherit;color:inherit;background:none;border-style:solid;border-width:1px;\
      padding:8px 16px;min-height:44px;cursor:pointer}
      .menu [aria-current]{text-decoration:underline;text-underline-offset:.35em}
      .menu a:focus-visible,.menu-open:focus-visible,.social a:focus-visible,.logo:focus-visible\
      {outline-style:solid;outline-width:3px;outline-color:currentcolor;outline-offset:2px}
      .social{display:flex;flex-wrap:wrap}
      .social svg{width:1.25em;height:1.25em;margin-right:.4em;vertical-align:-.25em}
      @media (width>=640px){.menu-open{display:none}}
      @media (width>=640px){.menu>.menu-list{display:flex;flex-wrap:wrap;flex-direction:inherit;\
      row-gap:inherit;column-gap:inherit;position:static;inset:auto;width:auto;height:auto;\
      overflow:visible;border-width:0;background:none;color:inherit}}
      @media (width>=640px){.menu-list li{position:relative}}
      @media (width>=640px){.menu-list li>ul{display:none;position:absolute;z-index:5;left:0;\
      min-width:180px;padding:8px 16px;background:#fff;color:#1c1c1c;\
      box-shadow:0 4px 16px rgb(0 0 0/.18)}}
      @media (width>=640px){.menu-list li:hover>ul,.menu-list li:focus-within>ul{display:block}}
      @media (width<640px){.menu .menu-list{inset:0 0 auto 0;width:auto;max-height:100%;\
      border-width:0;padding:24px;background:#fff;color:#1c1c1c;\
      box-shadow:0 4px 16px rgb(0 0 0/.3)}}
      @media (width<640px){.menu-list a{padding:10px 0;min-height:44px}}
      @media (width<640px){.menu .menu-list ul{padding-left:20px}}
      @media (width<640px){.menu-list::backdrop{background:rgb(0 0 0/.4)}}
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
