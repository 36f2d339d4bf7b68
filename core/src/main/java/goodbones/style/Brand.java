package goodbones.style;

import goodbones.colour.Colour;
import goodbones.colour.Oklch;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A client's brand in a few strokes: its colours, two typefaces and a page width. It fills the role
 * tokens so that the pages read well from the start.
 *
 * @param colours one to three, in any order; which is which is told by lightness and chroma
 * @param headingFont a font stack
 * @param bodyFont a font stack
 * @param width of the content, in px
 */
public record Brand(List<Colour> colours, String headingFont, String bodyFont, int width) {
  private static final double TEXT = 7;
  private static final double LABEL = 4.5;
  private static final double TINT = 0.955;

  /**
   * @throws IllegalArgumentException if there are not one to three colours, or the width is not
   *     from 320 to 4000
   */
  public Brand {
    colours = List.copyOf(colours);
    if (colours.isEmpty() || colours.size() > 3) {
      throw new IllegalArgumentException(
          "A brand starts from one, two or three colours, not " + colours.size());
    }
    if (width < 320 || width > 4000) {
      throw new IllegalArgumentException(
          "A page is from 320 to 4000 px wide, not " + width + "; 1120 is usual");
    }
  }

  /** Role token name to value. */
  public Map<String, StyleValue> values() {
    List<Colour> left = new ArrayList<>(colours);
    left.sort(Comparator.comparingDouble((Colour c) -> Oklch.of(c).l()));
    Colour darkest = left.get(0);
    Colour accent =
        left.stream().max(Comparator.comparingDouble((Colour c) -> Oklch.of(c).c())).orElseThrow();
    Colour lightest = left.get(left.size() - 1);
    Colour text = darkest.nearestPassing(List.of(Colour.WHITE), TEXT).orElse(Colour.BLACK);
    Colour surface =
        Oklch.of(lightest).l() > 0.9 && !lightest.equals(accent)
            ? lightest
            : accent.atLightness(TINT);
    Colour onAccent = readable(accent, text);
    Colour label = accent.nearestPassing(List.of(Colour.WHITE, surface), LABEL).orElse(text);
    Map<String, StyleValue> values = new LinkedHashMap<>();
    put(values, "color.text", text);
    put(values, "color.surface", surface);
    put(values, "color.accent", accent);
    put(values, "color.accent.deep", pressed(accent, onAccent));
    put(values, "color.on.accent", onAccent);
    put(values, "color.label", label);
    put(values, "color.overlay", text.withAlpha(0.55));
    values.put("font.heading", StyleValue.literal(headingFont));
    values.put("font.body", StyleValue.literal(bodyFont));
    values.put("width.content", StyleValue.literal(width + "px"));
    return values;
  }

  private static void put(Map<String, StyleValue> values, String role, Colour colour) {
    values.put(role, StyleValue.literal(colour.css()));
  }

  private static Colour readable(Colour ground, Colour text) {
    for (Colour tried : List.of(Colour.WHITE, text, Colour.BLACK)) {
      if (tried.contrastOn(ground) >= LABEL) {
        return tried;
      }
    }
    return Colour.BLACK;
  }

  /** The accent under the pointer: a step darker, or lighter where the words on it need that. */
  private static Colour pressed(Colour accent, Colour onAccent) {
    double l = Oklch.of(accent).l();
    Colour darker = accent.atLightness(Math.max(0.08, l - 0.08));
    return onAccent.contrastOn(darker) >= LABEL
        ? darker
        : accent.atLightness(Math.min(0.97, l + 0.06));
  }
}
