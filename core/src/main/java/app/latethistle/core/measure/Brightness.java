package app.latethistle.core.measure;

import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Finds flicker: a brightness that leaves its course and comes back, again and again. */
final class Brightness {
  /** Codes it must leave its course by; 1.5 % of the range. */
  private static final double LEAST = 3.8;

  private static final int WINDOW = 9;
  private static final int TIMES = 3;

  private Brightness() {}

  /**
   * The spans in which it leaves its course at least three times a second.
   *
   * @param levels the mean of each frame, in codes
   */
  static List<FrameRange> flicker(double[] levels, double rate) {
    List<Integer> leaves = new ArrayList<>();
    boolean was = false;
    for (int i = 0; i < levels.length; i++) {
      boolean away = Math.abs(levels[i] - course(levels, i)) > LEAST;
      if (away && !was) {
        leaves.add(i);
      }
      was = away;
    }
    List<FrameRange> spans = new ArrayList<>();
    int from = 0;
    while (from + TIMES <= leaves.size()) {
      int to = from;
      while (to + 1 < leaves.size() && leaves.get(to + 1) - leaves.get(to) <= rate / 2) {
        to++;
      }
      int length = leaves.get(to) - leaves.get(from);
      if (to - from + 1 >= TIMES && (to - from) >= (TIMES - 1) * length / rate) {
        spans.add(new FrameRange(leaves.get(from), Math.min(levels.length, leaves.get(to) + 2)));
      }
      from = to + 1;
    }
    return spans;
  }

  private static double course(double[] levels, int at) {
    int from = Math.max(0, Math.min(levels.length - WINDOW, at - WINDOW / 2));
    double[] near = Arrays.copyOfRange(levels, from, Math.min(levels.length, from + WINDOW));
    Arrays.sort(near);
    return near[near.length / 2];
  }
}
