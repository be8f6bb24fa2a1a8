package app.latethistle.core.signal;

import app.latethistle.core.Refused;

/** One channel of sound. */
public final class MonoSound {
  private final float[] samples;
  private final int rate;

  /**
   * @throws IllegalArgumentException if the rate is under 8,000
   */
  public MonoSound(float[] samples, int rate) {
    if (rate < 8_000) {
      throw new Refused("Sample rate " + rate + " is under 8000 a second.");
    }
    this.samples = samples;
    this.rate = rate;
  }

  /** Full scale is -1 to 1; not copied, and never changed. */
  public float[] samples() {
    return samples;
  }

  /** Samples a second, 8,000 or more. */
  public int rate() {
    return rate;
  }

  /** Its length in seconds. */
  public double seconds() {
    return (double) samples.length / rate;
  }
}
