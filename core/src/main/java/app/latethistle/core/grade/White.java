package app.latethistle.core.grade;

/** Whites along and across the line of daylight. */
final class White {
  /** D65's place on the line, in mired: 1000000 / 6504 K. */
  private static final double D65_MIRED = 1e6 / 6504;

  /** D65 (CIE 15), x .3127, y .3290. */
  static final double[] D65 = ofXy(0.3127, 0.3290);

  private White() {}

  /**
   * A white away from D65, with luminance 1.
   *
   * @param mired towards candle light
   * @param duv in CIE 1960 uv, below the line (towards magenta)
   */
  static double[] away(double mired, double duv) {
    double[] here = uv(D65_MIRED + mired);
    double[] before = uv(D65_MIRED + mired - 1);
    double du = here[0] - before[0];
    double dv = here[1] - before[1];
    double length = Math.hypot(du, dv);
    double[] plain = uv(D65_MIRED);
    double[] white = uvOfXy(0.3127, 0.3290);
    // D65 lies a little off the line, and so does what is away from it.
    double u = here[0] - plain[0] + white[0] + duv * dv / length;
    double v = here[1] - plain[1] + white[1] - duv * du / length;
    double w = 2 * u - 8 * v + 4;
    return ofXy(3 * u / w, 2 * v / w);
  }

  /** CIE daylight (CIE 15:2004, 3.1), which is defined from 4000 to 25000 K. */
  private static double[] uv(double mired) {
    double t = mired / 1000;
    double x =
        mired >= 1e6 / 7000
            ? -4.6070 * t * t * t + 2.9678 * t * t + 0.09911 * t + 0.244063
            : -2.0064 * t * t * t + 1.9018 * t * t + 0.24748 * t + 0.237040;
    return uvOfXy(x, -3 * x * x + 2.870 * x - 0.275);
  }

  private static double[] uvOfXy(double x, double y) {
    double d = -2 * x + 12 * y + 3;
    return new double[] {4 * x / d, 6 * y / d};
  }

  private static double[] ofXy(double x, double y) {
    return new double[] {x / y, 1, (1 - x - y) / y};
  }
}
