package goodbones.style;

import java.util.List;

/** A token that cannot be looked up or does not fit; the message names the whole chain. */
public final class TokenProblem extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<String> chain;

  public TokenProblem(String message, List<String> chain) {
    super(message);
    this.chain = List.copyOf(chain);
  }

  /** The names of the tokens on the way, in the order in which they were looked up. */
  public List<String> chain() {
    return chain;
  }
}
