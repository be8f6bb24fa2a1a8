package app.latethistle.core.signal;

/**
 * Reads a sound between its samples: a sinc of 32 samples under a Blackman window, narrowed when it
 * is read faster so that nothing folds back (Smith, "Digital Audio Resampling", 2002).
 */
public final class Resampling {
  private static final int HALF = 16;

  /**
   * Places between two samples for which the weights are known; between them they go straight,
   * which is off by -115 dB.
   */
  private static final int FINE = 512;

  private Resampling() {}

  /**
   * A sound read so many times as fast: higher by as much, and as much shorter.
   *
   * @param channels samples of each, all as long
   * @param speed samples of it for each of the result, 0.25 to 4
   * @param length samples of the result
   */
  public static float[][] of(float[][] channels, double speed, int length) {
    float[][] places = places(speed);
    int taps = places[0].length;
    float[] weights = new float[taps];
    float[][] out = new float[channels.length][length];
    for (int i = 0; i < length; i++) {
      double at = i * speed;
      int whole = (int) Math.floor(at);
      double place = (at - whole) * FINE;
      int before = (int) place;
      float share = (float) (place - before);
      float[] a = places[before];
      float[] b = places[before + 1];
      for (int k = 0; k < taps; k++) {
        weights[k] = a[k] + share * (b[k] - a[k]);
      }
      for (int c = 0; c < channels.length; c++) {
        out[c][i] = weighted(channels[c], whole - taps / 2 + 1, weights);
      }
    }
    return out;
  }

  /** The weights of the samples around each place between two; they sum to 1. */
  private static float[][] places(double speed) {
    double narrow = Math.min(1, 1 / speed);
    int reach = 4 * (int) Math.ceil(HALF / narrow / 4);
    float[][] places = new float[FINE + 1][2 * reach];
    double[] exact = new double[2 * reach];
    for (int place = 0; place <= FINE; place++) {
      double sum = 0;
      for (int k = 0; k < exact.length; k++) {
        exact[k] = kernel((reach - 1 - k + (double) place / FINE) * narrow);
        sum += exact[k];
      }
      for (int k = 0; k < exact.length; k++) {
        places[place][k] = (float) (exact[k] / sum);
      }
    }
    return places;
  }

  private static float weighted(float[] samples, int first, float[] weights) {
    if (first >= 0 && first + weights.length <= samples.length) {
      return within(samples, first, weights);
    }
    float sum = 0;
    int to = Math.min(weights.length, samples.length - first);
    for (int k = Math.max(0, -first); k < to; k++) {
      sum += weights[k] * samples[first + k];
    }
    return sum;
  }

  /** Four sums side by side, so that none waits for the one before. */
  private static float within(float[] samples, int first, float[] weights) {
    float a = 0;
    float b = 0;
    float c = 0;
    float d = 0;
    for (int k = 0; k < weights.length; k += 4) {
      a += weights[k] * samples[first + k];
      b += weights[k + 1] * samples[first + k + 1];
      c += weights[k + 2] * samples[first + k + 2];
      d += weights[k + 3] * samples[first + k + 3];
    }
    return a + b + (c + d);
  }

  private static double kernel(double x) {
    if (Math.abs(x) >= HALF) {
      return 0;
    }
    double window =
        0.42 + 0.5 * Math.cos(Math.PI * x / HALF) + 0.08 * Math.cos(2 * Math.PI * x / HALF);
    double sinc = Math.abs(x) < 1e-9 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
    return sinc * window;
  }
}
