package app.latethistle.standins.band;

/**
 * Plays "Slow Bellows": 92 beats a minute, four to the bar, after a lead-in of two beats; opening
 * of eight bars, build of eight, lift of six, coda of two with a last chord.
 */
public final class HouseBand {
  public static final double BPM = 92;
  private static final double BEAT = 60 / BPM;
  private static final int LEAD_IN = 2;
  private static final int BARS = 24;

  /** D minor, B flat, F, C; then D minor, G minor, B flat, A. Root and chord, MIDI numbers. */
  private static final int[][] CHORDS = {
    {38, 62, 65, 69}, {34, 62, 65, 70}, {41, 60, 65, 69}, {36, 60, 64, 67},
    {38, 62, 65, 69}, {43, 62, 67, 70}, {34, 62, 65, 70}, {33, 61, 64, 69}
  };

  /** Two bars of melody in eighths; 0 rests. */
  private static final int[] MELODY = {
    74, 0, 77, 76, 74, 0, 69, 0, 70, 0, 74, 72, 70, 0, 69, 67,
    69, 0, 72, 74, 77, 0, 76, 0, 72, 0, 76, 74, 72, 71, 72, 76
  };

  private final Mixdown mix = new Mixdown((LEAD_IN + 4 * BARS) * BEAT + 3.2);

  private HouseBand() {}

  /** All of it, left and right in turn at 48 kHz. */
  public static float[] slowBellows() {
    HouseBand band = new HouseBand();
    band.leadIn();
    for (int bar = 0; bar < BARS; bar++) {
      band.bar(bar);
    }
    return band.mix.finish(0.84);
  }

  /** When a beat falls, in seconds; bars from 0, beats may be fractions. */
  static double at(int bar, double beat) {
    return (LEAD_IN + 4 * bar + beat) * BEAT;
  }

  private void leadIn() {
    mix.add(0.02, 2 * BEAT, 0.05, -0.3, 0.6, Instruments.bellows(57, 2 * BEAT, 0.1));
    mix.add(0, BEAT, 0.16, 0.2, 0.5, Instruments.pluck(69));
    mix.add(BEAT, BEAT, 0.18, -0.2, 0.5, Instruments.pluck(72));
  }

  private void bar(int bar) {
    int[] chord = CHORDS[bar % 8];
    boolean opening = bar < 8;
    boolean build = bar >= 8 && bar < 16;
    boolean lift = bar >= 16 && bar < 22;
    if (bar >= 22) {
      coda(bar, chord);
      return;
    }
    double swell = opening ? 0.5 + 0.02 * bar : build ? 0.75 + 0.03 * (bar - 8) : 1.05;
    bellows(bar, chord, swell, lift ? 0.7 : opening ? 0.1 : 0.35);
    plucks(bar, chord, opening ? 0.2 : 0.26, lift);
    bassLine(bar, chord[0], opening ? 0.34 : lift ? 0.5 : 0.42);
    if (bar == 0 || bar == 8 || bar == 16) {
      mix.add(at(bar, 0), 5, bar == 16 ? 0.62 : 0.3, 0, 0.4, Instruments.boom());
    }
    if (bar % 4 == 0) {
      mix.add(at(bar, 0), 4, 0.16, 0.35, 0.9, Instruments.bell(lift ? 86 : 74));
    }
    if (opening && bar >= 2) {
      mix.add(at(bar, 0), 0.5, 0.42, 0, 0.1, Instruments.kick());
      mix.add(at(bar, 2), 0.5, 0.24, 0, 0.1, Instruments.kick());
    }
    if (build) {
      buildDrums(bar);
    }
    if (lift) {
      liftDrums(bar);
      melody(bar);
    }
    if (bar == 14) {
      mix.add(at(bar, 0), 8 * BEAT, 0.55, 0, 0.3, Instruments.riser(9, 8 * BEAT));
    }
  }

  private void bellows(int bar, int[] chord, double swell, double bright) {
    for (int i = 1; i < chord.length; i++) {
      double pan = (i - 2) * 0.4;
      double length = 4 * BEAT - 0.03;
      mix.add(
          at(bar, 0),
          length,
          0.085 * swell,
          pan,
          0.5,
          Instruments.bellows(chord[i], length, bright));
    }
    double low = 4 * BEAT - 0.03;
    mix.add(at(bar, 0), low, 0.07 * swell, 0, 0.3, Instruments.bellows(chord[0] + 12, low, bright));
  }

  private void plucks(int bar, int[] chord, double gain, boolean high) {
    int[] order = {1, 2, 3, 2, 1, 3, 2, 3};
    for (int k = 0; k < 8; k++) {
      int note = chord[order[k]] + (high || k % 4 == 2 ? 12 : 0);
      double accent = k % 2 == 0 ? 1 : 0.62;
      mix.add(
          at(bar, k * 0.5),
          1.4,
          gain * accent,
          k % 2 == 0 ? -0.45 : 0.45,
          0.4,
          Instruments.pluck(note));
    }
  }

