package goodbones.render;

import goodbones.document.FamilyNames;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Writes font stacks so that every name is valid CSS: family names are quoted, generic families are
 * not (CSS Fonts 4, 2.1; an unquoted name must be a sequence of identifiers, so “Source Sans 3”
 * would make the declaration invalid).
 */
final class Families {
  private static final String MONOSPACE = "monospace";
  private static final Set<String> GENERIC =
      Set.of(
          "serif",
          "sans-serif",
          MONOSPACE,
          "cursive",
          "fantasy",
          "system-ui",
          "ui-serif",
          "ui-sans-serif",
          "ui-monospace",
          "ui-rounded",
          "math",
          "emoji",
          "fangsong");

  private Families() {}

  /**
   * The stack in CSS. Monospace alone is said twice: browsers set text smaller where that is all
   * that is said, and every size in em with it.
   */
  static String css(String stack) {
    List<String> names = FamilyNames.of(stack);
    return (names.equals(List.of(MONOSPACE)) ? List.of(MONOSPACE, MONOSPACE) : names)
        .stream().map(Families::written).collect(Collectors.joining(","));
  }

  /** Names that begin with a hyphen are keywords of one maker's browsers and go unquoted. */
  private static String written(String name) {
    return GENERIC.contains(name) || name.matches("-[a-z][a-z-]*") ? name : "\"" + name + "\"";
  }
}
