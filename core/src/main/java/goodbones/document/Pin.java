package goodbones.document;

/** Why a placement stays on a revision. */
public record Pin(int revision, Reason reason) {

  /** Held on purpose, or waiting for a decision. */
  public enum Reason {
    HELD,
    WAITING
  }
}
