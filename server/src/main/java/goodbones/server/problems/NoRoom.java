package goodbones.server.problems;

/** There is no room on the disk for what would be written; the message says how much is needed. */
public final class NoRoom extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** How it is said where the database met the end of the disk by itself. */
  static final String FULL =
      "The disk with the data is full. Nothing was changed, and everything can still be read: make"
          + " room, then do it again";

  /**
   * @param reason what there is and what is needed
   */
  public NoRoom(String reason) {
    super(
        reason
            + ". Nothing was changed, and everything can still be read: make room, then do it again");
  }

  /** Whether a write failed for want of room, as the operating system says it. */
  static boolean isWhy(Throwable failure) {
    for (Throwable at = failure; at != null; at = at.getCause()) {
      String said = String.valueOf(at.getMessage());
      if (said.contains("No space left on device")
          || said.contains("Disk quota exceeded")
          || said.contains("File too large")) {
        return true;
      }
    }
    return false;
  }
}
