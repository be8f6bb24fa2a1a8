package app.latethistle.core.sound;

import app.latethistle.core.Refused;

/**
 * How a sound runs.
 *
 * @param reversed from its end to its start
 * @param stretch how long it is in hundredths of its own length, 50 to 200; its pitch stays
 * @param pitch half-tones higher, -12 to 12; its length stays
 */
public record Timing(boolean reversed, int stretch, double pitch) {
  /** As it is. */
  public static final Timing PLAIN = new Timing(false, 100, 0);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Timing {
    if (stretch < 50 || stretch > 200) {
      throw new Refused("A sound is made 50 to 200 % as long, not " + stretch + " %.");
    }
    if (!(pitch >= -12 && pitch <= 12)) {
      throw new Refused(
          "A sound is moved by up to 12 half-tones, not by " + Refused.number(pitch) + ".");
    }
  }

  /** Whether it is as it is. */
  public boolean leavesAll() {
    return equals(PLAIN);
  }

  /** How many samples are heard of so many; halves go up. */
  public long samples(long own) {
    return stretch == 100 ? own : Math.round(own * (stretch / 100.0));
  }
}
