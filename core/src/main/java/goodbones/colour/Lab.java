package goodbones.colour;

/**
 * A colour in CIE L*a*b*, lightness 0 to 100.
 *
 * <p>The formula is CIE 15:2018's, with the white point given by whoever converts: D65 for
 * differences here, D50 in the CSS functions {@code lab()} and {@code lch()}.
 */
public record Lab(double l, double a, double b) {
  /**
   * The white point of the CIE standard illuminant D65, 2 degree observer, from x 0.3127 y 0.3290.
   */
  static final double[] D65 = {0.3127 / 0.3290, 1, (1 - 0.3127 - 0.3290) / 0.3290};

  /** The white point of D50, from x 0.3457 y 0.3585. */
  static final double[] D50 = {0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585};

  private static final double EPSILON = 216 / 24389.0;
  private static final double KAPPA = 24389 / 27.0;

  static Lab of(double[] xyz, double[] white) {
    double x = f(xyz[0] / white[0]);
    double y = f(xyz[1] / white[1]);
    double z = f(xyz[2] / white[2]);
    return new Lab(116 * y - 16, 500 * (x - y), 200 * (y - z));
  }

  double[] xyz(double[] white) {
    double y = (l + 16) / 116;
    double x = a / 500 + y;
    double z = y - b / 200;
    double cube = x * x * x;
    return new double[] {
      (cube > EPSILON ? cube : (116 * x - 16) / KAPPA) * white[0],
      (l > KAPPA * EPSILON ? y * y * y : l / KAPPA) * white[1],
      (z * z * z > EPSILON ? z * z * z : (116 * z - 16) / KAPPA) * white[2]
    };
  }

  private static double f(double t) {
    return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
  }

  /**
   * The colour difference CIEDE2000 between two colours under the same white point, with all
   * weights 1: ISO/CIE 11664-6:2014, worked out as in G. Sharma, W. Wu, E. N. Dalal, “The CIEDE2000
   * color-difference formula: implementation notes, supplementary test data, and mathematical
   * observations”, Color Research and Application 30 (2005). About 1 is just noticeable.
   */
  public double ciede2000(Lab other) {
    double meanChroma = (Math.hypot(a, b) + Math.hypot(other.a, other.b)) / 2;
    double g = (1 - Math.sqrt(seventh(meanChroma))) / 2;
    double a1 = a * (1 + g);
    double a2 = other.a * (1 + g);
    double c1 = Math.hypot(a1, b);
    double c2 = Math.hypot(a2, other.b);
    double h1 = hue(a1, b);
    double h2 = hue(a2, other.b);

    double dl = other.l - l;
    double dc = c2 - c1;
    double dh = 0;
    double meanHue = h1 + h2;
    if (c1 * c2 != 0) {
      dh = h2 - h1;
      double sum = h1 + h2;
      if (Math.abs(dh) <= 180) {
        meanHue = sum / 2;
      } else {
        meanHue = sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
        dh += dh > 0 ? -360 : 360;
      }
    }
    double dhh = 2 * Math.sqrt(c1 * c2) * sin(dh / 2);

    double meanL = (l + other.l) / 2;
    double meanC = (c1 + c2) / 2;
    double t =
        1
            - 0.17 * cos(meanHue - 30)
            + 0.24 * cos(2 * meanHue)
            + 0.32 * cos(3 * meanHue + 6)
            - 0.20 * cos(4 * meanHue - 63);
    double middle = (meanL - 50) * (meanL - 50);
    double sl = 1 + 0.015 * middle / Math.sqrt(20 + middle);
    double sc = 1 + 0.045 * meanC;
    double sh = 1 + 0.015 * meanC * t;
    double bend = (meanHue - 275) / 25;
    double rt = -2 * Math.sqrt(seventh(meanC)) * sin(60 * Math.exp(-bend * bend));
    double l2 = dl / sl;
    double cc = dc / sc;
    double hh = dhh / sh;
    return Math.sqrt(l2 * l2 + cc * cc + hh * hh + rt * cc * hh);
  }

  private static double seventh(double chroma) {
    double c7 = Math.pow(chroma, 7);
    return c7 / (c7 + Math.pow(25, 7));
  }

  private static double hue(double a, double b) {
    if (a == 0 && b == 0) {
      return 0;
    }
    double degrees = Math.toDegrees(Math.atan2(b, a));
    return degrees < 0 ? degrees + 360 : degrees;
  }

  private static double sin(double degrees) {
    return Math.sin(Math.toRadians(degrees));
  }

  private static double cos(double degrees) {
    return Math.cos(Math.toRadians(degrees));
  }
}
