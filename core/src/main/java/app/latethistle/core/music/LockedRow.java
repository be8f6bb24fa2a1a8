package app.latethistle.core.music;

/**
 * A row of beats at one exact tempo, as a machine or a click plays it: of all periods near a
 * curve's mean the one at which the whole song's onsets, folded over one another, stand out most.
 */
final class LockedRow {
  /** How far from the curve's mean is searched: twice the step of the tempogram. */
  private static final double REACH = 0.015;

  /** Seconds by which the last beat may be off: less than onsets are broad. */
  private static final double DRIFT = 0.01;

  private LockedRow() {}

  /**
   * The beats in hops; fewer than two if the song is shorter than that.
   *
   * @param onsets smoothed, so that a beat is as broad as onsets are
   * @param period about it, in hops
   */
  static int[] of(float[] onsets, double period, double hopSeconds) {
    double song = Math.max(1, onsets.length * hopSeconds);
    double step = DRIFT / song;
    double best = period;
    int phase = 0;
    double top = Double.NEGATIVE_INFINITY;
    int steps = (int) Math.ceil(REACH / step);
    for (int s = -steps; s <= steps; s++) {
      double tried = period * (1 + s * step);
      double[] folded = folded(onsets, tried);
      double mean = 0;
      for (double v : folded) {
        mean += v / folded.length;
      }
      for (int p = 0; p < folded.length; p++) {
        if (folded[p] - mean > top) {
          top = folded[p] - mean;
          best = tried;
          phase = p;
        }
      }
    }
    int count = (int) Math.max(0, Math.ceil((onsets.length - phase) / best));
    int[] beats = new int[count];
    for (int i = 0; i < count; i++) {
      beats[i] = (int) Math.min(onsets.length - 1, Math.round(phase + i * best));
    }
    return beats;
  }

  /** The onset strength at each hop of a period, added up over all periods of the song. */
  private static double[] folded(float[] onsets, double period) {
    int bins = Math.max(1, (int) Math.round(period));
    double[] sums = new double[bins];
    double scale = bins / period;
    double place = 0;
    for (float onset : onsets) {
      sums[(int) place] += onset;
      place += scale;
      if (place >= bins) {
        place -= bins;
      }
    }
    return sums;
  }
}
