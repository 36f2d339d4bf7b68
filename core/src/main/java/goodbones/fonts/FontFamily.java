package goodbones.fonts;

/**
 * A family of typefaces.
 *
 * @param least the lightest weight, 1 to 1000
 * @param greatest the heaviest
 * @param width the average width of a character, in em
 * @param fallback families to put after it, with a generic one last
 */
public record FontFamily(
    String name, FontClass type, int least, int greatest, double width, String fallback) {

  /** The family with its fallbacks, as a token's value. */
  public String stack() {
    return name + ", " + fallback;
  }

  public boolean has(int weight) {
    return least <= weight && weight <= greatest;
  }
}
