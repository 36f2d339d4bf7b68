package goodbones.fonts;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The open families that ship with the application, and what stands in for one that does not.
 *
 * <p>Widths are the fields xAvgCharWidth of the shipped files, divided by unitsPerEm.
 */
public final class FontCatalogue {
  private static final List<FontFamily> FAMILIES =
      List.of(
          new FontFamily("Literata", FontClass.SERIF, 200, 900, 0.571, "Georgia, serif"),
          new FontFamily("Source Serif 4", FontClass.SERIF, 200, 900, 0.513, "Georgia, serif"),
          new FontFamily("Lora", FontClass.SERIF, 400, 700, 0.599, "Georgia, serif"),
          new FontFamily("Nunito Sans", FontClass.SANS, 200, 1000, 0.512, "Verdana, sans-serif"),
          new FontFamily("Source Sans 3", FontClass.SANS, 200, 900, 0.493, "Arial, sans-serif"),
          new FontFamily("Work Sans", FontClass.SANS, 100, 900, 0.597, "Arial, sans-serif"),
          new FontFamily("Public Sans", FontClass.SANS, 100, 900, 0.545, "Arial, sans-serif"),
          new FontFamily("Rokkitt", FontClass.SLAB, 100, 900, 0.543, "Rockwell, serif"),
          new FontFamily("Bitter", FontClass.SLAB, 100, 900, 0.59, "Rockwell, serif"),
          new FontFamily("JetBrains Mono", FontClass.MONO, 100, 800, 0.602, "Consolas, monospace"),
          new FontFamily("Source Code Pro", FontClass.MONO, 200, 900, 0.6, "Consolas, monospace"),
          new FontFamily("Fraunces", FontClass.DISPLAY, 100, 900, 0.603, "Georgia, serif"),
          new FontFamily("Oswald", FontClass.DISPLAY, 200, 700, 0.465, "Impact, sans-serif"),
          new FontFamily("Caveat", FontClass.SCRIPT, 400, 700, 0.445, "Segoe Script, cursive"));

  private static final double NARROW = 0.45;
  private static final double WIDE = 0.62;

  /** Names of well-known families that do not say what they are; from memory. */
  private static final Map<String, FontClass> WELL_KNOWN =
      Map.ofEntries(
          Map.entry("georgia", FontClass.SERIF),
          Map.entry("garamond", FontClass.SERIF),
          Map.entry("times", FontClass.SERIF),
          Map.entry("baskerville", FontClass.SERIF),
          Map.entry("caslon", FontClass.SERIF),
          Map.entry("palatino", FontClass.SERIF),
          Map.entry("cambria", FontClass.SERIF),
          Map.entry("minion", FontClass.SERIF),
          Map.entry("rockwell", FontClass.SLAB),
          Map.entry("clarendon", FontClass.SLAB),
          Map.entry("courier", FontClass.MONO),
          Map.entry("consolas", FontClass.MONO),
          Map.entry("menlo", FontClass.MONO),
          Map.entry("impact", FontClass.DISPLAY),
          Map.entry("didot", FontClass.DISPLAY),
          Map.entry("bodoni", FontClass.DISPLAY),
          Map.entry("brush", FontClass.SCRIPT),
          Map.entry("zapfino", FontClass.SCRIPT));

  private static final Map<String, FontClass> WORDS =
      Map.of(
          "slab", FontClass.SLAB,
          "mono", FontClass.MONO,
          "code", FontClass.MONO,
          "typewriter", FontClass.MONO,
          "script", FontClass.SCRIPT,
          "hand", FontClass.SCRIPT,
          "display", FontClass.DISPLAY,
          "condensed", FontClass.DISPLAY);

  private FontCatalogue() {}

  public static List<FontFamily> families() {
    return FAMILIES;
  }

  public static Optional<FontFamily> named(String name) {
    return FAMILIES.stream().filter(family -> family.name().equalsIgnoreCase(name)).findFirst();
  }

  /**
   * What sort of family a name and its fallbacks speak of.
   *
   * @param fallbacks the rest of the stack; its generic family counts where the name says nothing
   */
  public static FontClass classOf(String name, String fallbacks) {
    String lower = name.toLowerCase(Locale.ROOT);
    for (Map<String, FontClass> words : List.of(WORDS, WELL_KNOWN)) {
      Optional<FontClass> said =
          words.entrySet().stream()
              .filter(e -> lower.contains(e.getKey()))
              .map(Map.Entry::getValue)
              .findFirst();
      if (said.isPresent()) {
        return said.get();
      }
    }
    boolean sans = lower.contains("sans") || lower.contains("grotes");
    if (!sans && lower.contains("serif")) {
      return FontClass.SERIF;
    }
    String rest = fallbacks.toLowerCase(Locale.ROOT);
    if (rest.contains("monospace")) {
      return FontClass.MONO;
    } else if (rest.contains("cursive")) {
      return FontClass.SCRIPT;
    }
    return !sans && rest.matches(".*(^|[ ,])serif$") ? FontClass.SERIF : FontClass.SANS;
  }

  /**
   * How wide a family runs, as far as its name says so.
   *
   * @return the average width of a character in em, as the shipped families of that sort have it; 0
   *     if the name says nothing
   */
  public static double widthOf(String name) {
    String lower = name.toLowerCase(Locale.ROOT);
    if (lower.matches(".*(condensed|narrow|compressed).*")) {
      return NARROW;
    }
    return lower.matches(".*(extended|expanded|wide).*") ? WIDE : 0;
  }

  /**
   * The shipped family nearest to one that is not there: of the same class if there is one, then
   * one that has the weight, then the one nearest in width.
   *
   * @param width the average width of a character in em; 0 if unknown
   */
  public static FontFamily nearest(FontClass type, int weight, double width) {
    return FAMILIES.stream()
        .min(
            Comparator.<FontFamily>comparingInt(f -> distance(f.type(), type))
                .thenComparingInt(f -> f.has(weight) ? 0 : 1)
                .thenComparingDouble(f -> width == 0 ? 0 : Math.abs(f.width() - width)))
        .orElseThrow();
  }

  private static int distance(FontClass a, FontClass b) {
    return a == b ? 0 : a.generic().equals(b.generic()) ? 1 : 2;
  }
}
