package goodbones.library;

/** A piece or revision that the library does not have. */
public final class UnknownPiece extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public UnknownPiece(String message) {
    super(message);
  }
}
