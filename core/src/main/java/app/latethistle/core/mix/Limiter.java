package app.latethistle.core.mix;

import app.latethistle.core.signal.SharpPeak;
import app.latethistle.core.signal.TruePeak;
import java.util.Arrays;

/**
 * Keeps true peaks at a ceiling by lowering what is around them: the gain that each moment needs,
 * the least of it within half a window to either side, and that smoothed over the window with a
 * raised cosine. It looks ahead and back by a fixed time and remembers nothing, so that any range
 * can be made alone. Where nothing is too loud it changes nothing.
 */
public final class Limiter {
  /** The usual ceiling in dBTP: what the trade asks of a file that is to be encoded, EBU R 128. */
  public static final double CEILING = -1;

  /** A twentieth of a decibel of safety: four times the rate may miss so much of a peak. */
  private static final double SAFETY = 0.05;

  /** Samples to either side of a peak in which it lowers: 10 ms, common practice, no source. */
  private static final int HALF = 480;

  /** Samples before and after a range that must be known to make it. */
  static final int REACH = 2 * HALF + SharpPeak.HALF;

  private static final float[] WINDOW = window();

  private Limiter() {}

  private static float[] window() {
    float[] window = new float[2 * HALF + 1];
    double sum = 0;
    for (int i = 0; i < window.length; i++) {
      sum += 1 - Math.cos(2 * Math.PI * (i + 1) / (window.length + 1));
    }
    for (int i = 0; i < window.length; i++) {
      window[i] = (float) ((1 - Math.cos(2 * Math.PI * (i + 1) / (window.length + 1))) / sum);
    }
    return window;
  }

  /**
   * What a range is to be multiplied by; 1 where nothing is too loud, and within {@link #REACH}
   * samples of its ends.
   *
   * @param stereo left and right in turn
   * @param ceiling in dBTP
   */
  static float[] gains(float[] stereo, double ceiling) {
    float limit = (float) Math.pow(10, (ceiling - SAFETY) / 20);
    int frames = stereo.length / 2;
    float[] peaks = new float[frames];
    // The gains of the filter sum to less than 2.2: softer samples make no peak over the ceiling.
    TruePeak.of(stereo, limit / 2.2f, peaks);
    float[] gains = new float[frames];
    Arrays.fill(gains, 1);
    boolean tooLoud = false;
    float[] needed = new float[frames];
    for (int i = 0; i < frames; i++) {
      float peak = SharpPeak.near(peaks[i], limit, stereo, i);
      needed[i] = peak > limit ? limit / peak : 1;
      tooLoud |= needed[i] < 1;
    }
    if (!tooLoud) {
      return gains;
    }
    float[] least = new float[frames];
    Arrays.fill(least, 1);
    for (int i = 0; i < frames; i++) {
      if (needed[i] < 1) {
        int to = Math.min(frames, i + HALF + 1);
        for (int j = Math.max(0, i - HALF); j < to; j++) {
          least[j] = Math.min(least[j], needed[i]);
        }
      }
    }
    for (int i = REACH; i < frames - REACH; i++) {
      if (least[i - HALF] < 1 || least[i + HALF] < 1 || least[i] < 1) {
        gains[i] = smoothed(least, i);
      }
    }
    return gains;
  }

  /** Lowers a range in place. */
  static void apply(float[] stereo, double ceiling) {
    multiply(stereo, gains(stereo, ceiling));
  }

  /** Multiplies both sides by gains. */
  static void multiply(float[] stereo, float[] gains) {
    for (int i = 0; i < gains.length; i++) {
      stereo[2 * i] *= gains[i];
      stereo[2 * i + 1] *= gains[i];
    }
  }

  private static float smoothed(float[] least, int i) {
    double sum = 0;
    for (int j = -HALF; j <= HALF; j++) {
      sum += WINDOW[j + HALF] * least[i + j];
    }
    return (float) Math.min(1, sum);
  }
}
