package goodbones.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What is stored for a style key or a token: a literal, a reference to a token by its id, or a text
 * in which references stand, such as a shadow with a token for its colour.
 */
public sealed interface StyleValue {

  /** A value written out, in CSS form. */
  record Literal(String css) implements StyleValue {
    public Literal {
      Objects.requireNonNull(css, "css");
    }

    @Override
    public List<TokenRef> refs() {
      return List.of();
    }

    @Override
    public StyleValue map(Function<TokenRef, TokenRef> change) {
      return this;
    }

    @Override
    public String toString() {
      return css;
    }
  }

  /**
   * A token, by id, so that renaming it breaks nothing.
   *
   * @param part the part of a composite value, such as {@code fontSize} of a typography token or
   *     {@code 0/color} of the first of several shadows; empty for the whole
   */
  record TokenRef(String tokenId, String part) implements StyleValue {
    public TokenRef {
      Objects.requireNonNull(tokenId, "tokenId");
      Objects.requireNonNull(part, "part");
    }

    @Override
    public List<TokenRef> refs() {
      return List.of(this);
    }

    @Override
    public StyleValue map(Function<TokenRef, TokenRef> change) {
      return change.apply(this);
    }

    @Override
    public String toString() {
      return "{" + tokenId + (part.isEmpty() ? "" : "#" + part) + "}";
    }
  }

  /** CSS text in which {@code {token}} stands for a token. */
  record Composed(String template) implements StyleValue {
    private static final Pattern REF = Pattern.compile("\\{([^{}#]+)(?:#([^{}]+))?}");

    public Composed {
      Objects.requireNonNull(template, "template");
    }

    @Override
    public List<TokenRef> refs() {
      List<TokenRef> refs = new ArrayList<>();
      Matcher found = REF.matcher(template);
      while (found.find()) {
        refs.add(ref(found));
      }
      return refs;
    }

    @Override
    public StyleValue map(Function<TokenRef, TokenRef> change) {
      return new Composed(filled(ref -> change.apply(ref).toString()));
    }

    /** The text with every reference replaced. */
    public String filled(Function<TokenRef, String> worth) {
      return REF.matcher(template)
          .replaceAll(found -> Matcher.quoteReplacement(worth.apply(ref(found))));
    }

    private static TokenRef ref(java.util.regex.MatchResult found) {
      String part = found.group(2);
      return new TokenRef(found.group(1).strip(), part == null ? "" : part.strip());
    }

    @Override
    public String toString() {
      return template;
    }
  }

  /** The tokens that it refers to, in the order in which they stand. */
  List<TokenRef> refs();

  /** The same value with other references. */
  StyleValue map(Function<TokenRef, TokenRef> change);

  static StyleValue literal(String css) {
    return new Literal(css);
  }

  static StyleValue token(String tokenId) {
    return new TokenRef(tokenId, "");
  }

  /** Reads the text form, {@code {token-id}}, {@code {token-id#part}}, a literal or a mix. */
  static StyleValue parse(String text) {
    String trimmed = text.strip();
    Matcher whole = Composed.REF.matcher(trimmed);
    if (whole.matches()) {
      return Composed.ref(whole);
    }
    return whole.reset().find() ? new Composed(trimmed) : new Literal(trimmed);
  }
}
