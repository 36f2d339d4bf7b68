package goodbones.document;

/** A state an element can be in, weakest first: where several hold, the later one wins. */
public enum State {
  NORMAL("normal"),
  CURRENT("current"),
  HOVER("hover"),
  FOCUS("focus");

  private final String word;

  State(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }

  /**
   * @throws IllegalArgumentException if no state goes by that word
   */
  public static State ofWord(String word) {
    for (State state : values()) {
      if (state.word.equals(word)) {
        return state;
      }
    }
    throw new IllegalArgumentException(
        "“" + word + "” is not a state: use normal, current, hover or focus");
  }
}
