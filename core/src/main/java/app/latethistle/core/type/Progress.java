package app.latethistle.core.type;

import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.Order;

/** How far the units of a title are, 0 not there to 1 there. */
final class Progress {
  /** What a unit takes of the whole time, at least, where units follow each other (no source). */
  private static final double SHARE = 0.4;

  private Progress() {}

  /** How far a unit has come. */
  static double in(WrittenTitle title, int turn, int count, long frame) {
    Arrival in = title.movement().in();
    if (in.order().onClock() && !title.landings().isEmpty()) {
      int which = Math.min(turn, title.landings().size() - 1);
      long lands = title.landings().get(which);
      return in.isAtOnce() ? (frame >= lands ? 1 : 0) : share(frame - lands + in.frames(), in);
    }
    if (in.isAtOnce()) {
      return frame >= title.landing() ? 1 : 0;
    }
    return staggered(in, turn, count, frame - title.landing() + in.frames());
  }

  /** How much of a unit is still there. */
  static double out(WrittenTitle title, int turn, int count, long frame) {
    Arrival out = title.movement().out();
    if (out.isAtOnce()) {
      return 1;
    }
    return staggered(out, count - 1 - turn, count, title.range().end() - frame);
  }

  private static double staggered(Arrival arrival, int turn, int count, long time) {
    if (count == 1 || arrival.order() == Order.TOGETHER) {
      return share(time, arrival);
    }
    double own = arrival.frames() * Math.max(SHARE, 1.0 / count);
    double begins = (arrival.frames() - own) * turn / (count - 1);
    return clamp((time - begins) / own);
  }

  private static double share(long time, Arrival arrival) {
    return clamp((double) time / arrival.frames());
  }

  private static double clamp(double value) {
    return Math.max(0, Math.min(1, value));
  }
}
