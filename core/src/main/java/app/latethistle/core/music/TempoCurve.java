package app.latethistle.core.music;

/**
 * The beat period of a song over time, allowed to drift: an autocorrelation of onset strength over
 * a window around each step, weighted towards usual tempi, and the smoothest strong path through it
 * (Viterbi over the logarithm of the period).
 */
final class TempoCurve {
  private static final int PERIODS = 96;
  private static final double SHORTEST = 60.0 / 220;
  private static final double LONGEST = 60.0 / 40;
  private static final double WINDOW_SECONDS = 9;
  private static final double STEP_SECONDS = 1;

  /** The tempo most songs lie near, in seconds a beat, and how far from it, in octaves. */
  private static final double USUAL = 60.0 / 115;

  private static final double SPREAD = 0.9;

  /** What one step of 2.6 % of the period costs, in standard deviations of the salience. */
  private static final double CHANGE_COST = 0.35;

  private final double[] period;
  private final double stepSeconds;

  private TempoCurve(double[] period, double stepSeconds) {
    this.period = period;
    this.stepSeconds = stepSeconds;
  }

  /** The curve that the onsets follow best, its period multiplied by {@code level}. */
  static TempoCurve of(float[] onsets, double hopSeconds) {
    int steps = Math.max(1, (int) (onsets.length * hopSeconds / STEP_SECONDS));
    double[][] salience = new double[steps][];
    for (int s = 0; s < steps; s++) {
      salience[s] = salience(onsets, hopSeconds, s * STEP_SECONDS);
    }
    return new TempoCurve(path(salience), STEP_SECONDS);
  }

  /** The same curve at another metrical level. */
  TempoCurve times(double level) {
    double[] scaled = new double[period.length];
    for (int i = 0; i < scaled.length; i++) {
      scaled[i] = period[i] * level;
    }
    return new TempoCurve(scaled, stepSeconds);
  }

  /** Seconds a beat at a time of the song. */
  double at(double seconds) {
    double x = Math.max(0, Math.min(period.length - 1, seconds / stepSeconds));
    int i = (int) x;
    int j = Math.min(i + 1, period.length - 1);
    return period[i] + (period[j] - period[i]) * (x - i);
  }

  /** The mean period in seconds. */
  double mean() {
    double sum = 0;
    for (double p : period) {
      sum += p;
    }
    return sum / period.length;
  }

  /** How usual a period is, 0 to 1: a bell over octaves around the usual tempo. */
  static double usual(double period) {
    double octaves = Math.log(period / USUAL) / Math.log(2);
    return Math.exp(-0.5 * octaves * octaves / (SPREAD * SPREAD));
  }

  private static double period(int index) {
    return SHORTEST * Math.pow(LONGEST / SHORTEST, index / (PERIODS - 1.0));
  }

  private static double[] salience(float[] onsets, double hop, double centre) {
    int from = (int) Math.max(0, (centre - WINDOW_SECONDS / 2) / hop);
    int to = (int) Math.min(onsets.length, (centre + WINDOW_SECONDS / 2) / hop);
    int longest = (int) Math.ceil(2 * LONGEST / hop) + 1;
    double[] correlation = new double[longest + 1];
    for (int lag = 1; lag <= longest; lag++) {
      double sum = 0;
      for (int i = from; i + lag < to; i++) {
        sum += onsets[i] * onsets[i + lag];
      }
      // Fewer products at long lags would favour quick tempi; half of that is taken back.
      correlation[lag] = sum / Math.max(1, to - from - 0.5 * lag);
    }
    double[] salience = new double[PERIODS];
    double mean = 0;
    for (int p = 0; p < PERIODS; p++) {
      double lag = period(p) / hop;
      salience[p] = (at(correlation, lag) + 0.5 * at(correlation, 2 * lag)) * usual(period(p));
      mean += salience[p] / PERIODS;
    }
    double variance = 1e-9;
    for (double s : salience) {
      variance += (s - mean) * (s - mean) / PERIODS;
    }
    for (int p = 0; p < PERIODS; p++) {
      salience[p] = (salience[p] - mean) / Math.sqrt(variance);
    }
    return salience;
  }

  private static double at(double[] values, double index) {
    int i = (int) index;
    if (i + 1 >= values.length) {
      return 0;
    }
    return values[i] + (values[i + 1] - values[i]) * (index - i);
  }

  private static double[] path(double[][] salience) {
    int steps = salience.length;
    double[] best = salience[0].clone();
    int[][] from = new int[steps][PERIODS];
    for (int s = 1; s < steps; s++) {
      double[] next = new double[PERIODS];
      for (int p = 0; p < PERIODS; p++) {
        double top = Double.NEGATIVE_INFINITY;
        for (int q = 0; q < PERIODS; q++) {
          double value = best[q] - CHANGE_COST * Math.min(Math.abs(p - q), 14);
          if (value > top) {
            top = value;
            from[s][p] = q;
          }
        }
        next[p] = top + salience[s][p];
      }
      best = next;
    }
    int p = 0;
    for (int q = 1; q < PERIODS; q++) {
      if (best[q] > best[p]) {
        p = q;
      }
    }
    double[] path = new double[steps];
    for (int s = steps - 1; s >= 0; s--) {
      path[s] = period(p);
      p = from[s][p];
    }
    return path;
  }
}
