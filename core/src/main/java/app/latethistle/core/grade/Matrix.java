package app.latethistle.core.grade;

/** Three rows of three numbers that mix a colour's channels. */
final class Matrix {
  /** Linear light of BT.709's primaries, white D65, to CIE XYZ; computed from BT.709 item 1.3. */
  static final Matrix TO_XYZ =
      new Matrix(
          0.4123907992659595,
          0.357584339383878,
          0.1804807884018343,
          0.21263900587151036,
          0.715168678767756,
          0.07219231536073371,
          0.01933081871559185,
          0.11919477979462599,
          0.9505321522496607);

  /** CIE XYZ to linear light of BT.709's primaries. */
  static final Matrix FROM_XYZ = TO_XYZ.inverse();

  /** CIE XYZ to cones, after Bradford (Lindbloom, Chromatic Adaptation). */
  private static final Matrix CONES =
      new Matrix(0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296);

  private final double[] m;

  private Matrix(double... rows) {
    m = rows;
  }

  /** Adapts XYZ from one white to another. */
  static Matrix adapting(double[] from, double[] to) {
    double[] a = CONES.times(from);
    double[] b = CONES.times(to);
    Matrix scaled = new Matrix(b[0] / a[0], 0, 0, 0, b[1] / a[1], 0, 0, 0, b[2] / a[2]);
    return CONES.inverse().times(scaled).times(CONES);
  }

  double[] times(double... v) {
    return new double[] {row(0, v), row(1, v), row(2, v)};
  }

  /** A row of it with three numbers. */
  double row(int row, double... v) {
    return m[3 * row] * v[0] + m[3 * row + 1] * v[1] + m[3 * row + 2] * v[2];
  }

  /** First the other, then this. */
  Matrix times(Matrix first) {
    double[] product = new double[9];
    for (int i = 0; i < 9; i++) {
      for (int k = 0; k < 3; k++) {
        product[i] += m[i / 3 * 3 + k] * first.m[k * 3 + i % 3];
      }
    }
    return new Matrix(product);
  }

  Matrix times(double factor) {
    double[] scaled = new double[9];
    for (int i = 0; i < 9; i++) {
      scaled[i] = m[i] * factor;
    }
    return new Matrix(scaled);
  }

  /** What undoes it, by cofactors. */
  Matrix inverse() {
    double[] c = new double[9];
    for (int row = 0; row < 3; row++) {
      for (int col = 0; col < 3; col++) {
        c[3 * col + row] = cofactor(row, col);
      }
    }
    double determinant = m[0] * c[0] + m[1] * c[3] + m[2] * c[6];
    return new Matrix(c).times(1 / determinant);
  }

  private double cofactor(int row, int col) {
    int r1 = (row + 1) % 3;
    int r2 = (row + 2) % 3;
    int c1 = (col + 1) % 3;
    int c2 = (col + 2) % 3;
    return m[3 * r1 + c1] * m[3 * r2 + c2] - m[3 * r1 + c2] * m[3 * r2 + c1];
  }
}
