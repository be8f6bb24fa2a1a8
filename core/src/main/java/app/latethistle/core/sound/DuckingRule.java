package app.latethistle.core.sound;

import app.latethistle.core.Refused;

/**
 * How music and clips step aside for the voice. What it is at first is common practice, no source.
 *
 * @param over how far the voice is to stand over them, in LU, 0 to 30
 * @param early milliseconds before a phrase in which they go down, 0 to 2000
 * @param late milliseconds in which they come back, 0 to 5000
 * @param gap rests shorter than so many milliseconds are none, 0 to 10000
 * @param onBeat whether they begin to go down on the last beat that leaves that much time
 * @param speechBand whether only what lies where speech does is lowered
 */
public record DuckingRule(
    double over, int early, int late, int gap, boolean onBeat, boolean speechBand) {
  /** What a film has until it is told otherwise. */
  public static final DuckingRule USUAL = new DuckingRule(10, 250, 500, 1000, false, false);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public DuckingRule {
    if (!(over >= 0 && over <= 30)) {
      throw new Refused(
          "The voice stands 0 to 30 LU over the music, not " + Refused.number(over) + ".");
    }
    within("Music goes down in", early, 2000);
    within("Music comes back in", late, 5000);
    within("A rest is a gap from", gap, 10_000);
  }

  /** The same with the voice standing further over the rest, or less far. */
  public DuckingRule withOver(double other) {
    return new DuckingRule(other, early, late, gap, onBeat, speechBand);
  }

  private static void within(String what, int value, int most) {
    if (value < 0 || value > most) {
      throw new Refused(what + " 0 to " + most + " ms, not " + value + ".");
    }
  }
}
