package goodbones.server.problems;

/** Two people changed the same thing. Nothing was overwritten; the later one is asked. */
public final class SameNode extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /**
   * @param what the thing
   * @param who changed it meanwhile
   * @param change what was done to it
   */
  public SameNode(String what, String who, String change) {
    super(
        what
            + " was changed meanwhile by "
            + who
            + " ("
            + change
            + "). Nothing was overwritten: keep yours on top of it, or take theirs");
  }
}