  private void bassLine(int bar, int root, double gain) {
    mix.add(at(bar, 0), 2 * BEAT, gain, 0, 0.05, Instruments.bass(root, 2 * BEAT));
    mix.add(at(bar, 2), 1.5 * BEAT, gain * 0.8, 0, 0.05, Instruments.bass(root, 1.5 * BEAT));
    if (bar >= 8) {
      mix.add(
          at(bar, 3.5), 0.5 * BEAT, gain * 0.6, 0, 0.05, Instruments.bass(root + 7, 0.5 * BEAT));
    }
  }

  private void buildDrums(int bar) {
    double gain = 0.4 + 0.03 * (bar - 8);
    for (int beat = 0; beat < 4; beat += 2) {
      mix.add(at(bar, beat), 0.5, gain + 0.12, 0, 0.08, Instruments.kick());
      mix.add(at(bar, beat + 1), 0.3, gain * 0.5, 0.1, 0.3, Instruments.snare(bar * 8L + beat, 17));
    }
    for (int k = 0; k < 8; k++) {
      double level = (k % 2 == 0 ? 0.17 : 0.1) * (0.5 + gain);
      mix.add(at(bar, k * 0.5), 0.12, level, 0.3, 0.1, Instruments.hat(bar * 16L + k, 52));
    }
    if (bar >= 14) {
      int strokes = bar == 14 ? 4 : 8;
      for (int k = 0; k < strokes; k++) {
        double level = 0.14 + 0.03 * k;
        mix.add(
            at(bar, 4.0 * k / strokes),
            0.8,
            level,
            (k % 3 - 1) * 0.4,
            0.3,
            Instruments.tom(84 + 7 * k));
      }
    }
  }

  private void liftDrums(int bar) {
    for (int beat = 0; beat < 4; beat++) {
      mix.add(at(bar, beat), 0.5, 0.66, 0, 0.06, Instruments.kick());
    }
    mix.add(at(bar, 1), 0.35, 0.5, 0.1, 0.35, Instruments.snare(bar * 9L, 13));
    mix.add(at(bar, 3), 0.35, 0.54, 0.1, 0.35, Instruments.snare(bar * 9L + 1, 13));
    for (int k = 0; k < 16; k++) {
      double level = k % 4 == 0 ? 0.18 : k % 2 == 0 ? 0.13 : 0.08;
      mix.add(at(bar, k * 0.25), 0.1, level, 0.35, 0.1, Instruments.hat(bar * 32L + k, 60));
    }
    mix.add(at(bar, 0), 1.2, 0.4, -0.3, 0.3, Instruments.tom(66));
    if (bar == 21) {
      for (int k = 0; k < 4; k++) {
        mix.add(
            at(bar, 3 + k * 0.25), 0.9, 0.4, (k - 1.5) * 0.4, 0.3, Instruments.tom(120 - 14 * k));
      }
    }
  }

  private void melody(int bar) {
    int from = (bar % 4) * 8;
    for (int k = 0; k < 8; k++) {
      int note = MELODY[(from + k) % MELODY.length];
      if (note > 0) {
        mix.add(
            at(bar, k * 0.5), 1.0 * BEAT, 0.12, 0.15, 0.5, Instruments.bellows(note, BEAT, 0.9));
        mix.add(at(bar, k * 0.5), 1.6, 0.1, -0.15, 0.6, Instruments.bell(note + 12));
      }
    }
  }

  private void coda(int bar, int[] chord) {
    boolean last = bar == BARS - 1;
    int[] notes = last ? new int[] {38, 62, 65, 69, 74} : chord;
    double length = last ? 4 * BEAT + 2.8 : 4 * BEAT;
    for (int i = 1; i < notes.length; i++) {
      mix.add(
          at(bar, 0),
          length,
          0.06,
          (i - 2) * 0.35,
          0.8,
          Instruments.bellows(notes[i], length, 0.1));
    }
    mix.add(at(bar, 0), length, last ? 0.5 : 0.4, 0, 0.2, Instruments.bass(notes[0], length));
    mix.add(at(bar, 0), 5, last ? 0.55 : 0.4, 0, 0.5, Instruments.boom());
    mix.add(at(bar, 0), 5, 0.24, 0.1, 0.9, Instruments.bell(74));
    for (int k = 0; k < (last ? 2 : 4); k++) {
      mix.add(
          at(bar, k),
          1.6,
          0.2 - 0.03 * k,
          k % 2 == 0 ? -0.3 : 0.3,
          0.6,
          Instruments.pluck(notes[1 + k % 3] + 12));
    }
    if (last) {
      mix.add(at(bar, 2), 5, 0.2, -0.1, 0.9, Instruments.bell(81));
    }
  }
}
