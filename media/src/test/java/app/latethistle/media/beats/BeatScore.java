package app.latethistle.media.beats;

import java.util.ArrayList;
import java.util.List;

/** Measures of beat tracking; the first 5 s are left out, as is usual. */
final class BeatScore {
  private static final double WINDOW = 0.070;
  private static final double LEFT_OUT = 5;
  private static final double CONTINUOUS = 0.175;

  private BeatScore() {}

  /** The F-measure of Dixon (2007): hits within +-70 ms, each beat used once. */
  static double f(List<Double> truth, List<Double> found) {
    List<Double> a = late(truth);
    List<Double> b = late(found);
    int hits = 0;
    int j = 0;
    for (double time : a) {
      while (j < b.size() && b.get(j) < time - WINDOW) {
        j++;
      }
      if (j < b.size() && b.get(j) <= time + WINDOW) {
        hits++;
        j++;
      }
    }
    return a.isEmpty() && b.isEmpty() ? 1 : 2.0 * hits / (a.size() + b.size());
  }

  /**
   * AMLt of Davies, Degara and Plumbley (2009): the share of beats whose place and period are right
   * within 17.5 % of the period, at the annotated level, off the beat, or at twice or half of it.
   */
  static double amlt(List<Double> truth, List<Double> found) {
    List<Double> a = late(truth);
    List<Double> b = late(found);
    List<Double> twice = new ArrayList<>();
    for (int i = 0; i < a.size(); i++) {
      if (i > 0) {
        twice.add((a.get(i - 1) + a.get(i)) / 2);
      }
      twice.add(a.get(i));
    }
    double best = 0;
    for (List<Double> level :
        List.of(a, every(twice, 2, 1), twice, every(a, 2, 0), every(a, 2, 1))) {
      best = Math.max(best, continuous(level, b));
    }
    return best;
  }

  private static List<Double> late(List<Double> times) {
    return times.stream().filter(t -> t >= LEFT_OUT).toList();
  }

  private static List<Double> every(List<Double> times, int step, int from) {
    List<Double> some = new ArrayList<>();
    for (int i = from; i < times.size(); i += step) {
      some.add(times.get(i));
    }
    return some;
  }

  private static double continuous(List<Double> truth, List<Double> found) {
    if (truth.size() < 2 || found.size() < 2) {
      return 0;
    }
    int right = 0;
    int near = 0;
    for (int j = 0; j < found.size(); j++) {
      double time = found.get(j);
      while (near + 1 < truth.size()
          && Math.abs(truth.get(near + 1) - time) <= Math.abs(truth.get(near) - time)) {
        near++;
      }
      double period =
          near > 0 ? truth.get(near) - truth.get(near - 1) : truth.get(1) - truth.get(0);
      double its = j > 0 ? time - found.get(j - 1) : found.get(1) - found.get(0);
      boolean placed = Math.abs(truth.get(near) - time) < CONTINUOUS * period;
      right += placed && Math.abs(1 - its / period) < CONTINUOUS ? 1 : 0;
    }
    return (double) right / Math.max(truth.size(), found.size());
  }
}
