package goodbones.server.pictures;

import java.util.Set;
import java.util.regex.Pattern;

/**
 * What may stand in a picture of the SVG format (SVG 2; names from its element and attribute
 * index).
 */
final class SvgAllowed {
  static final Set<String> ELEMENTS =
      Set.of(
          "svg",
          "g",
          "defs",
          "symbol",
          "use",
          "title",
          "desc",
          "path",
          "rect",
          "circle",
          "ellipse",
          "line",
          "polyline",
          "polygon",
          "text",
          "tspan",
          "linearGradient",
          "radialGradient",
          "stop",
          "clipPath",
          "mask",
          "pattern",
          "image");

  /** These only hold what is drawn; their own meaning is left out. */
  static final Set<String> HOLDERS = Set.of("a", "switch");

  /** What can also be said in a style sheet. */
  static final Set<String> PRESENTATION =
      Set.of(
          "clip-path",
          "clip-rule",
          "color",
          "display",
          "dominant-baseline",
          "fill",
          "fill-opacity",
          "fill-rule",
          "font-family",
          "font-size",
          "font-style",
          "font-weight",
          "letter-spacing",
          "mask",
          "opacity",
          "overflow",
          "paint-order",
          "stop-color",
          "stop-opacity",
          "stroke",
          "stroke-dasharray",
          "stroke-dashoffset",
          "stroke-linecap",
          "stroke-linejoin",
          "stroke-miterlimit",
          "stroke-opacity",
          "stroke-width",
          "text-anchor",
          "text-decoration",
          "vector-effect",
          "visibility",
          "word-spacing");

  private static final Set<String> ATTRIBUTES =
      Set.of(
          "clipPathUnits",
          "cx",
          "cy",
          "d",
          "dx",
          "dy",
          "fr",
          "fx",
          "fy",
          "gradientTransform",
          "gradientUnits",
          "height",
          "id",
          "maskContentUnits",
          "maskUnits",
          "offset",
          "pathLength",
          "patternContentUnits",
          "patternTransform",
          "patternUnits",
          "points",
          "preserveAspectRatio",
          "r",
          "refX",
          "refY",
          "rotate",
          "rx",
          "ry",
          "spreadMethod",
          "textLength",
          "lengthAdjust",
          "transform",
          "viewBox",
          "width",
          "x",
          "x1",
          "x2",
          "y",
          "y1",
          "y2");

  /**
   * Letters, numbers, and the marks of lists, colours and transforms; nothing that names a place.
   */
  private static final Pattern PLAIN = Pattern.compile("[\\p{L}\\p{N}\\s.,#%()+*'\"_-]*");

  /** A reference to another element of the file, with a colour to fall back on. */
  private static final Pattern LOCAL =
      Pattern.compile("url\\(\\s*['\"]?#([\\p{L}_][\\p{L}\\p{N}_.:-]*)['\"]?\\s*\\)([\\s\\w#]*)");

  private static final Pattern ID = Pattern.compile("[\\p{L}_][\\p{L}\\p{N}_.:-]*");
  private static final Pattern CALLS =
      Pattern.compile(
          "(?i).*(url|image|image-set|src|element|expression|attr|var|env)\\s*\\(.*",
          Pattern.DOTALL);

  private SvgAllowed() {}

  /** Whether an attribute without a namespace may have that value. */
  static boolean takes(String name, String value) {
    if (name.equals("id")) {
      return ID.matcher(value).matches();
    }
    boolean known = ATTRIBUTES.contains(name) || PRESENTATION.contains(name);
    return known && (isPlain(value) || !target(value).isEmpty());
  }

  private static boolean isPlain(String value) {
    return PLAIN.matcher(value).matches() && !CALLS.matcher(value).matches();
  }

  /** The id to which a value such as {@code url(#shade)} leads; empty if it is none. */
  static String target(String value) {
    var local = LOCAL.matcher(value.strip());
    return local.matches() ? local.group(1) : "";
  }

  /** The id to which a reference such as {@code #shade} leads; empty if it leads elsewhere. */
  static String idOf(String href) {
    return href.startsWith("#") && ID.matcher(href.substring(1)).matches() ? href.substring(1) : "";
  }
}
