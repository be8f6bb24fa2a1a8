package app.latethistle.core.type;

import app.latethistle.core.words.ArrivalKind;
import java.util.Random;

/**
 * How a unit stands while it comes or goes.
 *
 * @param right how far it is to the right of its place, in its letters' size
 * @param down how far below its place
 * @param size of its own, 1 for as it lands
 * @param opacity 0 to 1
 * @param shown the share of it that is uncovered, from where reading begins
 * @param spread how far its line is spread, 0 for as it lands
 * @param drawn the share of its outline that is drawn; 1 where it is not drawn but filled
 */
record Pose(
    double right,
    double down,
    double size,
    double opacity,
    double shown,
    double spread,
    double drawn) {
  static final Pose THERE = new Pose(0, 0, 1, 1, 1, 0, 1);
  private static final Pose GONE = new Pose(0, 0, 1, 0, 1, 0, 1);

  /** Shares of the time and sizes of the movements are of our own choosing, no source. */
  private static final double RISE = 0.33;

  private static final double HALF = 0.5;
  private static final double ABOVE = 1.35;
  private static final double UNDER = 0.96;
  private static final double PAST = 0.7;
  private static final double SPREAD = 0.6;
  private static final double OUTLINED = 0.6;
  private static final int FLICKERS = 8;

  /**
   * The pose of a unit.
   *
   * @param progress 0 not there to 1 there
   * @param chance what a flicker hangs on
   */
  static Pose of(ArrivalKind kind, double progress, int chance) {
    if (progress >= 1) {
      return THERE;
    }
    if (progress <= 0) {
      return GONE;
    }
    double rest = Math.pow(1 - progress, 3);
    double near = 1 - rest;
    return switch (kind) {
      case NONE, TYPE -> GONE;
      case FADE, CLEAR -> new Pose(0, 0, 1, progress, 1, 0, 1);
      case RISE -> new Pose(0, RISE * rest, 1, near, 1, 0, 1);
      case SLIDE -> new Pose(-rest, 0, 1, near, 1, 0, 1);
      case GROW -> new Pose(0, 0, HALF + HALF * near, near, 1, 0, 1);
      case CLOSE -> new Pose(0, 0, 1, near, 1, SPREAD * rest, 1);
      case WIPE -> new Pose(0, 0, 1, 1, progress, 0, 1);
      case DRAW -> new Pose(0, 0, 1, 1, 1, 0, progress);
      case FLICKER -> flicker(progress, chance);
      case SETTLE -> settle(progress);
    };
  }

  private static Pose flicker(double progress, int chance) {
    int step = (int) (progress * FLICKERS);
    boolean on = new Random(chance * 31L + step).nextInt(FLICKERS) <= step;
    // Until it stays it is never as light as it will be.
    return new Pose(0, 0, 1, on ? 0.6 + 0.3 * progress : 0.1, 1, 0, 1);
  }

  private static Pose settle(double progress) {
    double size =
        progress < PAST
            ? ABOVE + (UNDER - ABOVE) * (1 - Math.pow(1 - progress / PAST, 2))
            : UNDER + (1 - UNDER) * (progress - PAST) / (1 - PAST);
    return new Pose(0, 0, size, Math.min(1, 2 * progress), 1, 0, 1);
  }

  /** The share of the fill that is there while an outline is drawn. */
  double filled() {
    return drawn >= 1 ? 1 : Math.max(0, (drawn - OUTLINED) / (1 - OUTLINED));
  }

  /** The share of the outline that is drawn. */
  double outlined() {
    return Math.min(1, drawn / OUTLINED);
  }

  /** Both at once: how it comes and how it goes. */
  Pose and(Pose other) {
    return new Pose(
        right + other.right,
        down + other.down,
        size * other.size,
        opacity * other.opacity,
        Math.min(shown, other.shown),
        spread + other.spread,
        Math.min(drawn, other.drawn));
  }
}
