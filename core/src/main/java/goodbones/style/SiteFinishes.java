package goodbones.style;

import goodbones.document.Composite;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.document.ValueType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The finishes as one site sees them: the house's, with the site's own values and named styles on
 * top. Aliases are looked up after a site's value has taken the place of the house's for the same
 * token.
 *
 * <p>{@link #in} gives them as they are inside a section that chooses a colour scheme.
 */
public final class SiteFinishes {
  /** So many tokens of a way are named in a message. */
  private static final int TOLD = 12;

  private final Finishes house;
  private final Map<String, StyleValue> siteValues;
  private final List<NamedStyle> siteStyles;
  private final Optional<Scheme> scheme;
  private final SiteFinishes outside;
  private final Map<String, NamedStyle> styles = new LinkedHashMap<>();
  private final Map<StyleValue, Worth> known = new ConcurrentHashMap<>();
  private final Map<String, SiteFinishes> schemes = new ConcurrentHashMap<>();
  private final Map<ValueType, Map<String, Boolean>> accepted = new ConcurrentHashMap<>();

  /** What a value is worth, and the tokens that lead there. */
  public record Worth(String css, List<Step> chain) {
    public Worth {
      chain = Chain.of(chain);
    }
  }

  /**
   * One step of a chain of tokens.
   *
   * @param from who gave the value that was taken
   */
  public record Step(String tokenId, String name, StyleValue value, From from) {}

  /** Whose value of a token is taken. */
  public enum From {
    HOUSE,
    SITE,
    SCHEME
  }

  public SiteFinishes(Finishes house, Map<String, StyleValue> siteValues) {
    this(house, siteValues, List.of());
  }

  /**
   * @param siteStyles the site's own named styles; one with the id of a house's stands in its place
   */
  public SiteFinishes(
      Finishes house, Map<String, StyleValue> siteValues, List<NamedStyle> siteStyles) {
    this(house, siteValues, siteStyles, Optional.empty(), null);
  }

  private SiteFinishes(
      Finishes house,
      Map<String, StyleValue> siteValues,
      List<NamedStyle> siteStyles,
      Optional<Scheme> scheme,
      @org.jspecify.annotations.Nullable SiteFinishes outside) {
    this.house = house;
    this.siteValues = Map.copyOf(siteValues);
    this.siteStyles = List.copyOf(siteStyles);
    this.scheme = scheme;
    this.outside = outside == null ? this : outside;
    house.namedStyles().forEach(style -> styles.put(style.id(), style));
    siteStyles.forEach(style -> styles.put(style.id(), style));
  }

  /**
   * The custom property that a token, or a part of one, is written as.
   *
   * @throws TokenProblem if there is no such token
   */
  public String property(StyleValue.TokenRef ref) {
    require(ref.tokenId(), Set.of());
    String whole = house.property(ref.tokenId()).orElseThrow();
    return ref.part().isEmpty() ? whole : whole + Token.propertyPart(ref.part());
  }

  public Finishes house() {
    return house;
  }

  public List<Token> tokens() {
    return house.tokens();
  }

  public Optional<Token> token(String id) {
    return house.token(id);
  }

  public Optional<Token> byName(String name) {
    return house.tokenNamed(name);
  }

  public List<NamedStyle> namedStyles() {
    return List.copyOf(styles.values());
  }

  public Optional<NamedStyle> namedStyle(String id) {
    return Optional.ofNullable(styles.get(id));
  }

  /**
   * A named style followed by those that it builds on, nearest first.
   *
   * @return without what is unknown, and without end only as far as no style comes twice
   */
  public List<NamedStyle> withBases(String id) {
    Map<String, NamedStyle> line = new LinkedHashMap<>();
    Optional<NamedStyle> at = namedStyle(id);
    while (at.isPresent() && line.putIfAbsent(at.get().id(), at.get()) == null) {
      at = at.get().basedOn().flatMap(this::namedStyle);
    }
    return List.copyOf(line.values());
  }

  /** The site's own value for a token, if it has one. */
  public Optional<StyleValue> ownValue(String tokenId) {
    return Optional.ofNullable(siteValues.get(tokenId));
  }

  /** The site's own values, by token id. */
  public Map<String, StyleValue> ownValues() {
    return siteValues;
  }

  /** The site's own named styles. */
  public List<NamedStyle> ownStyles() {
    return siteStyles;
  }

  /** These finishes inside a colour scheme; outside any for an unknown id. */
  public SiteFinishes in(String schemeId) {
    return schemes.computeIfAbsent(
        schemeId, id -> new SiteFinishes(house, siteValues, siteStyles, house.scheme(id), outside));
  }

  /** The scheme that these finishes are in. */
  public Optional<Scheme> scheme() {
    return scheme;
  }

  /**
   * Looks up what a token is worth on this site.
   *
   * @throws TokenProblem if the token is unknown, an alias leads to an unknown token, to one of
   *     another type or back to itself, or the literal at the end does not fit the type
   */
  public Worth worth(String tokenId) {
    return worth(StyleValue.token(tokenId));
  }

  /**
   * Looks up what a stored value is worth on this site.
   *
   * @throws TokenProblem if a token in it cannot be looked up
   */
  public Worth worth(StyleValue value) {
    if (value instanceof StyleValue.Literal literal) {
      return new Worth(literal.css(), List.of());
    }
    Worth before = known.get(value);
    if (before != null) {
      return before;
    }
    Worth found = value(value, new LinkedHashSet<>());
    known.put(value, found);
    return found;
  }

  /**
   * @param path the ids of the tokens on the way here
   */
  private Worth value(StyleValue value, Set<String> path) {
    if (value instanceof StyleValue.Literal literal) {
      return new Worth(literal.css(), List.of());
    }
    if (value instanceof StyleValue.TokenRef ref) {
      Worth whole = token(ref.tokenId(), path);
      return ref.part().isEmpty() ? whole : part(ref, whole, path);
    }
    List<Step> chain = new ArrayList<>();
    String css =
        ((StyleValue.Composed) value)
            .filled(
                ref -> {
                  Worth worth = value(ref, path);
                  chain.addAll(worth.chain());
                  return worth.css();
                });
    return new Worth(css, chain);
  }

  /** Plain aliases are followed one after the other, however many; all else by calling itself. */
  private Worth token(String id, Set<String> path) {
    List<Token> line = new ArrayList<>();
    List<Step> steps = new ArrayList<>();
    Token at = require(id, path);
    Worth end = known.get(StyleValue.token(at.id()));
    while (end == null) {
      if (!path.add(at.id())) {
        throw circle(at, path);
      }
      Step step = step(at);
      line.add(at);
      steps.add(step);
      if (step.from() == From.SCHEME) {
        end = outside.value(step.value(), new LinkedHashSet<>());
      } else if (step.value() instanceof StyleValue.TokenRef ref && ref.part().isEmpty()) {
        at = require(ref.tokenId(), path);
        end = known.get(step.value());
      } else {
        end = value(step.value(), path);
      }
    }
    for (int i = line.size() - 1; i >= 0; i--) {
      Token token = line.get(i);
      requireType(token, steps.get(i).value(), end.css(), path);
      path.remove(token.id());
      end = new Worth(end.css(), Chain.of(end.chain()).after(steps.get(i)));
      known.put(StyleValue.token(token.id()), end);
    }
    return end;
  }

  private TokenProblem circle(Token token, Set<String> path) {
    List<String> names = names(path);
    names = new ArrayList<>(names.subList(names.indexOf(token.name()), names.size()));
    names.add(token.name());
    return new TokenProblem(
        "The token "
            + token.name()
            + " comes back to itself: "
            + String.join(" → ", shortened(names))
            + "; give one of them a value of its own",
        names);
  }

  /** A long way, told by its beginning and its end. */
  private static List<String> shortened(List<String> names) {
    if (names.size() <= TOLD) {
      return names;
    }
    List<String> told = new ArrayList<>(names.subList(0, TOLD - 2));
    told.add("… " + (names.size() - TOLD + 1) + " more …");
    told.add(names.get(names.size() - 1));
    return told;
  }

  private Step step(Token token) {
    StyleValue inScheme = scheme.map(s -> s.values().get(token.id())).orElse(null);
    if (inScheme != null) {
      return new Step(token.id(), token.name(), inScheme, From.SCHEME);
    }
    StyleValue own = siteValues.get(token.id());
    return own == null
        ? new Step(token.id(), token.name(), token.value(), From.HOUSE)
        : new Step(token.id(), token.name(), own, From.SITE);
  }

  private void requireType(Token token, StyleValue stored, String css, Set<String> path) {
    if (stored instanceof StyleValue.TokenRef ref) {
      Token next = require(ref.tokenId(), path);
      TokenType type =
          ref.part().isEmpty() ? next.type() : next.type().part(ref.part()).orElse(next.type());
      if (type != token.type()) {
        List<String> names = names(path);
        names.add(written(ref).replaceAll("[{}]", ""));
        throw new TokenProblem(
            "The token "
                + token.name()
                + " is a "
                + token.type().word()
                + " but leads to a "
                + type.word()
                + ": "
                + String.join(" → ", shortened(names)),
            names);
      }
      return;
    }
    if (!token.type().accepts(css)) {
      List<String> names = names(path);
      stored.refs().forEach(ref -> names.add(written(ref).replaceAll("[{}]", "")));
      throw new TokenProblem(
          "The token "
              + token.name()
              + " cannot be “"
              + css
              + "”: give "
              + token.type().literal().form()
              + (names.size() > 1 ? " (" + String.join(" → ", shortened(names)) + ")" : ""),
          names);
    }
  }

  private Worth part(StyleValue.TokenRef ref, Worth whole, Set<String> path) {
    Token token = require(ref.tokenId(), path);
    String wanted = ref.part();
    Map<String, String> parts =
        Composite.parts(token.type().literal(), whole.css()).orElse(Map.of());
    String part = parts.get(wanted);
    if (part == null && wanted.startsWith("0/")) {
      part = parts.get(wanted.substring(2));
    }
    if (part == null) {
      List<String> names = names(path);
      names.add(token.name());
      throw new TokenProblem(
          "The token "
              + token.name()
              + " has no part “"
              + wanted
              + "”; "
              + (parts.isEmpty()
                  ? "a " + token.type().word() + " has no parts"
                  : "it has " + String.join(", ", parts.keySet())),
          names);
    }
    return new Worth(part, whole.chain());
  }

  private Token require(String id, Set<String> path) {
    return token(id).orElseThrow(() -> unknown(id, path));
  }

  private TokenProblem unknown(String id, Set<String> path) {
    List<String> names = names(path);
    names.add(id);
    return new TokenProblem(
        "There is no token “"
            + id
            + "”"
            + (names.size() > 1 ? " (" + String.join(" → ", shortened(names)) + ")" : "")
            + near(id),
        names);
  }

  private String near(String wanted) {
    String group = wanted.contains(".") ? wanted.substring(0, wanted.indexOf('.') + 1) : wanted;
    List<String> like =
        tokens().stream().map(Token::name).filter(name -> name.startsWith(group)).limit(8).toList();
    return like.isEmpty() ? "" : "; there are " + String.join(", ", like);
  }

  private List<String> names(Set<String> ids) {
    List<String> names = new ArrayList<>();
    ids.forEach(id -> names.add(token(id).map(Token::name).orElse(id)));
    return names;
  }

  /**
   * Checks that a value can be set for a property: a literal of the right form, or one with tokens
   * whose types fit and which can be looked up on this site.
   *
   * @throws TokenProblem if it cannot
   */
  public void require(StyleProperty property, StyleValue value) {
    if (value instanceof StyleValue.TokenRef ref) {
      Token token = require(ref.tokenId(), Set.of());
      TokenType type =
          ref.part().isEmpty() ? token.type() : token.type().part(ref.part()).orElse(token.type());
      if (!type.fits(property.type())) {
        throw new TokenProblem(
            property.label()
                + " takes "
                + property.type().form()
                + "; the token "
                + written(value).replaceAll("[{}]", "")
                + " is a "
                + type.word(),
            List.of(token.name()));
      }
    }
    if (!(value instanceof StyleValue.Literal) && !property.type().accepts(worth(value).css())) {
      throw new TokenProblem(
          property.label()
              + " cannot be “"
              + written(value)
              + "”, which is worth “"
              + worth(value).css()
              + "”: give "
              + property.type().form(),
          List.of());
    }
  }

  /** Whether a value of that type may be written so; remembered, because the cascade asks often. */
  boolean accepts(ValueType type, String css) {
    return accepted
        .computeIfAbsent(type, t -> new ConcurrentHashMap<>())
        .computeIfAbsent(css, type::accepts);
  }

  /**
   * Reads what a designer typed: {@code {token.name}}, a literal, or a mix. Names become ids.
   *
   * @throws TokenProblem if no token goes by that name
   */
  public StyleValue read(String typed) {
    return StyleValue.parse(typed)
        .map(
            ref ->
                new StyleValue.TokenRef(
                    byName(ref.tokenId())
                        .map(Token::id)
                        .orElseGet(() -> require(ref.tokenId(), Set.of()).id()),
                    ref.part()));
  }

  /** Writes a value as a designer reads it: {@code {token.name}}, the literal, or the mix. */
  public String written(StyleValue value) {
    return value
        .map(
            ref ->
                new StyleValue.TokenRef(
                    token(ref.tokenId()).map(Token::name).orElse(ref.tokenId()), ref.part()))
        .toString();
  }

  /**
   * The tokens that are worth just what a token is worth: the token itself and the plain aliases of
   * it. Inside a scheme those that mean something else there are left out.
   */
  public List<Token> followers(String tokenId) {
    return tokens().stream().filter(token -> follows(worth(token.id()).chain(), tokenId)).toList();
  }

  private static boolean follows(List<Step> chain, String tokenId) {
    for (Step step : chain) {
      if (step.tokenId().equals(tokenId) && step.from() != From.SCHEME) {
        return true;
      }
      if (!(step.value() instanceof StyleValue.TokenRef ref) || !ref.part().isEmpty()) {
        return false;
      }
    }
    return false;
  }

  /** These finishes with one more value of the site's own, or one less. */
  public SiteFinishes with(String tokenId, Optional<StyleValue> value) {
    return with(Map.of(tokenId, value));
  }

  /** These finishes with more values of the site's own, or fewer. */
  public SiteFinishes with(Map<String, Optional<StyleValue>> values) {
    Map<String, StyleValue> changed = new HashMap<>(siteValues);
    values.forEach(
        (tokenId, value) ->
            value.ifPresentOrElse(v -> changed.put(tokenId, v), () -> changed.remove(tokenId)));
    return new SiteFinishes(house, changed, siteStyles);
  }

  /** The same site on other finishes of the house. */
  public SiteFinishes on(Finishes other) {
    return new SiteFinishes(other, siteValues, siteStyles);
  }

  /** These finishes with other named styles of the site's own. */
  public SiteFinishes withOwnStyles(List<NamedStyle> newStyles) {
    return new SiteFinishes(house, siteValues, newStyles);
  }

  /**
   * Looks every token up, outside and inside every scheme, and every setting of every named style
   * and kind.
   *
   * @throws TokenProblem for the first one that cannot be
   */
  public void requireSound() {
    for (Token token : tokens()) {
      worth(token.id());
    }
    for (Scheme inside : house.schemes()) {
      tokens().forEach(token -> in(inside.id()).worth(token.id()));
    }
    requireSoundStyles();
  }

  /**
   * Looks up every setting of every named style and kind.
   *
   * @throws TokenProblem for the first one that cannot be
   */
  void requireSoundStyles() {
    for (NamedStyle style : styles.values()) {
      requireLine(style);
      style.styles().forEach((key, value) -> require(key.property(), value));
    }
    house.defaults().values().forEach(map -> map.forEach((k, v) -> require(k.property(), v)));
  }

  private void requireLine(NamedStyle style) {
    List<String> names = new ArrayList<>();
    Set<String> seen = new LinkedHashSet<>();
    Optional<NamedStyle> at = Optional.of(style);
    while (at.isPresent()) {
      names.add("“" + at.get().name() + "”");
      if (!seen.add(at.get().id())) {
        throw new TokenProblem(
            "The named style “"
                + style.name()
                + "” builds on itself: "
                + String.join(" → ", shortened(names))
                + "; let one of them stand alone",
            names);
      }
      Optional<String> base = at.get().basedOn();
      at = base.flatMap(this::namedStyle);
      if (base.isPresent() && at.isEmpty()) {
        throw new TokenProblem(
            String.join(" → ", shortened(names)) + " builds on a named style that is not there",
            names);
      }
    }
  }
}
