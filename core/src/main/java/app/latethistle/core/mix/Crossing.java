package app.latethistle.core.mix;

/**
 * How a part comes in and goes out while another goes out and comes in: with equal power, so that
 * two that have nothing in common are together as loud as each (a quarter of a sine and of a
 * cosine).
 *
 * @param rise samples over which it comes in; 0 if it is there at once
 * @param fall samples over which it goes out
 */
public record Crossing(long rise, long fall) {
  /** There at once, and gone at once. */
  public static final Crossing NONE = new Crossing(0, 0);

  /**
   * The factor at a sample.
   *
   * @param since samples since it began
   * @param left samples until it ends, 1 or more
   */
  double factor(long since, long left) {
    return quarter(since + 0.5, rise) * quarter(left - 0.5, fall);
  }

  private static double quarter(double within, long of) {
    return within >= of ? 1 : Math.sin(Math.PI / 2 * within / of);
  }
}
