package app.latethistle.core.sound;

import app.latethistle.core.Refused;

/**
 * How often a sound strikes: each time a little different in level, pitch and moment, so that steps
 * do not sound like a machine.
 *
 * @param times 1 to 64
 * @param every samples from one to the next, 10 ms to 60 s; of no matter when once
 * @param vary how different they are, 0 to 100: at 100 up to 3 dB, a half-tone and a tenth of the
 *     distance to the next
 * @param seed what chance follows from
 */
public record Repeat(int times, long every, int vary, long seed) {
  /** Once. */
  public static final Repeat ONCE = new Repeat(1, 24_000, 0, 0);

  private static final long SHORTEST = 480;
  private static final long LONGEST = 60L * 48_000;

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Repeat {
    if (times < 1 || times > 64) {
      throw new Refused("A sound is repeated up to 64 times, not " + times + ".");
    }
    if (every < SHORTEST || every > LONGEST) {
      throw new Refused("A sound comes again after 10 ms to 60 s.");
    }
    if (vary < 0 || vary > 100) {
      throw new Refused("How different repeats are is from 0 to 100, not " + vary + ".");
    }
  }
}
