package app.latethistle.core.signal;

/**
 * Reads a sound between its samples: a sinc of 32 samples under a Blackman window, narrowed when it
 * is read faster so that nothing folds back (Smith, "Digital Audio Resampling", 2002).
 */
public final class Resampling {
  private static final int HALF = 16;

  private Resampling() {}

  /**
   * A sound read so many times as fast: higher by as much, and as much shorter.
   *
   * @param speed samples of it for each of the result, 0.25 to 4
   * @param length samples of the result
   */
  public static float[] of(float[] samples, double speed, int length) {
    double narrow = Math.min(1, 1 / speed);
    int reach = (int) Math.ceil(HALF / narrow);
    float[] out = new float[length];
    for (int i = 0; i < length; i++) {
      double at = i * speed;
      int middle = (int) Math.floor(at);
      double sum = 0;
      double weights = 0;
      for (int k = middle - reach + 1; k <= middle + reach; k++) {
        double away = (at - k) * narrow;
        double weight = kernel(away);
        weights += weight;
        if (k >= 0 && k < samples.length) {
          sum += weight * samples[k];
        }
      }
      out[i] = (float) (sum / weights);
    }
    return out;
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
