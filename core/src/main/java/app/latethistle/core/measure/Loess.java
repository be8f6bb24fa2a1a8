package app.latethistle.core.measure;

import java.util.Arrays;

/**
 * Smooths values that come at even times: each becomes that of a parabola through those about it,
 * the nearer the more, and what lies far off weighs nothing (Cleveland 1979, "Robust locally
 * weighted regression and smoothing scatterplots", of second degree so that a path keeps its
 * bends). Formulas from memory.
 */
final class Loess {
  /** Values to either side that count: motion of less than a quarter of a second is noise. */
  private static final int REACH = 4;

  /** Times that what lies far off is weighed anew: Cleveland. */
  private static final int ROUNDS = 3;

  private Loess() {}

  static double[] of(double[] values) {
    double[] trust = new double[values.length];
    Arrays.fill(trust, 1);
    double[] smooth = values.clone();
    for (int round = 0; round < ROUNDS; round++) {
      for (int i = 0; i < values.length; i++) {
        smooth[i] = at(values, trust, i);
      }
      weigh(values, smooth, trust);
    }
    return smooth;
  }

  /** Tukey's biweight of six times the median residual. */
  private static void weigh(double[] values, double[] smooth, double[] trust) {
    double[] off = new double[values.length];
    for (int i = 0; i < off.length; i++) {
      off[i] = Math.abs(values[i] - smooth[i]);
    }
    double[] sorted = off.clone();
    Arrays.sort(sorted);
    double most = Math.max(1e-9, 6 * sorted[sorted.length / 2]);
    for (int i = 0; i < off.length; i++) {
      double share = Math.min(1, off[i] / most);
      trust[i] = (1 - share * share) * (1 - share * share);
    }
  }

  private static double at(double[] values, double[] trust, int i) {
    double[] sum = new double[5];
    double[] right = new double[3];
    for (int j = Math.max(0, i - REACH); j <= Math.min(values.length - 1, i + REACH); j++) {
      double t = (j - i) / (REACH + 1.0);
      double near = 1 - Math.abs(t * t * t);
      double weight = trust[j] * near * near * near;
      double power = weight;
      for (int k = 0; k < sum.length; k++) {
        sum[k] += power;
        if (k < right.length) {
          right[k] += power * values[j];
        }
        power *= t;
      }
    }
    return constant(sum, right, values[i]);
  }

  /** The constant of the parabola (Cramer's rule); a value as it is where too few are trusted. */
  private static double constant(double[] s, double[] r, double otherwise) {
    double whole = determinant(s[0], s[1], s[2], s[1], s[2], s[3], s[2], s[3], s[4]);
    return whole < 1e-9
        ? otherwise
        : determinant(r[0], s[1], s[2], r[1], s[2], s[3], r[2], s[3], s[4]) / whole;
  }

  private static double determinant(
      double a, double b, double c, double d, double e, double f, double g, double h, double i) {
    return a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  }
}
