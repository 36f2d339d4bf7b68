package goodbones.propagation;

/** How a question is settled. */
public enum Settlement {
  /** Stay with the page's; for something gone, keep it here as the page's own. */
  STAY,
  /** Take the library's. */
  TAKE
}
