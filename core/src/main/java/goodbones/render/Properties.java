package goodbones.render;

import goodbones.document.StyleValue;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * The custom properties that a page uses, with aliases resolved, for the page and again for every
 * scheme in which they are worth something else.
 */
final class Properties {
  private final SiteFinishes finishes;
  private final SortedMap<String, StyleValue.TokenRef> used = new TreeMap<>();
  private final Map<StyleValue.TokenRef, String> names = new HashMap<>();
  private final java.util.SortedSet<String> schemes = new java.util.TreeSet<>();

  Properties(SiteFinishes finishes) {
    this.finishes = finishes;
  }

  /** Notes that a token, or a part of one, is used. */
  String use(StyleValue.TokenRef ref) {
    return names.computeIfAbsent(
        ref,
        first -> {
          String name =
              finishes.token(ref.tokenId()).map(t -> t.property(ref.part())).orElseThrow();
          used.put(name, ref);
          return "var(" + name + ")";
        });
  }

  /** Notes that a section takes a scheme. */
  void useScheme(String id) {
    schemes.add(id);
  }

  /** The class of everything that takes a scheme; that of no scheme for an unknown id. */
  String className(String schemeId) {
    return finishes.house().scheme(schemeId).map(Scheme::className).orElse("");
  }

  /** What stands at the root: name to value. */
  SortedMap<String, String> root() {
    SortedMap<String, String> root = new TreeMap<>();
    used.forEach((name, ref) -> root.put(name, css(finishes, ref)));
    return Collections.unmodifiableSortedMap(root);
  }

  /** For each scheme, what stands at its sections: class to name to value. */
  SortedMap<String, SortedMap<String, String>> scopes() {
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
    return family ? Families.css(css) : Declarations.viewportHeights(css);
  }
}
