package goodbones.server.problems;

/** Something asked for by an id that nothing has. */
public final class NotFound extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /**
   * @param what the kind of thing, in the interface's words
   */
  public NotFound(String what, String id) {
    super(
        "There is no " + what + " “" + id + "”; it may have been removed, or the address is wrong");
  }
}
