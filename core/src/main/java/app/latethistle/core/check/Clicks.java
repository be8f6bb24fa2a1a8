package app.latethistle.core.check;

import app.latethistle.core.signal.Biquad;
import java.util.ArrayList;
import java.util.List;

/**
 * Finds clicks: what is heard above 12 kHz for a millisecond, and neither just before nor just
 * after. A sample that went wrong, or a join of sounds that do not meet, has as much up there as
 * below; voices and instruments have little, and what strikes or hisses goes on for longer.
 * (Foretelling samples, the usual way with old records, tells of the pulses of a voice: of ten
 * seconds of speech made by joining pieces it had 147 to tell.)
 */
final class Clicks {
  private static final double FROM = 12_000;

  /** Samples of a step: half a millisecond. */
  private static final int STEP = 24;

  /** Steps before and after that are compared: 10 ms. */
  private static final int AROUND = 20;

  /** Steps of a click and of what the filter makes of it: 1.5 ms to each side. */
  private static final int BESIDE = 3;

  /** How many times as loud as what is around it a click is: 20 dB (no source). */
  private static final double LOUD = 10;

  /** What is softer up there is not heard: -60 dBFS. */
  private static final double HEARD = 0.001;

  /** Clicks nearer than this are one: 20 ms. */
  private static final int ONE = 960;

  /** A filter without a bump. */
  private static final double Q = Math.sqrt(0.5);

  private final Biquad first = Biquad.lowCut(FROM, Q);
  private final Biquad second = Biquad.lowCut(FROM, Q);

  /** The steps of the last while, the oldest first. */
  private final double[] levels = new double[2 * AROUND + 1];

  private final List<Long> found = new ArrayList<>();
  private double energy;
  private int samples;
  private long steps;

  /** Takes every second value of a block from an offset on. */
  void add(float[] stereo, int offset, int count) {
    for (int i = 0; i < count; i++) {
      double high = second.next(first.next(stereo[2 * i + offset]));
      energy += high * high;
      if (++samples == STEP) {
        step(Math.sqrt(energy / STEP));
        energy = 0;
        samples = 0;
      }
    }
  }

  private void step(double level) {
    System.arraycopy(levels, 1, levels, 0, levels.length - 1);
    levels[levels.length - 1] = level;
    steps++;
    double here = levels[AROUND];
    if (steps > levels.length
        && here >= HEARD
        && here
            > LOUD * Math.max(mean(0, AROUND - BESIDE), mean(AROUND + BESIDE + 1, levels.length))) {
      long at = (steps - AROUND - 1) * STEP;
      if (found.isEmpty() || at - found.get(found.size() - 1) >= ONE) {
        found.add(at);
      }
    }
  }

  private double mean(int from, int to) {
    double sum = 0;
    for (int i = from; i < to; i++) {
      sum += levels[i] * levels[i];
    }
    return Math.sqrt(sum / (to - from));
  }

  /** The clicks so far, each by a sample within half a millisecond of it. */
  List<Long> found() {
    return found;
  }

  /** Those of both sides, in order, each once. */
  static List<Long> together(List<Long> left, List<Long> right) {
    List<Long> all = new ArrayList<>(left);
    all.addAll(right);
    all.sort(null);
    List<Long> once = new ArrayList<>();
    for (long sample : all) {
      if (once.isEmpty() || sample - once.get(once.size() - 1) >= ONE) {
        once.add(sample);
      }
    }
    return once;
  }
}
