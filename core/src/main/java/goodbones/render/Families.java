package goodbones.render;

import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Writes font stacks so that every name is valid CSS: family names are quoted, generic families are
 * not (CSS Fonts 4, 2.1; an unquoted name must be a sequence of identifiers, so “Source Sans 3”
 * would make the declaration invalid).
 */
final class Families {
  private static final Set<String> GENERIC =
      Set.of("serif", "sans-serif", "monospace", "cursive", "fantasy", "system-ui");

  private Families() {}

  static String css(String stack) {
    return Arrays.stream(stack.split(","))
        .map(String::strip)
        .map(name -> GENERIC.contains(name) ? name : "\"" + name + "\"")
        .collect(Collectors.joining(","));
  }
}
