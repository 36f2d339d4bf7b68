package goodbones.colour;

/** A 3 by 3 matrix that turns one colour space's coordinates into another's. */
record Matrix(double... cells) {

  /** The three coordinates of this matrix times a column of three. */
  double[] times(double[] v) {
    double[] out = new double[3];
    for (int row = 0; row < 3; row++) {
      out[row] = cells[row * 3] * v[0] + cells[row * 3 + 1] * v[1] + cells[row * 3 + 2] * v[2];
    }
    return out;
  }

  /** The inverse, by the adjugate; every matrix here has one. */
  Matrix inverse() {
    double[] m = cells;
    double a = m[4] * m[8] - m[5] * m[7];
    double b = m[5] * m[6] - m[3] * m[8];
    double c = m[3] * m[7] - m[4] * m[6];
    double d = m[0] * a + m[1] * b + m[2] * c;
    return new Matrix(
        a / d,
        (m[2] * m[7] - m[1] * m[8]) / d,
        (m[1] * m[5] - m[2] * m[4]) / d,
        b / d,
        (m[0] * m[8] - m[2] * m[6]) / d,
        (m[2] * m[3] - m[0] * m[5]) / d,
        c / d,
        (m[1] * m[6] - m[0] * m[7]) / d,
        (m[0] * m[4] - m[1] * m[3]) / d);
  }
}
