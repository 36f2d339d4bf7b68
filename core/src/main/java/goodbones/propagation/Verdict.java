package goodbones.propagation;

/** What becomes of a local change under a newer revision. */
public enum Verdict {
  /** It holds on. */
  STANDS,
  /** The library says the same: no longer needed. */
  ABSORBED,
  /** It lies inside something removed here: kept, and asks nothing. */
  DORMANT,
  /** Its node, or the place that it moves or inserts to, is no longer there. */
  GONE,
  /** The page and the library changed the same key to different values. */
  BOTH,
  /** Page and library together make a tree that cannot be. */
  SHAPE;

  /** Says whether somebody has to decide. */
  public boolean asks() {
    return this == GONE || this == BOTH || this == SHAPE;
  }
}
