package app.latethistle.core.look;

import java.util.List;
import java.util.function.ToIntFunction;

/** The times of something that goes through several places, in thousandths of its own time. */
final class Stations {
  /** The end of its time. */
  static final int END = 1000;

  private Stations() {}

  /** Whether the first is at 0, each is later than the one before, and none is after the end. */
  static <P> boolean rise(List<P> points, ToIntFunction<P> at) {
    if (points.isEmpty() || at.applyAsInt(points.get(0)) != 0) {
      return false;
    }
    for (int i = 1; i < points.size(); i++) {
      int now = at.applyAsInt(points.get(i));
      if (now <= at.applyAsInt(points.get(i - 1)) || now > END) {
        return false;
      }
    }
    return true;
  }

  /** The first of them at a time or after it, but the last one if all are before it. */
  static <P> int after(List<P> points, ToIntFunction<P> at, double time) {
    int next = 0;
    while (next < points.size() - 1 && at.applyAsInt(points.get(next)) < time) {
      next++;
    }
    return next;
  }
}
