package goodbones.exchange;

/**
 * A file, or a part of one, that cannot be read; the message says what, where and how to mend it.
 */
public final class Unreadable extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Unreadable(String message) {
    super(message);
  }
}
