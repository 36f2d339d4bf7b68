package goodbones.render;

import goodbones.document.StyleValue;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The custom properties that a page uses, with aliases resolved, for the page and again for every
 * scheme in which they are worth something else.
 */
final class Properties {
  private final SiteFinishes finishes;
  private static final Pattern USE = Pattern.compile("var\\((--[\\w-]+)\\)");

  private final Map<String, StyleValue.TokenRef> refs;
  private final Map<StyleValue.TokenRef, String> names = new HashMap<>();

  /**
   * @param refs notes what each custom property stands for
   */
  Properties(SiteFinishes finishes, Map<String, StyleValue.TokenRef> refs) {
    this.finishes = finishes;
    this.refs = refs;
  }

  /** How a token, or a part of one, is written in CSS. */
  String use(StyleValue.TokenRef ref) {
    return names.computeIfAbsent(
        ref,
        first -> {
          String name = finishes.property(ref);
          refs.put(name, ref);
          return "var(" + name + ")";
        });
  }

  boolean knows(StyleValue.TokenRef ref) {
    return finishes.token(ref.tokenId()).isPresent();
  }

  /** The class of everything that takes a scheme; that of no scheme for an unknown id. */
  String className(String schemeId) {
    return finishes.house().scheme(schemeId).map(Scheme::className).orElse("");
  }

  /** The custom properties that some rules use. */
  SortedMap<String, StyleValue.TokenRef> usedIn(Collection<String> rules) {
    SortedMap<String, StyleValue.TokenRef> used = new TreeMap<>();
    for (String rule : rules) {
      Matcher use = USE.matcher(rule);
      while (use.find()) {
        StyleValue.TokenRef ref = refs.get(use.group(1));
        if (ref != null) {
          used.put(use.group(1), ref);
        }
      }
    }
    return used;
  }

  /** What stands at the root: name to value. */
  SortedMap<String, String> root(SortedMap<String, StyleValue.TokenRef> used) {
    SortedMap<String, String> root = new TreeMap<>();
    used.forEach((name, ref) -> root.put(name, css(finishes, ref)));
    return Collections.unmodifiableSortedMap(root);
  }

  /** For each scheme, what stands at its sections: class to name to value. */
  SortedMap<String, SortedMap<String, String>> scopes(
      SortedMap<String, StyleValue.TokenRef> used, Set<String> schemes) {
    SortedMap<String, SortedMap<String, String>> scopes = new TreeMap<>();
    for (String scheme : schemes) {
      SortedMap<String, String> scope = new TreeMap<>();
      SiteFinishes inside = finishes.in(scheme);
      used.forEach((name, ref) -> scope.put(name, css(inside, ref)));
      scopes.put(className(scheme), Collections.unmodifiableSortedMap(scope));
    }
    return Collections.unmodifiableSortedMap(scopes);
  }

  private static String css(SiteFinishes finishes, StyleValue.TokenRef ref) {
    String css = finishes.worth(ref).css();
    TokenType type = finishes.token(ref.tokenId()).map(Token::type).orElseThrow();
    boolean family =
        type == TokenType.FONT_FAMILY
            || type.part(ref.part()).filter(part -> part == TokenType.FONT_FAMILY).isPresent();
    if (type == TokenType.DIMENSION && css.equals("0")) {
      return "0px";
    }
    return family ? Families.css(css) : Declarations.viewportHeights(css);
  }
}
