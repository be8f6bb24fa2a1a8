package app.latethistle.core.music;

import app.latethistle.core.work.AllCores;
import java.util.stream.IntStream;
import org.jtransforms.fft.DoubleFFT_1D;

/**
 * How well each beat period fits a song around each second of it: an autocorrelation of onset
 * strength over a window, at the period and its multiples, scaled over the periods to a mean of 0
 * and a standard deviation of 1.
 */
final class Tempogram {
  /** Periods that are held against the onsets, evenly spaced in their logarithm. */
  static final int PERIODS = 120;

  private static final double SHORTEST = 60.0 / 240;
  private static final double LONGEST = 60.0 / 36;
  private static final double WINDOW_SECONDS = 9;
  private static final double STEP_SECONDS = 1;
  private static final double[] MULTIPLES = {1, 0.7, 0.4, 0.4};

  /** What one step of 1.6 % of the period costs, in standard deviations of the salience. */
  private static final double CHANGE_COST = 0.22;

  private final double[][] salience;

  Tempogram(float[] onsets, double hopSeconds) {
    int steps = Math.max(1, (int) (onsets.length * hopSeconds / STEP_SECONDS));
    // Twice as long as a window, so that its end does not meet its beginning.
    int size = Integer.highestOneBit((int) (WINDOW_SECONDS / hopSeconds) + 1) * 4;
    DoubleFFT_1D fft = new DoubleFFT_1D(size);
    salience =
        AllCores.computed(
                IntStream.range(0, steps).boxed().toList(),
                s -> salience(onsets, hopSeconds, (s + 0.5) * STEP_SECONDS, fft, size))
            .toArray(double[][]::new);
  }

  /** The period of an index, in seconds a beat. */
  static double period(double index) {
    return SHORTEST * Math.pow(LONGEST / SHORTEST, index / (PERIODS - 1.0));
  }

  private static int index(double period) {
    double index = (PERIODS - 1) * Math.log(period / SHORTEST) / Math.log(LONGEST / SHORTEST);
    return (int) Math.max(0, Math.min(PERIODS - 1, Math.round(index)));
  }

  private static double[] salience(
      float[] onsets, double hop, double centre, DoubleFFT_1D fft, int size) {
    int from = (int) Math.max(0, (centre - WINDOW_SECONDS / 2) / hop);
    int to = (int) Math.min(onsets.length, (centre + WINDOW_SECONDS / 2) / hop);
    int longest = Math.min(to - from - 1, (int) Math.ceil(MULTIPLES.length * LONGEST / hop) + 1);
    double[] products = new double[size];
    for (int i = from; i < to; i++) {
      products[i - from] = onsets[i];
    }
    autocorrelate(products, fft);
    double[] correlation = new double[Math.max(2, longest + 1)];
    for (int lag = 1; lag <= longest; lag++) {
      // Fewer products at long lags would favour quick tempi; half of that is taken back.
      correlation[lag] = products[lag] / Math.max(1, to - from - 0.5 * lag);
    }
    double[] salience = new double[PERIODS];
    double mean = 0;
    for (int p = 0; p < PERIODS; p++) {
      for (int m = 0; m < MULTIPLES.length; m++) {
        salience[p] += MULTIPLES[m] * at(correlation, (m + 1) * period(p) / hop);
      }
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

  /** The sums of products with what comes so many later (Wiener and Khinchin), in place. */
  private static void autocorrelate(double[] values, DoubleFFT_1D fft) {
    fft.realForward(values);
    values[0] *= values[0];
    values[1] *= values[1];
    for (int k = 2; k < values.length; k += 2) {
      values[k] = values[k] * values[k] + values[k + 1] * values[k + 1];
      values[k + 1] = 0;
    }
    fft.realInverse(values, true);
  }

  private static double at(double[] values, double index) {
    int i = (int) index;
    if (i + 1 >= values.length) {
      return 0;
    }
    return values[i] + (values[i + 1] - values[i]) * (index - i);
  }

  /** The smoothest strong path through the periods from one to another (Viterbi). */
  TempoCurve path(double shortest, double longest) {
    int low = index(shortest);
    int count = index(longest) - low + 1;
    int steps = salience.length;
    double[] best = new double[count];
    System.arraycopy(salience[0], low, best, 0, count);
    int[][] from = new int[steps][count];
    for (int s = 1; s < steps; s++) {
      double[] next = new double[count];
      for (int p = 0; p < count; p++) {
        double top = Double.NEGATIVE_INFINITY;
        for (int q = 0; q < count; q++) {
          double value = best[q] - CHANGE_COST * Math.min(Math.abs(p - q), 20);
          if (value > top) {
            top = value;
            from[s][p] = q;
          }
        }
        next[p] = top + salience[s][low + p];
      }
      best = next;
    }
    int p = 0;
    for (int q = 1; q < count; q++) {
      if (best[q] > best[p]) {
        p = q;
      }
    }
    double[] path = new double[steps];
    double strength = best[p] / steps;
    for (int s = steps - 1; s >= 0; s--) {
      path[s] = period(low + p);
      p = from[s][p];
    }
    return new TempoCurve(path, STEP_SECONDS, strength);
  }
}
