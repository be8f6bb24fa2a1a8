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

  /** Seconds of a song that are folded as one. */
  private static final double BLOCK = 60;

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
    // Within a block, periods as near to one another as this put every onset into the same place.
    int block = (int) Math.ceil(BLOCK / hopSeconds);
    int beside = (int) Math.max(0, Math.floor(0.5 / Math.min(block, onsets.length) / step));
    for (int s = -steps; s <= steps; s += 2 * beside + 1) {
      int middle = Math.min(steps, s + beside);
      Folded blocks = new Folded(onsets, period * (1 + middle * step), block);
      for (int near = -beside; near <= beside; near++) {
        double tried = period * (1 + (middle + near) * step);
        double[] folded = blocks.at(tried);
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
    }
    int count = (int) Math.max(0, Math.ceil((onsets.length - phase) / best));
    int[] beats = new int[count];
    for (int i = 0; i < count; i++) {
      beats[i] = (int) Math.min(onsets.length - 1, Math.round(phase + i * best));
    }
    return beats;
  }

  /**
   * The onset strength at each hop of a period, added up over the periods of each block of a song.
   * For another period nearby, blocks only have to be put beside one another otherwise.
   */
  private static final class Folded {
    private final double[][] blocks;
    private final int length;
    private final int bins;

    Folded(float[] onsets, double period, int length) {
      this.length = length;
      bins = Math.max(1, (int) Math.round(period));
      blocks = new double[(onsets.length + length - 1) / length][bins];
      double scale = bins / period;
      for (int b = 0; b < blocks.length; b++) {
        double place = 0;
        int end = Math.min(onsets.length, (b + 1) * length);
        for (int i = b * length; i < end; i++) {
          blocks[b][(int) place] += onsets[i];
          place += scale;
          if (place >= bins) {
            place -= bins;
          }
        }
      }
    }

    /** The sums at a period near the one that was folded. */
    double[] at(double period) {
      double[] sums = new double[bins];
      for (int b = 0; b < blocks.length; b++) {
        double from = (double) b * length % period;
        int shift = (int) (from * bins / period) % bins;
        for (int p = 0; p < bins; p++) {
          int to = p + shift;
          sums[to < bins ? to : to - bins] += blocks[b][p];
        }
      }
      return sums;
    }
  }
}
