package goodbones.server.problems;

/** Input that cannot be taken; the message says how to mend it. */
public final class BadInput extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final String field;

  /**
   * @param field where in the input
   */
  public BadInput(String field, String message) {
    super(message);
    this.field = field;
  }

  public String field() {
    return field;
  }
}
