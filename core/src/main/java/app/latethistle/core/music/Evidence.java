package app.latethistle.core.music;

/**
 * What speaks for a row of beats, over the whole song. A row at the wrong level, between the beats
 * or at three beats for two fits the onsets of a song nearly as well as the right one; what tells
 * them apart is what else happens on beats: harmony changes and low notes begin there, onsets lie
 * on the beats and their halves or thirds, and every fourth beat is like the one four before.
 *
 * @param heard share of beats on which something begins
 * @param low how much stronger low onsets are on the beats than half-way between, in standard
 *     deviations
 * @param harmony the same of the change of harmony
 * @param explained share of onset strength on beats and their halves or thirds, less what chance
 *     would put there
 * @param unevenness root mean square of the logarithm of neighbouring gaps' ratio
 * @param fourth how much more alike beats four apart sound than beats two apart, -1 to 1; less in
 *     rows too short to tell
 * @param thirds onset strength at thirds of the gaps, over that on the beats
 * @param swing how much stronger onsets at two thirds of the gaps are than at one third: a swung
 *     note comes late in its beat, never early
 * @param octaves how far the tempo is from the usual one, in octaves
 * @param strength of the tempo, in standard deviations
 */
record Evidence(
    double heard,
    double low,
    double harmony,
    double explained,
    double unevenness,
    double fourth,
    double thirds,
    double swing,
    double octaves,
    double strength) {

  /** The tempo most songs lie near, in seconds a beat: common practice, no source. */
  private static final double USUAL = 60.0 / 115;

  /** Onsets above so many standard deviations count no more. */
  private static final float LOUDEST = 4;

  /** From so many standard deviations on something begins. */
  private static final double HEARD = 0.5;

  /** Hops by which an onset may miss its place. */
  private static final int NEAR = 4;

  /** From so many standard deviations a tempo speaks for itself no more. */
  private static final double STRONG = 5.5;

  /** Gaps after which it is told what comes again. */
  private static final double LONG = 12;

  private static final int SOUND_BANDS = 6;

  static Evidence of(Features f, Rows.Row row) {
    int[] beats = row.beats();
    int gaps = beats.length - 1;
    double on = 0;
    double heard = 0;
    double low = 0;
    double harmony = 0;
    double thirds = 0;
    double swing = 0;
    double uneven = 0;
    for (int i = 0; i < gaps; i++) {
      int gap = beats[i + 1] - beats[i];
      int middle = beats[i] + gap / 2;
      double onset = peak(f.onsets, beats[i]);
      on += onset;
      heard += onset > HEARD ? 1 : 0;
      low += peak(f.low, beats[i]) - peak(f.low, middle);
      harmony += f.harmony[beats[i]] - f.harmony[middle];
      double early = peak(f.onsets, beats[i] + gap / 3);
      double late = peak(f.onsets, beats[i] + 2 * gap / 3);
      thirds += early + late;
      swing += late - early;
      if (i > 0) {
        double ratio = Math.log((double) gap / (beats[i] - beats[i - 1]));
        uneven += ratio * ratio;
      }
    }
    float[][] sounds = sounds(f, beats);
    return new Evidence(
        heard / gaps,
        low / gaps,
        harmony / gaps,
        Math.max(covered(f, beats, 2), 0.9 * covered(f, beats, 3)),
        Math.sqrt(uneven / gaps),
        (likeness(sounds, 4) - likeness(sounds, 2)) * Math.min(1, (gaps - 3) / LONG),
        thirds / 2 / Math.max(0.2 * gaps, on),
        swing / gaps,
        Math.log(row.curve().mean() / USUAL) / Math.log(2),
        row.curve().strength());
  }

  /**
   * How good the row is. The weights were found on rendered pieces of many kinds by the share of
   * beats that the best row then had, and rounded; each changes the outcome little by itself.
   */
  double score() {
    return 3 * heard
        - 20 * Math.max(0, 0.4 - heard)
        + 0.2 * low
        + 4.5 * Math.max(-1, Math.min(1, harmony))
        + 4 * explained
        - 20 * unevenness
        + 18 * fourth
        - 1.4 * thirds
        + 1.2 * Math.max(-2, Math.min(0, swing))
        - 3.1 * octaves * octaves
        + 0.45 * Math.min(STRONG, strength);
  }

  private static double peak(float[] values, int at) {
    return Math.min(LOUDEST, Rows.strongest(values, at, NEAR - 1));
  }

  /** Share of onset strength on the beats and what divides them, less the share of time that is. */
  private static double covered(Features f, int[] beats, int parts) {
    int from = beats[0];
    int to = beats[beats.length - 1];
    double total = 1e-9;
    for (int t = from; t < to; t++) {
      total += Math.min(6, f.onsets[t]);
    }
    double sum = 0;
    for (int i = 0; i + 1 < beats.length; i++) {
      for (int part = 0; part < parts; part++) {
        int centre = beats[i] + part * (beats[i + 1] - beats[i]) / parts;
        for (int t = Math.max(0, centre - NEAR); t <= Math.min(to, centre + NEAR); t++) {
          sum += Math.min(6, f.onsets[t]);
        }
      }
    }
    double chance = (2.0 * NEAR + 1) * parts * (beats.length - 1) / Math.max(1, to - from);
    return sum / total - Math.min(1, chance);
  }

  /** What begins at each beat, low to high. */
  private static float[][] sounds(Features f, int[] beats) {
    float[][] sounds = new float[beats.length][SOUND_BANDS];
    for (int i = 0; i < beats.length; i++) {
      int last = Math.min(f.length() - 1, beats[i] + 3);
      for (int t = Math.max(2, beats[i] - 3); t <= last; t++) {
        float[] now = f.mel.frame(t);
        float[] before = f.mel.frame(t - 2);
        for (int b = 0; b < now.length; b++) {
          sounds[i][b * SOUND_BANDS / now.length] += Math.max(0, now[b] - before[b]);
        }
      }
    }
    return sounds;
  }

  /** Mean cosine of sounds so many beats apart. */
  private static double likeness(float[][] sounds, int apart) {
    double sum = 0;
    int count = 0;
    for (int i = 0; i + apart < sounds.length; i++) {
      double dot = 0;
      double a = 1e-6;
      double b = 1e-6;
      for (int k = 0; k < SOUND_BANDS; k++) {
        dot += sounds[i][k] * sounds[i + apart][k];
        a += sounds[i][k] * sounds[i][k];
        b += sounds[i + apart][k] * sounds[i + apart][k];
      }
      sum += dot / Math.sqrt(a * b);
      count++;
    }
    return count == 0 ? 0 : sum / count;
  }
}
