package goodbones.server.pictures;

import com.helger.css.decl.CSSDeclaration;
import com.helger.css.decl.CSSDeclarationList;
import com.helger.css.decl.CSSSelector;
import com.helger.css.decl.CSSStyleRule;
import com.helger.css.decl.CascadingStyleSheet;
import com.helger.css.reader.CSSReader;
import com.helger.css.reader.CSSReaderDeclarationList;
import com.helger.css.reader.CSSReaderSettings;
import com.helger.css.reader.errorhandler.DoNothingCSSParseErrorHandler;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * The style sheets of an SVG file, of which its elements take presentation attributes over. Only
 * simple selectors are followed: a name, a class, an id, or all.
 */
final class SvgStyles {
  private static final Pattern SIMPLE = Pattern.compile("[.#]?[\\p{L}_-][\\p{L}\\p{N}_-]*|\\*");

  /** What was said of a selector, the later on top, and when it was said last. */
  private record Said(int last, Map<String, String> declarations) {}

  private final Map<String, Said> bySelector = new HashMap<>();
  private int rules;

  private static CSSReaderSettings quietly() {
    return new CSSReaderSettings()
        .setBrowserCompliantMode(true)
        .setCustomErrorHandler(new DoNothingCSSParseErrorHandler())
        .setCustomExceptionHandler(ignored -> {});
  }

  /** Takes a style sheet in; what cannot be followed is left out. */
  void add(String css) {
    CascadingStyleSheet sheet = CSSReader.readFromStringReader(css, quietly());
    if (sheet == null) {
      return;
    }
    for (CSSStyleRule rule : sheet.getAllStyleRules()) {
      Map<String, String> declarations = declarations(rule.getAllDeclarations());
      for (CSSSelector selector : rule.getAllSelectors()) {
        String text = selector.getAsCSSString().strip();
        if (SIMPLE.matcher(text).matches()) {
          Map<String, String> together = new LinkedHashMap<>();
          Said before = bySelector.get(text);
          if (before != null) {
            together.putAll(before.declarations());
          }
          together.putAll(declarations);
          bySelector.put(text, new Said(rules++, together));
        }
      }
    }
  }

  /** What the style sheets say of an element, and then its own {@code style} attribute. */
  Map<String, String> of(String element, String id, Set<String> classes, String style) {
    Map<String, String> said = new LinkedHashMap<>();
    lay("*", said);
    lay(element, said);
    classes.stream()
        .map(name -> bySelector.get("." + name))
        .filter(Objects::nonNull)
        .sorted(Comparator.comparingInt(Said::last))
        .forEach(rule -> said.putAll(rule.declarations()));
    lay("#" + id, said);
    if (!style.isBlank()) {
      CSSDeclarationList own = CSSReaderDeclarationList.readFromString(style, quietly());
      if (own != null) {
        said.putAll(declarations(own.getAllDeclarations()));
      }
    }
    return said;
  }

  private void lay(String selector, Map<String, String> on) {
    Said rule = bySelector.get(selector);
    if (rule != null) {
      on.putAll(rule.declarations());
    }
  }

  private static Map<String, String> declarations(Iterable<CSSDeclaration> list) {
    Map<String, String> declarations = new LinkedHashMap<>();
    for (CSSDeclaration declaration : list) {
      String name = declaration.getProperty();
      String value = declaration.getExpressionAsCSSString();
      if (SvgAllowed.PRESENTATION.contains(name) && SvgAllowed.takes(name, value)) {
        declarations.put(name, value);
      }
    }
    return declarations;
  }
}
