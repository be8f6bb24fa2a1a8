package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * A colour decision list of the American Society of Cinematographers, version 1.2: of each channel
 * of the signal {@code (value * slope + offset) ^ power}, held between 0 and 1 before and after the
 * power, then its saturation about BT.709 luma.
 *
 * @param slope 0 or more
 * @param offset any
 * @param power above 0
 * @param saturation 0 or more
 */
public record Cdl(Triple slope, Triple offset, Triple power, double saturation) {
  /** All stays. */
  public static final Cdl NONE =
      new Cdl(Triple.all(1), Triple.all(0), Triple.all(1), /* saturation= */ 1);

  /** A number for each channel. */
  public record Triple(double red, double green, double blue) {
    public Triple {
      if (!Double.isFinite(red + green + blue)) {
        throw new Refused("A list's numbers are ordinary ones.");
      }
    }

    /** The same for each. */
    public static Triple all(double value) {
      return new Triple(value, value, value);
    }

    private double least() {
      return Math.min(red, Math.min(green, blue));
    }
  }

  /**
   * @throws IllegalArgumentException if one is out of its range, with a sentence that names it
   */
  public Cdl {
    if (slope.least() < 0) {
      throw new Refused("A slope is 0 or more, not " + slope.least() + ".");
    }
    if (power.least() <= 0) {
      throw new Refused("A power is above 0, not " + power.least() + ".");
    }
    if (!(saturation >= 0) || !Double.isFinite(saturation)) {
      throw new Refused("A saturation is 0 or more, not " + saturation + ".");
    }
  }
}
