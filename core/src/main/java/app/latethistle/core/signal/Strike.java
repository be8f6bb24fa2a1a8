package app.latethistle.core.signal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A strike: a rise of the level by {@value #RISE} dB or more; where it begins is the sample that
 * parts the time around it best into two of different variance (the picker of Maeda 1985, after
 * Akaike's information criterion, known from earthquakes).
 *
 * @param sample at which it begins
 * @param strength its energy in the tenth of a second after it, of full scale
 */
public record Strike(long sample, double strength) {
  private static final int RATE = 48_000;
  private static final int STEP = RATE / 1000;

  /** Decibels by which a strike stands over what was before: what is less is a swell. */
  private static final double RISE = 6;

  /** Strike that are softer than the loudest moment by so many decibels are not heard. */
  private static final double SOFTEST = 40;

  /** Milliseconds before and after a moment whose levels are held against each other. */
  private static final int BEFORE = 25;

  private static final int AFTER = 6;

  /** No two strikes come within so many milliseconds. */
  private static final int APART = 60;

  /** Samples before and after a rise in which its beginning is sought. */
  private static final int LOOK_BACK = 20 * STEP;

  private static final int LOOK_ON = 8 * STEP;

  /**
   * The strikes of a sound, the strongest first.
   *
   * @param mono at 48 kHz
   */
  public static List<Strike> in(float[] mono) {
    int steps = mono.length / STEP;
    double[] energy = new double[steps + 1];
    for (int s = 0; s < steps; s++) {
      double sum = 0;
      for (int i = s * STEP; i < (s + 1) * STEP; i++) {
        sum += mono[i] * (double) mono[i];
      }
      energy[s + 1] = energy[s] + sum / STEP;
    }
    double loudest = 0;
    for (int s = 0; s + AFTER <= steps; s++) {
      loudest = Math.max(loudest, mean(energy, s, s + AFTER));
    }
    if (loudest == 0) {
      return List.of();
    }
    double floor = loudest * Math.pow(10, -(SOFTEST + RISE) / 10);
    double[] rise = new double[steps];
    for (int s = 0; s < steps; s++) {
      double now = mean(energy, s, Math.min(steps, s + AFTER));
      double was = mean(energy, Math.max(0, s - BEFORE), s);
      boolean heard = now > loudest * Math.pow(10, -SOFTEST / 10);
      rise[s] = heard ? 10 * Math.log10((now + floor) / (was + floor)) : 0;
    }
    List<Strike> found = new ArrayList<>();
    for (int s = 0; s < steps; s++) {
      if (rise[s] >= RISE && isHighest(rise, s)) {
        int at = beginning(mono, s * STEP);
        int from = at / STEP;
        double after = mean(energy, from, Math.min(steps, from + 100)) * 100 * STEP / RATE;
        found.add(new Strike(at, after));
      }
    }
    found.sort(Comparator.comparingDouble(Strike::strength).reversed());
    return List.copyOf(found);
  }

  private static double mean(double[] cumulative, int from, int to) {
    return to <= from ? 0 : (cumulative[to] - cumulative[from]) / (to - from);
  }

  private static boolean isHighest(double[] rise, int at) {
    for (int s = Math.max(0, at - APART); s < Math.min(rise.length, at + APART + 1); s++) {
      if (rise[s] > rise[at] || (rise[s] == rise[at] && s < at)) {
        return false;
      }
    }
    return true;
  }

  /** The sample at which two variances explain the time around best. */
  private static int beginning(float[] mono, int near) {
    int from = Math.max(0, near - LOOK_BACK);
    int to = Math.min(mono.length, near + LOOK_ON);
    int n = to - from;
    double[] squares = new double[n + 1];
    for (int i = 0; i < n; i++) {
      squares[i + 1] = squares[i] + mono[from + i] * (double) mono[from + i];
    }
    double silence = 1e-10;
    int best = from;
    double least = Double.MAX_VALUE;
    for (int k = 0; k < n; k++) {
      double before = (squares[k] + silence) / Math.max(1, k);
      double after = (squares[n] - squares[k] + silence) / (n - k);
      double value = k * Math.log(before) + (n - k) * Math.log(after);
      if (value < least) {
        least = value;
        best = from + k;
      }
    }
    return best;
  }
}
