package app.latethistle.core.music;

import app.latethistle.core.signal.Chroma;
import app.latethistle.core.signal.LogMel;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.signal.OnsetStrength;

/**
 * What is heard of a song hop by hop: how strongly something begins in all bands, in the low ones
 * (bass and kick) and in the high ones (snare and cymbals), and how much harmony and timbre change.
 */
final class Features {
  private static final int LOW_BANDS = 7;
  private static final int HIGH_BANDS = 22;
  private static final double HARMONY_SECONDS = 0.45;

  final LogMel mel;
  final Chroma chroma;
  final double hop;
  final float[] onsets;
  final float[] low;
  final float[] high;

  /** Change of harmony around each hop, scaled to a standard deviation of 1 around its mean. */
  final float[] harmony;

  /** What the mean log magnitude of all bands adds up to before each hop. */
  private final double[] loudness;

  Features(MonoSound song) {
    mel = LogMel.of(song, LogMel.Grain.MUSIC);
    chroma = Chroma.of(song);
    hop = mel.hopSeconds();
    onsets = OnsetStrength.of(mel);
    low = OnsetStrength.of(mel, 0, LOW_BANDS);
    high = OnsetStrength.of(mel, HIGH_BANDS, LogMel.BANDS);
    harmony = harmony();
    loudness = loudness();
  }

  private double[] loudness() {
    double[] sums = new double[mel.length() + 1];
    for (int i = 0; i < mel.length(); i++) {
      double sum = 0;
      for (float band : mel.frame(i)) {
        sum += band / LogMel.BANDS;
      }
      sums[i + 1] = sums[i] + sum;
    }
    return sums;
  }

  /** The mean log magnitude over so many hops, two or more; 0 past the end. */
  double loudness(int from, int hops) {
    int a = Math.max(0, Math.min(length(), from));
    int b = Math.min(length(), Math.max(a, from + Math.max(2, hops)));
    return a == b ? 0 : (loudness[b] - loudness[a]) / (b - a);
  }

  /** Whether nothing ever begins. */
  boolean isSilent() {
    for (float o : onsets) {
      if (o > 0) {
        return false;
      }
    }
    return true;
  }

  /** Number of hops. */
  int length() {
    return onsets.length;
  }

  /** Distance between the mean chroma just after and just before each hop. */
  private float[] harmony() {
    int frames = chroma.length();
    int radius = (int) Math.round(HARMONY_SECONDS / chroma.hopSeconds());
    double[][] sums = new double[frames + 1][Chroma.CLASSES];
    for (int i = 0; i < frames; i++) {
      for (int c = 0; c < Chroma.CLASSES; c++) {
        sums[i + 1][c] = sums[i][c] + chroma.frame(i)[c];
      }
    }
    float[] change = new float[frames];
    for (int i = 0; i < frames; i++) {
      int from = Math.max(0, i - radius);
      int to = Math.min(frames, i + radius);
      double dot = 0;
      double before = 0.1;
      double after = 0.1;
      for (int c = 0; c < Chroma.CLASSES; c++) {
        double b = sums[i][c] - sums[from][c];
        double a = sums[to][c] - sums[i][c];
        dot += a * b;
        before += b * b;
        after += a * a;
      }
      change[i] = i == from || i == to ? 0 : (float) (1 - dot / Math.sqrt(before * after));
    }
    float[] perHop = new float[onsets.length];
    for (int i = 0; i < perHop.length; i++) {
      double at = i * hop / chroma.hopSeconds();
      int k = (int) Math.min(frames - 2.0, at);
      perHop[i] = frames < 2 ? 0 : (float) (change[k] + (change[k + 1] - change[k]) * (at - k));
    }
    return scaled(perHop);
  }

  /** Values scaled to a mean of 0 and a standard deviation of 1. */
  static float[] scaled(float[] values) {
    double mean = 0;
    for (float v : values) {
      mean += v / values.length;
    }
    double variance = 1e-12;
    for (float v : values) {
      variance += (v - mean) * (v - mean) / values.length;
    }
    float[] out = new float[values.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (float) ((values[i] - mean) / Math.sqrt(variance));
    }
    return out;
  }
}
