package goodbones.style;

import goodbones.document.Kind;
import goodbones.document.References;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The house's tokens and named styles, and what each kind looks like where nothing says otherwise.
 *
 * @param groups what files said about groups of tokens
 * @param unread what a file brought in that is no token to us, kept so that it goes out again: a
 *     JSON object, or empty
 * @param tabletLimit the greatest viewport width, in px, that counts as a tablet
 * @param phoneLimit the greatest viewport width, in px, that counts as a phone
 */
public record Finishes(
    int revision,
    List<Token> tokens,
    List<NamedStyle> namedStyles,
    List<Scheme> schemes,
    Map<Kind, Map<StyleKey, StyleValue>> defaults,
    List<TokenGroup> groups,
    String unread,
    int tabletLimit,
    int phoneLimit) {
  public static final int TABLET_LIMIT = 1023;
  public static final int PHONE_LIMIT = 639;

  public Finishes {
    tokens = TokenList.of(tokens);
    namedStyles = List.copyOf(namedStyles);
    schemes = List.copyOf(schemes);
    defaults = Map.copyOf(defaults);
    groups = List.copyOf(groups);
    if (phoneLimit <= 0 || tabletLimit <= phoneLimit) {
      throw new IllegalArgumentException(
          "The phone's limit must be above 0 and below the tablet's, not "
              + phoneLimit
              + " and "
              + tabletLimit);
    }
  }

  /** Finishes with the usual limits and no schemes. */
  public static Finishes of(
      List<Token> tokens,
      List<NamedStyle> namedStyles,
      Map<Kind, Map<StyleKey, StyleValue>> defaults) {
    return new Finishes(
        1, tokens, namedStyles, List.of(), defaults, List.of(), "", TABLET_LIMIT, PHONE_LIMIT);
  }

  public Finishes withRevision(int number) {
    return new Finishes(
        number, tokens, namedStyles, schemes, defaults, groups, unread, tabletLimit, phoneLimit);
  }

  public Finishes withTokens(List<Token> newTokens) {
    return new Finishes(
        revision,
        newTokens,
        namedStyles,
        schemes,
        defaults,
        groups,
        unread,
        tabletLimit,
        phoneLimit);
  }

  public Finishes withNamedStyles(List<NamedStyle> newStyles) {
    return new Finishes(
        revision, tokens, newStyles, schemes, defaults, groups, unread, tabletLimit, phoneLimit);
  }

  public Finishes withSchemes(List<Scheme> newSchemes) {
    return new Finishes(
        revision,
        tokens,
        namedStyles,
        newSchemes,
        defaults,
        groups,
        unread,
        tabletLimit,
        phoneLimit);
  }

  /** With what a file said beyond tokens. */
  public Finishes withFile(List<TokenGroup> newGroups, String newUnread) {
    return new Finishes(
        revision,
        tokens,
        namedStyles,
        schemes,
        defaults,
        newGroups,
        newUnread,
        tabletLimit,
        phoneLimit);
  }

  public Optional<Token> token(String id) {
    return ((TokenList) tokens).token(id);
  }

  /** The ids of the tokens whose values refer to a token, straight. */
  List<String> tokensReferringTo(String id) {
    return ((TokenList) tokens).referring(id);
  }

  /** The custom property that a token is written as. */
  Optional<String> property(String tokenId) {
    return Optional.ofNullable(((TokenList) tokens).properties().get(tokenId));
  }

  public Optional<Token> tokenNamed(String name) {
    return ((TokenList) tokens).named(name);
  }

  public Optional<NamedStyle> namedStyle(String id) {
    return namedStyles.stream().filter(style -> style.id().equals(id)).findFirst();
  }

  public Optional<Scheme> scheme(String id) {
    return schemes.stream().filter(scheme -> scheme.id().equals(id)).findFirst();
  }

  /** Where the finishes themselves refer to a token, in words; empty if nowhere. */
  public List<String> referringTo(String tokenId) {
    List<String> places = new ArrayList<>();
    for (Token token : tokens) {
      if (refers(token.value(), tokenId)) {
        places.add("the token " + token.name());
      }
    }
    for (NamedStyle style : namedStyles) {
      if (style.styles().values().stream().anyMatch(value -> refers(value, tokenId))) {
        places.add("the named style “" + style.name() + "”");
      }
    }
    for (Scheme scheme : schemes) {
      if (scheme.values().containsKey(tokenId)
          || scheme.values().values().stream().anyMatch(value -> refers(value, tokenId))) {
        places.add("the scheme “" + scheme.name() + "”");
      }
    }
    defaults.entrySet().stream()
        .filter(e -> e.getValue().values().stream().anyMatch(value -> refers(value, tokenId)))
        .map(e -> "the look of every " + e.getKey().word())
        .sorted()
        .forEach(places::add);
    return places;
  }

  /** What a document refers to that these finishes do not have, in words; empty if nothing. */
  public List<String> lacks(References wanted) {
    List<String> missing = new ArrayList<>();
    wanted.tokens().stream()
        .filter(id -> token(id).isEmpty())
        .forEach(id -> missing.add("the token " + id));
    wanted.namedStyles().stream()
        .filter(id -> namedStyle(id).isEmpty())
        .forEach(id -> missing.add("the named style " + id));
    wanted.schemes().stream()
        .filter(id -> scheme(id).isEmpty())
        .forEach(id -> missing.add("the scheme " + id));
    return missing;
  }

  static boolean refers(StyleValue value, String tokenId) {
    return value.refs().stream().anyMatch(ref -> ref.tokenId().equals(tokenId));
  }
}
