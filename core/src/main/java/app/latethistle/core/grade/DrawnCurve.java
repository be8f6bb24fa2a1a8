package app.latethistle.core.grade;

import app.latethistle.core.look.Curve;

/**
 * A curve through its points that never swings beyond them: piecewise cubic, with the slopes of
 * Fritsch and Carlson, "Monotone piecewise cubic interpolation", SIAM J. Numer. Anal. 17(2), 1980.
 */
final class DrawnCurve {
  private final double[] x;
  private final double[] y;
  private final double[] slope;

  DrawnCurve(Curve curve) {
    int n = curve.points().size();
    x = new double[n];
    y = new double[n];
    slope = new double[n];
    for (int i = 0; i < n; i++) {
      x[i] = curve.points().get(i).from() / 1000.0;
      y[i] = curve.points().get(i).to() / 1000.0;
    }
    for (int i = 0; i < n; i++) {
      double before = i == 0 ? secant(0) : secant(i - 1);
      double after = i == n - 1 ? secant(i - 1) : secant(i);
      slope[i] = before * after <= 0 ? 0 : (before + after) / 2;
    }
    for (int i = 0; i + 1 < n; i++) {
      limit(i);
    }
  }

  private double secant(int i) {
    return (y[i + 1] - y[i]) / (x[i + 1] - x[i]);
  }

  private void limit(int i) {
    double secant = secant(i);
    if (secant == 0) {
      slope[i] = 0;
      slope[i + 1] = 0;
      return;
    }
    double length = Math.hypot(slope[i], slope[i + 1]) / Math.abs(secant);
    if (length > 3) {
      slope[i] *= 3 / length;
      slope[i + 1] *= 3 / length;
    }
  }

  /** What becomes of a value; as it was if there are no points. */
  double at(double v) {
    int n = x.length;
    if (n == 0) {
      return v;
    }
    if (v <= x[0] || v >= x[n - 1]) {
      return v <= x[0] ? y[0] : y[n - 1];
    }
    int i = 0;
    while (v > x[i + 1]) {
      i++;
    }
    double h = x[i + 1] - x[i];
    double t = (v - x[i]) / h;
    double u = 1 - t;
    return (1 + 2 * t) * u * u * y[i]
        + t * u * u * h * slope[i]
        + t * t * (3 - 2 * t) * y[i + 1]
        - t * t * u * h * slope[i + 1];
  }
}
