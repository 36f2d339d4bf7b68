package goodbones.style;

import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * The finishes as one site sees them: the house's, with the site's own values in place of the
 * house's for the same token. Aliases are looked up after that replacement.
 */
public final class SiteFinishes {
  private final Finishes house;
  private final Map<String, StyleValue> siteValues;
  private final Map<String, Token> byId = new LinkedHashMap<>();
  private final Map<String, NamedStyle> styles = new HashMap<>();
  private final Map<String, Worth> known = new ConcurrentHashMap<>();

  /** What a token is worth, and the steps that lead there. */
  public record Worth(String css, List<Step> chain) {
    public Worth {
      chain = List.copyOf(chain);
    }
  }

  /**
   * One step of an alias chain.
   *
   * @param own whether the site's own value was taken, not the house's
   */
  public record Step(String tokenId, String name, StyleValue value, boolean own) {}

  public SiteFinishes(Finishes house, Map<String, StyleValue> siteValues) {
    this.house = house;
    this.siteValues = Map.copyOf(siteValues);
    house.tokens().forEach(token -> byId.put(token.id(), token));
    house.namedStyles().forEach(style -> styles.put(style.id(), style));
  }

  public Finishes house() {
    return house;
  }

  public List<Token> tokens() {
    return List.copyOf(byId.values());
  }

  public Optional<Token> byName(String name) {
    return byId.values().stream().filter(token -> token.name().equals(name)).findFirst();
  }

  public Optional<NamedStyle> namedStyle(String id) {
    return Optional.ofNullable(styles.get(id));
  }

  /** The site's own value for a token, if it has one. */
  public Optional<StyleValue> ownValue(String tokenId) {
    return Optional.ofNullable(siteValues.get(tokenId));
  }

  /**
   * Looks up what a token is worth on this site.
   *
   * @throws TokenProblem if the token is unknown, an alias leads to an unknown token, to one of
   *     another type or back to itself, or the literal at the end does not fit the type
   */
  public Worth worth(String tokenId) {
    Worth before = known.get(tokenId);
    if (before != null) {
      return before;
    }
    Worth found = lookUp(tokenId);
    known.put(tokenId, found);
    return found;
  }

  private Worth lookUp(String tokenId) {
    List<Step> chain = new ArrayList<>();
    Set<String> seen = new LinkedHashSet<>();
    Token first = token(tokenId, seen);
    Token token = first;
    while (true) {
      if (!seen.add(token.id())) {
        List<String> names = names(seen);
        names.add(token.name());
        throw new TokenProblem(
            "The token "
                + first.name()
                + " comes back to itself: "
                + String.join(" → ", names)
                + "; give one of them a value of its own",
            names);
      }
      StyleValue own = siteValues.get(token.id());
      StyleValue value = own == null ? token.value() : own;
      chain.add(new Step(token.id(), token.name(), value, own != null));
      if (value instanceof StyleValue.Literal literal) {
        requireLiteral(token, literal, seen);
        return new Worth(literal.css(), chain);
      }
      Token next = token(((StyleValue.TokenRef) value).tokenId(), seen);
      if (next.type() != first.type()) {
        List<String> names = names(seen);
        names.add(next.name());
        throw new TokenProblem(
            "The token "
                + first.name()
                + " is a "
                + first.type().word()
                + " but leads to a "
                + next.type().word()
                + ": "
                + String.join(" → ", names),
            names);
      }
      token = next;
    }
  }

  private void requireLiteral(Token token, StyleValue.Literal literal, Set<String> seen) {
    if (!token.type().literal().accepts(literal.css())) {
      List<String> names = names(seen);
      throw new TokenProblem(
          "The token "
              + token.name()
              + " cannot be “"
              + literal.css()
              + "”: give "
              + token.type().literal().form()
              + (names.size() > 1 ? " (" + String.join(" → ", names) + ")" : ""),
          names);
    }
  }

  private Token token(String id, Set<String> seen) {
    Token token = byId.get(id);
    if (token == null) {
      List<String> names = names(seen);
      names.add(id);
      throw new TokenProblem(
          "There is no token “"
              + id
              + "”"
              + (names.size() > 1 ? " (" + String.join(" → ", names) + ")" : "")
              + near(id),
          names);
    }
    return token;
  }

  private String near(String wanted) {
    String group = wanted.contains(".") ? wanted.substring(0, wanted.indexOf('.') + 1) : wanted;
    List<String> like =
        byId.values().stream()
            .map(Token::name)
            .filter(name -> name.startsWith(group))
            .limit(8)
            .toList();
    return like.isEmpty() ? "" : "; there are " + String.join(", ", like);
  }

  private List<String> names(Set<String> ids) {
    return ids.stream()
        .map(id -> Optional.ofNullable(byId.get(id)).map(Token::name).orElse(id))
        .collect(Collectors.toCollection(ArrayList::new));
  }

  /**
   * Checks that a value can be set for a property: a literal of the right form, or a token whose
   * type fits and which can be looked up on this site.
   *
   * @throws TokenProblem if it cannot
   */
  public void require(StyleProperty property, StyleValue value) {
    if (value instanceof StyleValue.TokenRef ref) {
      Token token = token(ref.tokenId(), Set.of());
      if (!token.type().fits(property.type())) {
        throw new TokenProblem(
            property.label()
                + " takes "
                + property.type().form()
                + "; the token "
                + token.name()
                + " is a "
                + token.type().word(),
            List.of(token.name()));
      }
      worth(token.id());
    }
  }

  /**
   * Reads what a designer typed: {@code {token.name}}, or a literal. Names become ids.
   *
   * @throws TokenProblem if no token goes by that name
   */
  public StyleValue read(String typed) {
    StyleValue value = StyleValue.parse(typed);
    if (value instanceof StyleValue.TokenRef ref) {
      return byName(ref.tokenId())
          .<StyleValue>map(token -> StyleValue.token(token.id()))
          .orElseGet(() -> StyleValue.token(token(ref.tokenId(), Set.of()).id()));
    }
    return value;
  }

  /** Writes a value as a designer reads it: {@code {token.name}}, or the literal. */
  public String written(StyleValue value) {
    if (value instanceof StyleValue.TokenRef ref) {
      Token token = byId.get(ref.tokenId());
      return "{" + (token == null ? ref.tokenId() : token.name()) + "}";
    }
    return ((StyleValue.Literal) value).css();
  }

  /** These finishes with one more value of the site's own, or one less. */
  public SiteFinishes with(String tokenId, Optional<StyleValue> value) {
    Map<String, StyleValue> changed = new HashMap<>(siteValues);
    value.ifPresentOrElse(v -> changed.put(tokenId, v), () -> changed.remove(tokenId));
    return new SiteFinishes(house, changed);
  }

  /**
   * Looks every token up.
   *
   * @throws TokenProblem for the first one that cannot be
   */
  public void requireSound() {
    byId.keySet().forEach(this::worth);
  }
}
