package app.latethistle.core.mix;

import app.latethistle.core.Refused;

/**
 * How loud a mix is made as a whole.
 *
 * @param gain in decibels, before the limiter
 * @param ceiling of its true peaks, in dBTP, -20 to 0
 */
public record Level(double gain, double ceiling) {
  /** As it is mixed, under the usual ceiling. */
  public static final Level AS_MIXED = new Level(0, Limiter.CEILING);

  /**
   * @throws IllegalArgumentException if the ceiling is out of its range
   */
  public Level {
    if (!(ceiling >= -20 && ceiling <= 0)) {
      throw new Refused(
          "A ceiling for true peaks is from -20 to 0 dBTP, not " + Refused.number(ceiling) + ".");
    }
    if (!Double.isFinite(gain)) {
      throw new Refused("A gain is an ordinary number.");
    }
  }

  /** The gain as a factor. */
  float factor() {
    return (float) Math.pow(10, gain / 20);
  }
}
