package goodbones.style;

import goodbones.document.StyleValue;
import java.util.AbstractList;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.RandomAccess;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Tokens in their order that are also found by their id and name at once, with the names of their
 * custom properties and who refers to whom. Immutable.
 */
final class TokenList extends AbstractList<Token> implements RandomAccess {
  private final List<Token> tokens;
  private final Map<String, Token> byId = new HashMap<>();
  private final Map<String, Token> byName = new HashMap<>();
  private volatile @Nullable Map<String, String> properties;
  private volatile @Nullable Map<String, List<String>> referring;

  private TokenList(List<Token> tokens) {
    this.tokens = List.copyOf(tokens);
    for (Token token : this.tokens) {
      byId.putIfAbsent(token.id(), token);
      byName.putIfAbsent(token.name(), token);
    }
  }

  static TokenList of(List<Token> tokens) {
    return tokens instanceof TokenList same ? same : new TokenList(tokens);
  }

  Optional<Token> token(String id) {
    return Optional.ofNullable(byId.get(id));
  }

  Optional<Token> named(String name) {
    return Optional.ofNullable(byName.get(name));
  }

  /**
   * The custom property of each token, by its id. Names that differ only in what a custom property
   * cannot say, such as {@code a b} and {@code a-b}, are told apart by a number.
   */
  Map<String, String> properties() {
    Map<String, String> known = properties;
    if (known == null) {
      known = named();
      properties = known;
    }
    return known;
  }

  private Map<String, String> named() {
    Map<String, String> names = new HashMap<>();
    Set<String> taken = new HashSet<>();
    for (Token token : tokens) {
      String wanted = token.property();
      String name = wanted;
      for (int i = 2; !taken.add(name); i++) {
        name = wanted + "-" + i;
      }
      names.put(token.id(), name);
    }
    return names;
  }

  /** The ids of the tokens whose values refer to a token, straight. */
  List<String> referring(String id) {
    Map<String, List<String>> known = referring;
    if (known == null) {
      known = new HashMap<>();
      for (Token token : tokens) {
        for (StyleValue.TokenRef ref : token.value().refs()) {
          known.computeIfAbsent(ref.tokenId(), i -> new ArrayList<>()).add(token.id());
        }
      }
      referring = known;
    }
    return known.getOrDefault(id, List.of());
  }

  @Override
  public Token get(int index) {
    return tokens.get(index);
  }

  @Override
  public int size() {
    return tokens.size();
  }
}
