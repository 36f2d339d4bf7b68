package goodbones.testing;

/** How much the generated tests try: little in each run of the tests, much in a longer one. */
public final class Runs {
  private Runs() {}

  /** Whether the environment asks for the longer run: {@code LONG_TESTS=1}. */
  public static boolean areLong() {
    return "1".equals(System.getenv("LONG_TESTS"));
  }

  public static int of(int usual, int longer) {
    return areLong() ? longer : usual;
  }
}
