package goodbones.server.problems;

/** A change made on an older state than the one that is kept. Nothing was overwritten. */
public final class Stale extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Stale(String what) {
    super(
        what
            + " was changed in another tab or by somebody else. Nothing was overwritten: load the"
            + " newest state and make your change again");
  }
}
