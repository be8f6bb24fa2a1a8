package app.latethistle.core.grade;

import app.latethistle.core.look.Cdl;

/**
 * Colour decision lists as the ten numbers that are sought: slopes, offsets, powers, saturation.
 */
final class Lists {
  /** The ten that leave all as it is. */
  static final double[] NEUTRAL = {1, 1, 1, 0, 0, 0, 1, 1, 1, 1};

  private static final double LEAST_POWER = 0.1;

  private Lists() {}

  /** The list of ten numbers, held to what a list may say. */
  static Cdl of(double[] n) {
    return new Cdl(
        new Cdl.Triple(Math.max(0, n[0]), Math.max(0, n[1]), Math.max(0, n[2])),
        new Cdl.Triple(n[3], n[4], n[5]),
        new Cdl.Triple(power(n[6]), power(n[7]), power(n[8])),
        Math.max(0, n[9]));
  }

  private static double power(double value) {
    return Math.max(LEAST_POWER, value);
  }
}
