package app.latethistle.core.signal;

import app.latethistle.core.Refused;

/**
 * One channel of sound.
 *
 * @param samples full scale is -1 to 1; not copied, and never changed
 * @param rate samples a second, 8,000 or more
 */
public record MonoSound(float[] samples, int rate) {
  /**
   * @throws IllegalArgumentException if the rate is under 8,000
   */
  public MonoSound {
    if (rate < 8_000) {
      throw new Refused("Sample rate " + rate + " is under 8000 a second.");
    }
  }

  /** Its length in seconds. */
  public double seconds() {
    return (double) samples.length / rate;
  }
}
