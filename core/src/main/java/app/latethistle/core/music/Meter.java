package app.latethistle.core.music;

import app.latethistle.core.signal.LogMel;
import app.latethistle.core.signal.OnsetStrength;

/**
 * How many beats make a bar, and which beat begins the first one. Bars of three and four are tried
 * at every phase; the best has the strongest low onsets and the largest change of sound between
 * what is before and after its downbeats. Four is taken unless three is plainly better.
 *
 * @param beats beats in a bar
 * @param first the first beat that begins a bar
 */
record Meter(int beats, int first) {
  private static final int LOW_BANDS = 8;
  private static final double PLAINLY = 1.15;

  static Meter of(LogMel mel, int[] beats) {
    if (beats.length < 8) {
      return new Meter(4, 0);
    }
    double[] accent = accents(mel, beats);
    Meter best = null;
    double bestContrast = Double.NEGATIVE_INFINITY;
    for (int count : new int[] {4, 3}) {
      for (int phase = 0; phase < count; phase++) {
        double contrast = contrast(accent, count, phase) / (count == 3 ? PLAINLY : 1);
        if (contrast > bestContrast) {
          bestContrast = contrast;
          best = new Meter(count, phase);
        }
      }
    }
    return best;
  }

  /** How much a beat sounds like the beginning of something, scaled to a mean of 0. */
  private static double[] accents(LogMel mel, int[] beats) {
    float[] low = OnsetStrength.of(mel, 0, LOW_BANDS);
    double[] accent = new double[beats.length];
    double[] change = new double[beats.length];
    float[][] mean = new float[beats.length][];
    for (int i = 0; i < beats.length; i++) {
      int from = beats[i];
      int to = i + 1 < beats.length ? beats[i + 1] : mel.length();
      mean[i] = mean(mel, from, Math.max(from + 1, to));
    }
    for (int i = 0; i < beats.length; i++) {
      float top = 0;
      for (int k = Math.max(0, beats[i] - 4); k <= Math.min(low.length - 1, beats[i] + 4); k++) {
        top = Math.max(top, low[k]);
      }
      accent[i] = top;
      if (i > 0) {
        for (int b = 0; b < LogMel.BANDS; b++) {
          change[i] += Math.abs(mean[i][b] - mean[i - 1][b]);
        }
      }
    }
    scale(accent);
    scale(change);
    for (int i = 0; i < accent.length; i++) {
      accent[i] += change[i];
    }
    return accent;
  }

  private static float[] mean(LogMel mel, int from, int to) {
    float[] mean = new float[LogMel.BANDS];
    for (int t = from; t < to; t++) {
      float[] frame = mel.frame(t);
      for (int b = 0; b < mean.length; b++) {
        mean[b] += frame[b] / (to - from);
      }
    }
    return mean;
  }

  private static void scale(double[] values) {
    double mean = 0;
    for (double v : values) {
      mean += v / values.length;
    }
    double variance = 1e-9;
    for (double v : values) {
      variance += (v - mean) * (v - mean) / values.length;
    }
    for (int i = 0; i < values.length; i++) {
      values[i] = (values[i] - mean) / Math.sqrt(variance);
    }
  }

  private static double contrast(double[] accent, int count, int phase) {
    double sum = 0;
    int n = 0;
    for (int i = phase; i < accent.length; i += count) {
      sum += accent[i];
      n++;
    }
    // Scaled so that chance is alike for both metres: the mean of n values spreads as 1/sqrt(n).
    return sum / Math.sqrt(n);
  }
}
