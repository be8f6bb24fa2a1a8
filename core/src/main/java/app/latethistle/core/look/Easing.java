package app.latethistle.core.look;

/** How a move gathers and loses speed. */
public enum Easing {
  /** At one speed. */
  EVEN,
  /** From rest. */
  SLOW_START,
  /** To rest. */
  SLOW_END,
  /** From rest to rest. */
  SLOW_BOTH;

  /**
   * How much of the way lies behind.
   *
   * @param time share of the time, 0 to 1
   */
  public double at(double time) {
    double t = Math.max(0, Math.min(1, time));
    return switch (this) {
      case EVEN -> t;
      case SLOW_START -> t * t;
      case SLOW_END -> t * (2 - t);
      case SLOW_BOTH -> t * t * (3 - 2 * t);
    };
  }
}
