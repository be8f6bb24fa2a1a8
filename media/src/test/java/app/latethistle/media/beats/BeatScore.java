package app.latethistle.media.beats;

import java.util.List;

/** The F-measure of Dixon (2007): hits within +-70 ms, each beat used once, first 5 s left out. */
final class BeatScore {
  private static final double WINDOW = 0.070;
  private static final double LEFT_OUT = 5;

  private BeatScore() {}

  static double f(List<Double> truth, List<Double> found) {
    List<Double> a = truth.stream().filter(t -> t >= LEFT_OUT).toList();
    List<Double> b = found.stream().filter(t -> t >= LEFT_OUT).toList();
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
}
