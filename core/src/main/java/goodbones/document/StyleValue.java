package goodbones.document;

import java.util.Objects;

/** What is stored for a style key: a literal, or a reference to a token by its id. */
public sealed interface StyleValue {

  /** A value written out, in CSS form. */
  record Literal(String css) implements StyleValue {
    public Literal {
      Objects.requireNonNull(css, "css");
    }

    @Override
    public String toString() {
      return css;
    }
  }

  /** A token, by id, so that renaming it breaks nothing. */
  record TokenRef(String tokenId) implements StyleValue {
    public TokenRef {
      Objects.requireNonNull(tokenId, "tokenId");
    }

    @Override
    public String toString() {
      return "{" + tokenId + "}";
    }
  }

  static StyleValue literal(String css) {
    return new Literal(css);
  }

  static StyleValue token(String tokenId) {
    return new TokenRef(tokenId);
  }

  /** Reads the text form: {@code {token-id}} or a literal. */
  static StyleValue parse(String text) {
    String trimmed = text.strip();
    return trimmed.length() > 2 && trimmed.startsWith("{") && trimmed.endsWith("}")
        ? new TokenRef(trimmed.substring(1, trimmed.length() - 1).strip())
        : new Literal(trimmed);
  }
}
