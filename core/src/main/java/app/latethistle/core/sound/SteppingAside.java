package app.latethistle.core.sound;

import app.latethistle.core.Refused;

/**
 * How music and clips step aside for something that lands, beside the voice.
 *
 * @param by decibels by which they are lowered, 0 to 30
 * @param held milliseconds from its landing on in which they stay there, 0 to 10000
 */
public record SteppingAside(double by, int held) {
  private static final int LONGEST = 10_000;

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public SteppingAside {
    if (!(by >= 0 && by <= 30)) {
      throw new Refused("Music steps aside by 0 to 30 dB, not by " + Refused.number(by) + ".");
    }
    if (held < 0 || held > LONGEST) {
      throw new Refused("Music stays aside for 0 to " + LONGEST + " ms, not for " + held + ".");
    }
  }
}
