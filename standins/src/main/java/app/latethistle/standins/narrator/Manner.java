package app.latethistle.standins.narrator;

/** How a line is said. */
public enum Manner {
  EVEN(0, 1),
  GRAVE(-14, 0.9),
  BRIGHT(16, 1.05),
  URGENT(8, 1.25);

  private final int pitch;
  private final double rate;

  Manner(int pitch, double rate) {
    this.pitch = pitch;
    this.rate = rate;
  }

  /** What it adds to the pitch of a voice, where 50 is an octave or so. */
  int pitch() {
    return pitch;
  }

  /** What it multiplies the rate of a voice by. */
  double rate() {
    return rate;
  }
}
