package goodbones.server.upkeep;

/** The application cannot start with the data that it was given; the message says why, whole. */
final class CannotStart extends RuntimeException {
  private static final long serialVersionUID = 1L;

  CannotStart(String message) {
    super(message);
  }
}
