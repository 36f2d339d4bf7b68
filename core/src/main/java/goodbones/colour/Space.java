package goodbones.colour;

import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The predefined RGB and XYZ spaces of the CSS {@code color()} function, with the way to CIE XYZ
 * under D65.
 *
 * <p>Matrices and transfer functions: W3C CSS Color Module Level 4, section 10 and its sample code.
 */
enum Space {
  SRGB(Matrices.SRGB, Space::srgbToLinear),
  SRGB_LINEAR(Matrices.SRGB, UnaryOperator.identity()),
  DISPLAY_P3(Matrices.P3, Space::srgbToLinear),
  A98_RGB(Matrices.A98, c -> Math.signum(c) * Math.pow(Math.abs(c), 563 / 256.0)),
  PROPHOTO_RGB(
      Matrices.PROPHOTO,
      c -> Math.abs(c) <= 16 / 512.0 ? c / 16 : Math.signum(c) * Math.pow(Math.abs(c), 1.8)),
  REC2020(Matrices.REC2020, c -> Math.signum(c) * Math.pow(Math.abs(c), 2.4)),
  XYZ(Matrices.ONE, UnaryOperator.identity()),
  XYZ_D65(Matrices.ONE, UnaryOperator.identity()),
  XYZ_D50(Matrices.D50_TO_D65, UnaryOperator.identity());

  private final Matrix toXyz;
  private final UnaryOperator<Double> toLinear;

  Space(Matrix toXyz, UnaryOperator<Double> toLinear) {
    this.toXyz = toXyz;
    this.toLinear = toLinear;
  }

  /** The space that CSS calls by that name, such as {@code display-p3}. */
  static Optional<Space> named(String css) {
    for (Space space : values()) {
      if (space.css().equals(css)) {
        return Optional.of(space);
      }
    }
    return Optional.empty();
  }

  String css() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** CIE XYZ under D65 of coordinates in this space, white being 1 in Y. */
  double[] toXyz(double[] coordinates) {
    double[] linear = new double[3];
    for (int i = 0; i < 3; i++) {
      linear[i] = toLinear.apply(coordinates[i]);
    }
    double[] xyz = toXyz.times(linear);
    return this == PROPHOTO_RGB ? Matrices.D50_TO_D65.times(xyz) : xyz;
  }

  /** Undoes the sRGB transfer function, extended to negative numbers. */
  static double srgbToLinear(double c) {
    double size = Math.abs(c);
    return size <= 0.04045 ? c / 12.92 : Math.signum(c) * Math.pow((size + 0.055) / 1.055, 2.4);
  }

  /** The sRGB transfer function, extended to negative numbers. */
  static double linearToSrgb(double c) {
    double size = Math.abs(c);
    return size > 0.0031308
        ? Math.signum(c) * (1.055 * Math.pow(size, 1 / 2.4) - 0.055)
        : 12.92 * c;
  }

  /** To CIE XYZ; under D65 except for ProPhoto, which is under D50. */
  static final class Matrices {
    static final Matrix ONE = new Matrix(1, 0, 0, 0, 1, 0, 0, 0, 1);
    static final Matrix SRGB =
        new Matrix(
            506752 / 1228815.0,
            87881 / 245763.0,
            12673 / 70218.0,
            87098 / 409605.0,
            175762 / 245763.0,
            12673 / 175545.0,
            7918 / 409605.0,
            87881 / 737289.0,
            1001167 / 1053270.0);
    static final Matrix P3 =
        new Matrix(
            608311 / 1250200.0,
            189793 / 714400.0,
            198249 / 1000160.0,
            35783 / 156275.0,
            247089 / 357200.0,
            198249 / 2500400.0,
            0,
            32229 / 714400.0,
            5220557 / 5000800.0);
    static final Matrix A98 =
        new Matrix(
            573536 / 994567.0,
            263643 / 1420810.0,
            187206 / 994567.0,
            591459 / 1989134.0,
            6239551 / 9945670.0,
            374412 / 4972835.0,
            53769 / 1989134.0,
            351524 / 4972835.0,
            4929758 / 4972835.0);
    static final Matrix PROPHOTO =
        new Matrix(
            0.79776664490064230,
            0.13518129740053308,
            0.03134773412839220,
            0.28807482881940130,
            0.71183523424187300,
            0.00008993693872564,
            0,
            0,
            0.82510460251046020);
    static final Matrix REC2020 =
        new Matrix(
            63426534 / 99577255.0,
            20160776 / 139408157.0,
            47086771 / 278816314.0,
            26158966 / 99577255.0,
            472592308 / 697040785.0,
            8267143 / 139408157.0,
            0,
            19567812 / 697040785.0,
            295819943 / 278816314.0);
    static final Matrix D50_TO_D65 =
        new Matrix(
            0.955473421488075,
            -0.02309845494876471,
            0.06325924320057072,
            -0.0283697093338637,
            1.0099953980813041,
            0.021041441191917323,
            0.012314014864481998,
            -0.020507649298898964,
            1.330365926242124);

    private Matrices() {}
  }
}
