package app.latethistle.core.music;

import app.latethistle.core.signal.Chroma;
import app.latethistle.core.signal.LogMel;
import app.latethistle.core.time.Samples;

/**
 * What each beat of a song sounds like until the next one begins: its timbre, its harmony and its
 * level. Meter, sections and joins are found on these.
 */
final class BeatSounds {
  /** Mean log-mel bands of each beat. */
  final float[][] timbre;

  /** Mean chroma of each beat, of length 1 or less. */
  final float[][] harmony;

  /** How loud each beat is: the mean of its bands, in log magnitudes. */
  final float[] level;

  /** The sounds of a grid's beats. */
  static BeatSounds of(Features f, BeatGrid grid) {
    int[] hops = new int[grid.size()];
    for (int i = 0; i < hops.length; i++) {
      hops[i] =
          (int) Math.min(f.length() - 1, Math.round(Samples.toSeconds(grid.sampleOf(i)) / f.hop));
    }
    return new BeatSounds(f, hops);
  }

  /**
   * @param beats where they begin, in hops of the features
   */
  BeatSounds(Features f, int[] beats) {
    int n = beats.length;
    timbre = new float[n][];
    harmony = new float[n][];
    level = new float[n];
    for (int i = 0; i < n; i++) {
      int last = i > 0 ? beats[i] - beats[i - 1] : (int) (0.5 / f.hop);
      int end = i + 1 < n ? beats[i + 1] : Math.min(f.length(), beats[i] + last);
      end = Math.max(beats[i] + 1, end);
      timbre[i] = new float[LogMel.BANDS];
      for (int t = beats[i]; t < end; t++) {
        add(timbre[i], f.mel.frame(t), 1f / (end - beats[i]));
      }
      for (float band : timbre[i]) {
        level[i] += band / LogMel.BANDS;
      }
      double scale = f.hop / f.chroma.hopSeconds();
      int from = (int) Math.min(f.chroma.length() - 1, Math.round(beats[i] * scale));
      int to = (int) Math.min(f.chroma.length(), Math.max(from + 1, Math.round(end * scale)));
      harmony[i] = new float[Chroma.CLASSES];
      for (int t = from; t < to; t++) {
        add(harmony[i], f.chroma.frame(t), 1f / (to - from));
      }
    }
  }

  private static void add(float[] to, float[] values, float factor) {
    for (int k = 0; k < to.length; k++) {
      to[k] += values[k] * factor;
    }
  }

  /** Number of beats. */
  int size() {
    return level.length;
  }

  /** One less the cosine of two vectors, 0 to 1 for ones that are not negative. */
  static double angle(float[] a, float[] b) {
    double dot = 0;
    double x = 1e-9;
    double y = 1e-9;
    for (int k = 0; k < a.length; k++) {
      dot += a[k] * b[k];
      x += a[k] * a[k];
      y += b[k] * b[k];
    }
    return 1 - dot / Math.sqrt(x * y);
  }

  /** Mean difference of two vectors, in which what falls counts a fifth less than what rises. */
  static double rise(float[] now, float[] before) {
    double sum = 0;
    for (int k = 0; k < now.length; k++) {
      double change = now[k] - before[k];
      sum += change > 0 ? change : -0.8 * change;
    }
    return sum / now.length;
  }
}
