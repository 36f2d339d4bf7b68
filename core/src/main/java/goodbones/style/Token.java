package goodbones.style;

import goodbones.document.StyleValue;
import java.util.Objects;
import java.util.regex.Pattern;

/**
 * A named value of the finishes. Documents refer to it by id; its name may change.
 *
 * @param value a literal, or another token that this one is an alias of
 */
public record Token(String id, String name, TokenType type, StyleValue value, String description) {
  private static final Pattern NAME = Pattern.compile("[a-z0-9]+(\\.[a-z0-9]+)*");

  /**
   * @throws IllegalArgumentException if the name is not lower-case words and numbers with dots
   *     between
   */
  public Token {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(type, "type");
    Objects.requireNonNull(value, "value");
    Objects.requireNonNull(description, "description");
    if (!NAME.matcher(name).matches()) {
      throw new IllegalArgumentException(
          "“"
              + name
              + "” is not a token name: use lower-case words with dots between, such as color.accent");
    }
  }
}
