package goodbones.style;

import goodbones.document.StyleValue;
import java.util.Objects;
import java.util.regex.Pattern;

/**
 * A named value of the finishes. Documents refer to it by id; its name may change.
 *
 * @param name its groups and its own word, with dots between
 * @param value a literal, another token that this one is an alias of, or a text with tokens in it
 * @param retired no longer offered, and kept because something still refers to it
 * @param extras what a file that brought it in said beyond this: a JSON object, or empty
 */
public record Token(
    String id,
    String name,
    TokenType type,
    StyleValue value,
    String description,
    boolean retired,
    String extras) {
  private static final Pattern SEGMENT = Pattern.compile("[^\\s{}.#$\\p{Cntrl}][^{}.#\\p{Cntrl}]*");
  private static final Pattern UNFIT = Pattern.compile("[^A-Za-z0-9_-]");
  private static final int NAME_LIMIT = 120;

  /**
   * @throws IllegalArgumentException if the name is not words with dots between
   */
  public Token {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(type, "type");
    Objects.requireNonNull(value, "value");
    Objects.requireNonNull(description, "description");
    Objects.requireNonNull(extras, "extras");
    requireName(name);
  }

  public static Token of(
      String id, String name, TokenType type, StyleValue value, String description) {
    return new Token(id, name, type, value, description, false, "");
  }

  /**
   * @throws IllegalArgumentException if a token or a group cannot go by that name
   */
  public static void requireName(String name) {
    boolean sound = name.length() <= NAME_LIMIT && !name.isEmpty();
    for (String segment : name.split("\\.", -1)) {
      sound &= SEGMENT.matcher(segment).matches() && segment.equals(segment.strip());
    }
    if (!sound) {
      throw new IllegalArgumentException(
          "“"
              + name
              + "” is not a token name: use words with dots between, such as color.accent,"
              + " without { } # and not beginning with $, at most "
              + NAME_LIMIT
              + " characters");
    }
  }

  public Token withName(String newName) {
    return new Token(id, newName, type, value, description, retired, extras);
  }

  public Token withValue(StyleValue newValue) {
    return new Token(id, name, type, newValue, description, retired, extras);
  }

  public Token withDescription(String text) {
    return new Token(id, name, type, value, text, retired, extras);
  }

  public Token withRetired(boolean yes) {
    return new Token(id, name, type, value, description, yes, extras);
  }

  /** The first word of the name: what the token is for. */
  public String group() {
    int dot = name.indexOf('.');
    return dot < 0 ? "" : name.substring(0, dot);
  }

  /** The CSS custom property that it is written as. */
  public String property() {
    return custom(name);
  }

  private static String custom(String name) {
    return "--" + UNFIT.matcher(name).replaceAll("-");
  }

  /** What the custom property of a part ends with. */
  static String propertyPart(String part) {
    StringBuilder kebab = new StringBuilder();
    for (char c : part.toCharArray()) {
      kebab.append(Character.isUpperCase(c) ? "-" + Character.toLowerCase(c) : c);
    }
    return "-" + UNFIT.matcher(kebab).replaceAll("-");
  }
}
