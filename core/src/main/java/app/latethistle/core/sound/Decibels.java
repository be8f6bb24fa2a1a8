package app.latethistle.core.sound;

import app.latethistle.core.Refused;

/** Gains: twenty times the logarithm to base ten of a factor of amplitude. */
public final class Decibels {
  /** The least gain that can be set; what is softer is muted. */
  public static final double LEAST = -60;

  /** The greatest gain that can be set. */
  public static final double MOST = 12;

  private Decibels() {}

  /** The factor of a gain. */
  public static double factor(double decibels) {
    return Math.pow(10, decibels / 20);
  }

  /** The gain of a factor above 0; negative infinity for 0. */
  public static double of(double factor) {
    return 20 * Math.log10(factor);
  }

  /**
   * A gain that a person set.
   *
   * @throws IllegalArgumentException if it is outside -60 to 12 dB
   */
  public static double checked(double gain) {
    if (!(gain >= LEAST && gain <= MOST)) {
      throw new Refused("A gain is from -60 to 12 dB, not " + Refused.number(gain) + ".");
    }
    return gain;
  }
}
