package goodbones.server.problems;

import java.util.function.Function;

/** Input that cannot be taken; the message says how to mend it. */
public class BadInput extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final String field;

  /**
   * @param field where in the input
   */
  public BadInput(String field, String message) {
    super(message);
    this.field = field;
  }

  /**
   * What a word stands for.
   *
   * @param field where in the input
   * @param of throws an IllegalArgumentException that says which word is not known
   * @throws BadInput if it is not
   */
  public static <T> T known(String field, String word, Function<String, T> of) {
    try {
      return of.apply(word);
    } catch (IllegalArgumentException unknown) {
      throw new BadInput(field, unknown.getMessage() + "; choose one of those listed");
    }
  }

  /**
   * @param otherwise how to mend it
   * @throws BadInput if it does not hold
   */
  public static void require(boolean holds, String field, String otherwise) {
    if (!holds) {
      throw new BadInput(field, otherwise);
    }
  }

  public String field() {
    return field;
  }
}
