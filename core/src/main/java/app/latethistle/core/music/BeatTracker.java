package app.latethistle.core.music;

import app.latethistle.core.signal.LogMel;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.signal.OnsetStrength;
import app.latethistle.core.time.Samples;
import java.util.Arrays;

/**
 * Finds the beats of a song: onset strength, a tempo that may drift, and the best row of beats
 * under both by dynamic programming (Ellis 2007, "Beat Tracking by Dynamic Programming"). Twice and
 * half the found tempo are tried too, and the row with the best evidence is kept.
 */
public final class BeatTracker {
  /** How dear a beat away from the local tempo is; Ellis's alpha. */
  private static final double TIGHTNESS = 100;

  /** How much quicker or slower than the curve a row is tried at. */
  private static final double[] LEVELS = {1, 0.5, 2};

  /**
   * Seconds by which flux over two hops peaks after the sounding onset; measured on click tracks.
   */
  private static final double FLUX_DELAY = 0.004;

  private BeatTracker() {}

  /**
   * The beats of a song.
   *
   * @param song mono; 22,050 samples a second are enough
   * @return a grid; empty if the song is shorter than two beats or silent
   */
  public static BeatGrid track(MonoSound song) {
    LogMel mel = LogMel.of(song);
    float[] onsets = OnsetStrength.of(mel);
    double hop = mel.hopSeconds();
    if (song.seconds() < 1.5 || isSilent(onsets)) {
      return new BeatGrid(new long[0], new float[0], 4, 0, 0);
    }
    TempoCurve curve = TempoCurve.of(onsets, hop);
    int[] best = null;
    double bestEvidence = Double.NEGATIVE_INFINITY;
    for (double level : LEVELS) {
      TempoCurve candidate = curve.times(level);
      if (candidate.mean() < 60.0 / 230 || candidate.mean() > 60.0 / 38) {
        continue;
      }
      int[] beats = row(onsets, hop, candidate);
      double evidence = evidence(onsets, beats) * TempoCurve.usual(candidate.mean());
      if (evidence > bestEvidence) {
        bestEvidence = evidence;
        best = beats;
      }
    }
    if (best == null || best.length < 2) {
      return new BeatGrid(new long[0], new float[0], 4, 0, 0);
    }
    float[] sureness = sureness(onsets, best);
    Meter meter = Meter.of(mel, best);
    long[] samples = new long[best.length];
    for (int i = 0; i < best.length; i++) {
      samples[i] = Math.max(i, Samples.ofSeconds(refine(onsets, best[i]) * hop - FLUX_DELAY));
    }
    double confidence = 0;
    for (float s : sureness) {
      confidence += s / sureness.length;
    }
    return new BeatGrid(samples, sureness, meter.beats(), meter.first(), confidence);
  }

  private static boolean isSilent(float[] onsets) {
    for (float o : onsets) {
      if (o > 0) {
        return false;
      }
    }
    return true;
  }

  /** The best row of beats along a tempo curve, as hops, from the first sound to the last. */
  private static int[] row(float[] onsets, double hop, TempoCurve curve) {
    float[] smooth = smooth(onsets);
    int n = onsets.length;
    double[] score = new double[n];
    int[] previous = new int[n];
    for (int t = 0; t < n; t++) {
      double period = curve.at(t * hop) / hop;
      int earliest = t - (int) Math.round(2 * period);
      int latest = t - (int) Math.round(period / 2);
      double top = 0;
      int from = -1;
      for (int p = Math.max(0, earliest); p <= latest; p++) {
        double stretch = Math.log((t - p) / period);
        double value = score[p] - TIGHTNESS * stretch * stretch;
        if (value > top) {
          top = value;
          from = p;
        }
      }
      score[t] = smooth[t] + top;
      previous[t] = from;
    }
    int end = n - 1;
    double period = curve.at(end * hop) / hop;
    for (int t = Math.max(0, (int) (n - period)); t < n; t++) {
      if (score[t] > score[end]) {
        end = t;
      }
    }
    int[] beats = new int[n];
    int count = 0;
    for (int t = end; t >= 0; t = previous[t]) {
      beats[count++] = t;
    }
    int[] row = new int[count];
    for (int i = 0; i < count; i++) {
      row[i] = beats[count - 1 - i];
    }
    return trim(onsets, row);
  }

  /** Leaves out beats before the first and after the last audible one. */
  private static int[] trim(float[] onsets, int[] row) {
    int first = 0;
    int last = row.length - 1;
    while (first < last && strongest(onsets, row[first], 4) < 0.3) {
      first++;
    }
    while (last > first && strongest(onsets, row[last], 4) < 0.1) {
      last--;
    }
    return Arrays.copyOfRange(row, first, last + 1);
  }

  private static float[] smooth(float[] onsets) {
    float[] out = new float[onsets.length];
    float[] kernel = {0.25f, 0.7f, 1, 0.7f, 0.25f};
    for (int i = 0; i < onsets.length; i++) {
      for (int k = -2; k <= 2; k++) {
        if (i + k >= 0 && i + k < onsets.length) {
          out[i] += kernel[k + 2] * onsets[i + k];
        }
      }
    }
    return out;
  }

  private static float strongest(float[] onsets, int at, int radius) {
    float top = 0;
    for (int i = Math.max(0, at - radius); i <= Math.min(onsets.length - 1, at + radius); i++) {
      top = Math.max(top, onsets[i]);
    }
    return top;
  }

  /** Mean onset strength on the beats, over what lies half-way between them. */
  private static double evidence(float[] onsets, int[] beats) {
    if (beats.length < 3) {
      return Double.NEGATIVE_INFINITY;
    }
    double on = 0;
    double off = 0;
    for (int i = 0; i + 1 < beats.length; i++) {
      on += Math.min(4, strongest(onsets, beats[i], 3));
      off += Math.min(4, strongest(onsets, (beats[i] + beats[i + 1]) / 2, 3));
    }
    return (on - 0.5 * off) / (beats.length - 1);
  }

  /** 1 where a beat is heard as plainly as most, less where it is only counted through. */
  private static float[] sureness(float[] onsets, int[] beats) {
    float[] sure = new float[beats.length];
    for (int i = 0; i < beats.length; i++) {
      float heard = Math.min(1, strongest(onsets, beats[i], 4) / 1.5f);
      float even = 1;
      if (i > 0 && i + 1 < beats.length) {
        float before = beats[i] - beats[i - 1];
        float after = beats[i + 1] - beats[i];
        even = Math.max(0, 1 - 6 * Math.abs(before - after) / (before + after));
      }
      sure[i] = 0.6f * heard + 0.4f * even;
    }
    return sure;
  }

  /** The beat between hops: the top of the parabola through the strongest hop around it. */
  private static double refine(float[] onsets, int beat) {
    int top = beat;
    for (int i = Math.max(1, beat - 3); i <= Math.min(onsets.length - 2, beat + 3); i++) {
      if (onsets[i] > onsets[top]) {
        top = i;
      }
    }
    if (top == 0 || top == onsets.length - 1 || onsets[top] < 0.5) {
      return beat;
    }
    double a = onsets[top - 1];
    double b = onsets[top];
    double c = onsets[top + 1];
    double bend = a - 2 * b + c;
    return bend >= 0 ? top : top + 0.5 * (a - c) / bend;
  }
}
