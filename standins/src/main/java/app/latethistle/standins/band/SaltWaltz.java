package app.latethistle.standins.band;

/** "Salt Waltz": 132 beats a minute, three to the bar, thirty bars; a fairground organ. */
public final class SaltWaltz {
  public static final double BPM = 132;
  private static final double BEAT = 60 / BPM;
  private static final int BARS = 30;

  /** A minor, F, C, E; A minor, D minor, E, A minor. Root and chord, MIDI numbers. */
  private static final int[][] CHORDS = {
    {45, 60, 64, 69}, {41, 60, 65, 69}, {48, 60, 64, 67}, {40, 59, 64, 68},
    {45, 60, 64, 69}, {38, 62, 65, 69}, {40, 59, 64, 68}, {45, 60, 64, 69}
  };

  private static final int[] TUNE = {
    76, 77, 76, 72, 0, 69, 67, 69, 72, 71, 0, 68, 69, 71, 72, 74, 0, 77, 76, 74, 71, 69, 0, 0
  };

  private final Mixdown mix = new Mixdown(BARS * 3 * BEAT + 2.4);

  private SaltWaltz() {}

  /** All of it, left and right in turn at 48 kHz. */
  public static float[] play() {
    SaltWaltz waltz = new SaltWaltz();
    for (int bar = 0; bar < BARS; bar++) {
      waltz.bar(bar);
    }
    return waltz.mix.finish(0.84);
  }

  private static double at(int bar, double beat) {
    return (3 * bar + beat) * BEAT;
  }

  private void bar(int bar) {
    int[] chord = CHORDS[bar % 8];
    boolean last = bar == BARS - 1;
    boolean full = bar >= 14 && bar < 26;
    mix.add(at(bar, 0), (last ? 4 : 1) * BEAT, 0.5, 0, 0.1, Instruments.bass(chord[0] - 12, BEAT));
    mix.add(at(bar, 0), 0.5, full ? 0.6 : 0.4, 0, 0.1, Instruments.kick());
    for (int beat = 1; beat < 3 && !last; beat++) {
      for (int i = 1; i < 4; i++) {
        double pan = (i - 2) * 0.4;
        double length = 0.6 * BEAT;
        mix.add(at(bar, beat), length, 0.07, pan, 0.4, Instruments.bellows(chord[i], length, 0.5));
      }
      if (bar >= 6) {
        mix.add(
            at(bar, beat), 0.2, full ? 0.22 : 0.13, 0.3, 0.2, Instruments.hat(bar * 8L + beat, 46));
      }
    }
    if (full) {
      mix.add(at(bar, 2), 0.3, 0.24, 0.1, 0.3, Instruments.snare(bar * 5L, 15));
    }
    if (bar >= 2 && !last) {
      for (int beat = 0; beat < 3; beat++) {
        int note = TUNE[(bar * 3 + beat) % TUNE.length];
        if (note > 0) {
          mix.add(at(bar, beat), BEAT, 0.12, 0.1, 0.5, Instruments.bellows(note, BEAT, 0.9));
          if (full) {
            mix.add(at(bar, beat), 1.2, 0.12, -0.2, 0.6, Instruments.bell(note + 12));
          }
        }
      }
    }
    if (bar == 0 || bar == 14 || bar == 26 || last) {
      mix.add(at(bar, 0), 3, 0.4, 0, 0.5, Instruments.boom());
      mix.add(at(bar, 0), 4, 0.22, 0.2, 0.9, Instruments.bell(81));
    }
    if (last) {
      for (int i = 1; i < 4; i++) {
        mix.add(at(bar, 0), 4, 0.08, 0, 0.8, Instruments.bellows(chord[i], 4, 0.3));
      }
    }
  }
}
