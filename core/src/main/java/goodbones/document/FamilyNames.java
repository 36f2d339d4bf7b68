package goodbones.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The names of font families in a stack such as {@code "Source Sans 3", -apple-system, serif}. */
public final class FamilyNames {
  private static final String PLAIN = "[^\"'\\\\<>{};,()\\p{Cntrl}]+";
  private static final String QUOTED = "[^\"'\\\\<>{};\\p{Cntrl}]+";
  private static final Pattern NAME =
      Pattern.compile("\\s*(?:\"(" + QUOTED + ")\"|'(" + QUOTED + ")'|(" + PLAIN + "))\\s*(,|$)");

  private FamilyNames() {}

  /**
   * The names without their quotation marks, the first choice first.
   *
   * @return empty if the text is no stack of families, in letters of any script
   */
  public static Optional<List<String>> read(String stack) {
    List<String> names = new ArrayList<>();
    Matcher name = NAME.matcher(stack);
    int at = 0;
    boolean more = true;
    while (more && name.find() && name.start() == at) {
      String found =
          name.group(1) != null
              ? name.group(1)
              : name.group(2) != null ? name.group(2) : name.group(3);
      if (found.codePoints().noneMatch(Character::isLetterOrDigit)) {
        return Optional.empty();
      }
      names.add(found.strip());
      at = name.end();
      more = !name.group(4).isEmpty();
    }
    return !more && at == stack.length() && !names.isEmpty()
        ? Optional.of(List.copyOf(names))
        : Optional.empty();
  }

  /** The names of a stack; none if it is no stack. */
  public static List<String> of(String stack) {
    return read(stack).orElse(List.of());
  }

  /** Writes names as a stack that {@link #read} reads as the same names. */
  public static String stack(List<String> names) {
    return String.join(
        ", ", names.stream().map(name -> name.contains(",") ? "\"" + name + "\"" : name).toList());
  }
}
