package app.latethistle.core.music;

/**
 * What speaks for a row of beats, over the whole song. A row at the wrong level, between the beats
 * or at three beats for two fits the onsets of a song nearly as well as the right one; what tells
 * them apart is what else happens on beats: they are stronger and the music is louder after them,
 * onsets lie on the beats and their halves or thirds, bass and snare take turns, and every fourth
 * beat is like the one four before.
 *
 * @param explained share of onset strength on beats and their halves or thirds, less what chance
 *     would put there
 * @param unevenness root mean square of the logarithm of neighbouring gaps' ratio
 * @param onset mean onset strength on the beats, in standard deviations
 * @param louder how much louder the third of a gap after the beats is than that after half-way
 *     between, as the mean of the bands' logarithms
 * @param backbeat the low onsets' difference between even and odd beats times the high onsets' the
 *     other way; 0 where they go together
 * @param fourth how much more alike beats four apart sound than beats two apart, -1 to 1; less in
 *     rows too short to tell
 * @param thirds onset strength at thirds of the gaps, over that on the beats
 * @param swing how much stronger onsets at two thirds of the gaps are than at one third: a swung
 *     note comes late in its beat, never early
 * @param octaves how much quicker the tempo is than {@link #USUAL}, in octaves
 * @param strength of the tempo, in standard deviations
 */
record Evidence(
    double explained,
    double unevenness,
    double onset,
    double louder,
    double backbeat,
    double fourth,
    double thirds,
    double swing,
    double octaves,
    double strength) {

  /**
   * Beats a minute about which most songs lie. The weights of {@link #score} move it, so it is only
   * where octaves are counted from.
   */
  private static final double USUAL = 115;

  /** Onsets above so many standard deviations count no more. */
  private static final float LOUDEST = 4;

  /** Hops by which an onset may miss its place. */
  private static final int NEAR = 4;

  /** From so many standard deviations a tempo speaks for itself no more. */
  private static final double STRONG = 5.5;

  /** From so much on a backbeat is one, however strong. */
  private static final double PLAIN = 0.4;

  /** Gaps after which it is told what comes again. */
  private static final double LONG = 12;

  private static final int SOUND_BANDS = 6;

  static Evidence of(Features f, Rows.Row row) {
    int[] beats = row.beats();
    int gaps = beats.length - 1;
    double on = 0;
    double louder = 0;
    double thirds = 0;
    double swing = 0;
    double uneven = 0;
    double[] low = new double[2];
    double[] high = new double[2];
    for (int i = 0; i < gaps; i++) {
      int gap = beats[i + 1] - beats[i];
      int middle = beats[i] + gap / 2;
      on += peak(f.onsets, beats[i]);
      louder += f.loudness(beats[i] + 1, gap / 3) - f.loudness(middle + 1, gap / 3);
      low[i % 2] += peak(f.low, beats[i]);
      high[i % 2] += peak(f.high, beats[i]);
      double early = peak(f.onsets, beats[i] + gap / 3);
      double late = peak(f.onsets, beats[i] + 2 * gap / 3);
      thirds += early + late;
      swing += late - early;
      if (i > 0) {
        double ratio = Math.log((double) gap / (beats[i] - beats[i - 1]));
        uneven += ratio * ratio;
      }
    }
    int even = (gaps + 1) / 2;
    int odd = Math.max(1, gaps / 2);
    double bass = low[0] / even - low[1] / odd;
    double snare = high[1] / odd - high[0] / even;
    float[][] sounds = sounds(f, beats);
    return new Evidence(
        Math.max(covered(f, beats, 2), 0.9 * covered(f, beats, 3)),
        Math.sqrt(uneven / gaps),
        on / gaps,
        louder / gaps,
        Math.max(0, bass * snare),
        (likeness(sounds, 4) - likeness(sounds, 2)) * Math.min(1, (gaps - 3) / LONG),
        thirds / 2 / Math.max(0.2 * gaps, on),
        swing / gaps,
        Math.log(60 / row.curve().mean() / USUAL) / Math.log(2),
        row.curve().strength());
  }

  /**
   * How good the row is. The weights are those under which the rows chosen share most beats with
   * the truth over 99 pieces: 14 recordings, 14 renders and 71 accompaniments. They were chosen
   * among some sets by leaving out packages in turn (recordings then F .85 to .89, renders .94),
   * each with the sign that its meaning asks for, and rounded; ./bench beats prints how they do on
   * pieces that had no part in it.
   */
  double score() {
    return 5.9 * explained
        - 38 * unevenness
        + 2.3 * onset
        + 4.4 * louder
        + 4.3 * Math.min(PLAIN, backbeat)
        + 16 * fourth
        - 0.39 * thirds
        + 2.2 * Math.max(-2, Math.min(0, swing))
        + 3 * octaves
        - 4.9 * octaves * octaves
        + 1.2 * Math.min(STRONG, strength);
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
