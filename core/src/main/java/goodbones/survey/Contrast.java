package goodbones.survey;

import goodbones.colour.Colour;
import goodbones.document.Composite;
import goodbones.document.Device;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The contrast of a text on what lies behind it, by WCAG 2.2: success criteria 1.4.3 (AA: 4.5, or 3
 * for large text) and 1.4.6 (AAA: 7, or 4.5). Alpha is composited over every layer underneath; a
 * gradient counts with its worst place, a picture with the worst tenth of the pixels behind the
 * text.
 *
 * @param ratio 1 to 21; empty where the picture behind is not known, so that nothing can be said
 * @param large whether the text is large: at least 24 px, or 18.66 px and bold (14 pt and 18 pt at
 *     the CSS ratio of 0.75 pt to the px)
 * @param text the text's colour
 * @param grounds the colours behind it
 */
public record Contrast(Optional<Double> ratio, boolean large, Colour text, List<Colour> grounds) {
  /** What is said of a pair. */
  public enum Verdict {
    AAA,
    AA,
    FAILS,
    CANNOT_TELL
  }

  private static final int STEPS = 8;
  private static final int MOST_GROUNDS = 4096;
  private static final double LARGE = 24;
  private static final double LARGE_BOLD = 14 / 0.75;
  private static final int BOLD = 700;

  /**
   * Where the pixels behind a text come from.
   *
   * <p>A picture is drawn over its box as CSS does it with {@code cover}; what is asked for is the
   * part behind the text.
   */
  @FunctionalInterface
  public interface Pixels {
    /** Nothing is known of any picture. */
    Pixels UNKNOWN = (picture, place, device) -> List.of();

    /**
     * @return colours from all over the part behind the text; empty if it is not known
     */
    List<Colour> behind(String pictureId, Place place, Device device);
  }

  public Contrast {
    grounds = List.copyOf(grounds);
  }

  /** The ratio that AA asks for. */
  public double least() {
    return large ? 3 : 4.5;
  }

  public Verdict verdict() {
    if (ratio.isEmpty()) {
      return Verdict.CANNOT_TELL;
    }
    double here = ratio.get();
    return here >= (large ? 4.5 : 7) ? Verdict.AAA : here >= least() ? Verdict.AA : Verdict.FAILS;
  }

  /** The text's colour at the nearest lightness that reaches AA on every ground. */
  public Optional<Colour> mendedText() {
    return text.nearestPassing(grounds, least()).filter(mended -> ratio.isPresent());
  }

  /** The ground at the nearest lightness on which the text reaches AA, where there is just one. */
  public Optional<Colour> mendedGround() {
    return grounds.size() == 1 && ratio.isPresent() && text.alpha() == 1
        ? grounds.get(0).nearestPassing(List.of(text), least())
        : Optional.empty();
  }

  /**
   * @throws goodbones.style.TokenProblem if a token in the pair cannot be looked up
   */
  public static Contrast of(Pair pair, SiteFinishes finishes, Pixels pixels) {
    Colour text = Colour.parse(pair.text().css(finishes));
    boolean large = isLarge(pair, finishes);
    List<Colour> grounds = grounds(pair, finishes, pixels);
    if (grounds.isEmpty()) {
      return new Contrast(Optional.empty(), large, text, List.of());
    }
    List<Double> ratios = grounds.stream().map(text::contrastOn).sorted().toList();
    int decides = pair.overPicture() ? ratios.size() / 10 : 0;
    return new Contrast(Optional.of(ratios.get(decides)), large, text, grounds);
  }

  private static boolean isLarge(Pair pair, SiteFinishes finishes) {
    double px = pair.textSize(finishes);
    String weight = pair.weight().css(finishes);
    boolean bold = Double.parseDouble(weight) >= BOLD;
    return px >= LARGE || bold && px >= LARGE_BOLD;
  }

  /**
   * The colours that may lie behind the text, from the canvas up.
   *
   * @return empty if a picture shows through of which nothing is known
   */
  private static List<Colour> grounds(Pair pair, SiteFinishes finishes, Pixels pixels) {
    List<Colour> below = List.of(Colour.WHITE);
    for (int i = pair.ground().size() - 1; i >= 0; i--) {
      Pair.Layer layer = pair.ground().get(i);
      if (layer instanceof Pair.Tint tint) {
        Colour colour = Colour.parse(tint.colour().css(finishes));
        below = colour.alpha() == 1 ? List.of(colour) : laid(List.of(colour), below);
      } else if (layer instanceof Pair.Blend blend) {
        List<Colour> colours = alongGradient(blend.gradient().css(finishes));
        boolean opaque = !colours.isEmpty() && colours.stream().allMatch(c -> c.alpha() == 1);
        below = opaque ? colours : colours.isEmpty() ? below : laid(colours, below);
      } else if (layer instanceof Pair.Photo photo) {
        List<Colour> behind =
            pair.place()
                .map(place -> pixels.behind(photo.pictureId(), place, pair.device()))
                .orElse(List.of());
        below = behind.isEmpty() ? List.of() : laid(behind, below);
      }
    }
    return below;
  }

  private static List<Colour> laid(List<Colour> above, List<Colour> below) {
    List<Colour> laid = new ArrayList<>();
    int step = Math.max(1, above.size() * below.size() / MOST_GROUNDS);
    int count = 0;
    for (Colour upper : above) {
      for (Colour lower : below) {
        if (count++ % step == 0) {
          laid.add(upper.over(lower));
        }
      }
    }
    return laid;
  }

  /**
   * Colours along a gradient, its stops among them, mixed in sRGB with premultiplied alpha (CSS
   * Images 4, section 3.4.3).
   */
  static List<Colour> alongGradient(String css) {
    List<Colour> stops = Composite.stops(css);
    List<Colour> colours = new ArrayList<>();
    for (int i = 0; i + 1 < stops.size(); i++) {
      for (int step = 0; step < STEPS; step++) {
        colours.add(mixed(stops.get(i), stops.get(i + 1), step / (double) STEPS));
      }
    }
    if (!stops.isEmpty()) {
      colours.add(stops.get(stops.size() - 1));
    }
    return colours;
  }

  private static Colour mixed(Colour a, Colour b, double share) {
    double alpha = a.alpha() * (1 - share) + b.alpha() * share;
    if (alpha == 0) {
      return a;
    }
    double first = a.alpha() * (1 - share) / alpha;
    double second = b.alpha() * share / alpha;
    return new Colour(
        a.red() * first + b.red() * second,
        a.green() * first + b.green() * second,
        a.blue() * first + b.blue() * second,
        alpha);
  }
}
