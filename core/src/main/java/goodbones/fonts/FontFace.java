package goodbones.fonts;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A font file as a style sheet names it.
 *
 * @param url where the file is served
 * @param format as in the {@code format()} of CSS Fonts 4: woff2, truetype or opentype
 * @param least the lightest weight that it holds
 * @param greatest the heaviest
 */
public record FontFace(String family, String url, String format, int least, int greatest)
    implements Comparable<FontFace> {
  private static final Comparator<FontFace> ORDER =
      Comparator.comparing(FontFace::family)
          .thenComparing(FontFace::least)
          .thenComparing(FontFace::url);

  /**
   * The face that a browser takes for a weight: one that holds it, or the nearest by the rules of
   * CSS Fonts 4, section 5.2 (from 400 to 500 first up to 500, then lighter, then heavier; below
   * 400 lighter first; above 500 heavier first). Of equals the first in the list is taken.
   *
   * @return empty if none is of the family
   */
  public static Optional<FontFace> matching(List<FontFace> faces, String family, int weight) {
    return faces.stream()
        .filter(face -> face.family().equalsIgnoreCase(family))
        .min(Comparator.comparingInt(face -> face.distance(weight)));
  }

  private int distance(int weight) {
    if (least <= weight && weight <= greatest) {
      return 0;
    }
    boolean lighter = greatest < weight;
    int by = lighter ? weight - greatest : least - weight;
    if (weight >= 400 && weight <= 500) {
      return lighter ? 1000 + by : least <= 500 ? by : 2000 + by;
    }
    return lighter == weight < 400 ? by : 1000 + by;
  }

  /** The rule that brings the face into a style sheet. */
  public String rule() {
    return "@font-face{font-family:\""
        + family
        + "\";src:url(\""
        + url
        + "\") format(\""
        + format
        + "\");font-weight:"
        + (least == greatest ? "" + least : least + " " + greatest)
        + ";font-display:swap}\n";
  }

  @Override
  public int compareTo(FontFace other) {
    return ORDER.compare(this, other);
  }
}
