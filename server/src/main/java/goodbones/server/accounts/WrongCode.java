package goodbones.server.accounts;

/** A one-time code that lets nobody in: it is another one, was used, or its time is over. */
final class WrongCode extends RuntimeException {
  private static final long serialVersionUID = 1L;

  WrongCode() {
    super(
        "Name and code do not go together, or the code was used or is too old. Ask for a new one"
            + " under People, or look where the application was started");
  }
}
