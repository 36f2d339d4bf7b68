package goodbones.colour;

/**
 * A colour in OKLCH: lightness 0 to 1, chroma from 0 to about 0.4, hue in degrees.
 *
 * <p>OKLab is Björn Ottosson's (2020), with the matrices of W3C CSS Color Module Level 4, section
 * 10.
 */
public record Oklch(double l, double c, double h) {
  private static final Matrix XYZ_TO_LMS =
      new Matrix(
          0.8190224379967030,
          0.3619062600528904,
          -0.1288737815209879,
          0.0329836539323885,
          0.9292868615863434,
          0.0361446663506424,
          0.0481771893596242,
          0.2642395317527308,
          0.6335478284694309);
  private static final Matrix LMS_TO_LAB =
      new Matrix(
          0.2104542683093140,
          0.7936177747023054,
          -0.0040720430116193,
          1.9779985324311684,
          -2.4285922420485799,
          0.4505937096174110,
          0.0259040424655478,
          0.7827717124575296,
          -0.8086757549230774);
  private static final Matrix LMS_TO_XYZ = XYZ_TO_LMS.inverse();
  private static final Matrix LAB_TO_LMS = LMS_TO_LAB.inverse();

  /** The just noticeable difference, and how near the search comes (CSS Color 4, section 13.2). */
  private static final double JND = 0.02;

  private static final double NEAR = 0.0001;

  /** Below this chroma a colour has no hue (CSS Color 4, section 9.3, powerless components). */
  private static final double GREY = 0.000004;

  public static Oklch of(Colour colour) {
    double[] lab = lab(colour.xyz());
    double chroma = Math.hypot(lab[1], lab[2]);
    double hue = chroma < GREY ? 0 : Math.toDegrees(Math.atan2(lab[2], lab[1]));
    return new Oklch(lab[0], chroma, hue < 0 ? hue + 360 : hue);
  }

  /** OKLab coordinates of CIE XYZ under D65. */
  static double[] lab(double[] xyz) {
    double[] lms = XYZ_TO_LMS.times(xyz);
    for (int i = 0; i < 3; i++) {
      lms[i] = Math.cbrt(lms[i]);
    }
    return LMS_TO_LAB.times(lms);
  }

  /** CIE XYZ under D65 of OKLab coordinates. */
  static double[] xyz(double[] lab) {
    double[] lms = LAB_TO_LMS.times(lab);
    for (int i = 0; i < 3; i++) {
      lms[i] = lms[i] * lms[i] * lms[i];
    }
    return LMS_TO_XYZ.times(lms);
  }

  double[] lab() {
    double angle = Math.toRadians(h);
    return new double[] {l, c * Math.cos(angle), c * Math.sin(angle)};
  }

  public Oklch withLightness(double lightness) {
    return new Oklch(lightness, c, h);
  }

  private Oklch withChroma(double chroma) {
    return new Oklch(l, chroma, h);
  }

  /**
   * The opaque sRGB colour nearest to this one: itself if it is in the gamut, else with its chroma
   * taken back as W3C CSS Color Module Level 4, section 13.2.3 does it (binary search with local
   * clipping).
   */
  public Colour toSrgb() {
    if (l >= 1) {
      return new Colour(255, 255, 255, 1);
    }
    if (l <= 0) {
      return new Colour(0, 0, 0, 1);
    }
    Colour here = Colour.ofXyz(xyz(lab()), 1);
    if (here.inGamut()) {
      return here.clipped();
    }
    Colour clipped = here.clipped();
    if (differenceOk(clipped) < JND) {
      return clipped;
    }
    double low = 0;
    double high = c;
    boolean lowInGamut = true;
    while (high - low > NEAR) {
      double middle = (low + high) / 2;
      Oklch tried = withChroma(middle);
      Colour current = Colour.ofXyz(xyz(tried.lab()), 1);
      if (lowInGamut && current.inGamut()) {
        low = middle;
        continue;
      }
      clipped = current.clipped();
      double difference = tried.differenceOk(clipped);
      if (difference < JND) {
        if (JND - difference < NEAR) {
          return clipped;
        }
        lowInGamut = false;
        low = middle;
      } else {
        high = middle;
      }
    }
    return clipped;
  }

  /** The difference deltaEOK: the distance in OKLab. */
  private double differenceOk(Colour other) {
    double[] here = lab();
    double[] there = lab(other.xyz());
    return Math.sqrt(
        square(here[0] - there[0]) + square(here[1] - there[1]) + square(here[2] - there[2]));
  }

  private static double square(double x) {
    return x * x;
  }
}
