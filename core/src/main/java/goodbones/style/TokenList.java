package goodbones.style;

import java.util.AbstractList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.RandomAccess;

/** Tokens in their order that are also found by their id and name at once. Immutable. */
final class TokenList extends AbstractList<Token> implements RandomAccess {
  private final List<Token> tokens;
  private final Map<String, Token> byId = new HashMap<>();
  private final Map<String, Token> byName = new HashMap<>();

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

  @Override
  public Token get(int index) {
    return tokens.get(index);
  }

  @Override
  public int size() {
    return tokens.size();
  }
}
