package app.latethistle.core.signal;

/**
 * The highest point near a sample, more sharply than {@link TruePeak}, whose twelve samples see
 * little of what lies over 18 kHz: a sinc of 48 samples under a Kaiser window at eight times the
 * rate, flat to 22 kHz (Oppenheim and Schafer, "Discrete-Time Signal Processing", 7.5.3, for the
 * window's shape and length).
 */
public final class SharpPeak {
  /** Samples before and after one that its estimate needs. */
  public static final int HALF = 24;

  private static final int TIMES = 8;

  /** Where the quick estimate is under this share of a level, nothing is over it. */
  private static final float SURELY_UNDER = 0.8f;

  /** Takes 63 dB of what lies beyond. */
  private static final double BETA = 6;

  private static final float[][] PHASES = new float[TIMES][2 * HALF];

  static {
    for (int phase = 0; phase < TIMES; phase++) {
      for (int t = 0; t < 2 * HALF; t++) {
        double away = t - HALF + 1 - (double) phase / TIMES;
        double sinc = away == 0 ? 1 : Math.sin(Math.PI * away) / (Math.PI * away);
        PHASES[phase][t] = (float) (sinc * kaiser(away / HALF));
      }
    }
  }

  private SharpPeak() {}

  /**
   * The greatest magnitude of a sample and of the points between it and the next.
   *
   * @param stereo left and right in turn; there is silence beyond its ends
   */
  public static float at(float[] stereo, int i) {
    float peak = 0;
    int frames = stereo.length / 2;
    int from = Math.max(0, HALF - 1 - i);
    int to = Math.min(2 * HALF, frames - i + HALF - 1);
    for (int side = 0; side < 2; side++) {
      for (float[] phase : PHASES) {
        float sum = 0;
        for (int t = from; t < to; t++) {
          sum += phase[t] * stereo[2 * (i + t - HALF + 1) + side];
        }
        peak = Math.max(peak, Math.abs(sum));
      }
    }
    return peak;
  }

  /**
   * The greatest magnitude there, looked at sharply only where it may be over a level.
   *
   * @param quick as {@link TruePeak} has it
   */
  public static float near(float quick, float level, float[] stereo, int i) {
    return quick > SURELY_UNDER * level ? Math.max(quick, at(stereo, i)) : quick;
  }

  private static double kaiser(double x) {
    return Math.abs(x) >= 1 ? 0 : bessel(BETA * Math.sqrt(1 - x * x)) / bessel(BETA);
  }

  /** The modified Bessel function of the first kind and order zero. */
  private static double bessel(double x) {
    double sum = 1;
    double term = 1;
    for (int k = 1; term > 1e-12 * sum; k++) {
      term *= (x / (2 * k)) * (x / (2 * k));
      sum += term;
    }
    return sum;
  }
}
