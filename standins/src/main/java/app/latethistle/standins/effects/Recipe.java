package app.latethistle.standins.effects;

import java.util.List;

/**
 * A sound that can be made.
 *
 * @param name for people
 * @param kind what sort it is
 * @param words by which it is found beside its name
 * @param seconds how long it usually is
 * @param peak of its highest sample in dBFS
 * @param making what makes it
 */
record Recipe(
    String name, Kind kind, List<String> words, double seconds, double peak, Making making) {
  /** Sorts of sounds. */
  enum Kind {
    HIT,
    BED,
    RISER,
    MOVE
  }

  /** Makes a sound on a tape of a length. */
  interface Making {
    void on(Tape tape);
  }

  /** Makes it, left and right in turn at 48 kHz. */
  float[] make(double length, long seed) {
    Tape tape = new Tape(length, seed);
    making.on(tape);
    return tape.finish(peak);
  }
}
