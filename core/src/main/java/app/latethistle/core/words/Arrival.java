package app.latethistle.core.words;

/**
 * How a title comes, or the other way round goes.
 *
 * @param kind what is seen
 * @param unit what comes as one
 * @param order of the units
 * @param frames from when the first one begins to when all are there, 0 to 480
 * @param seed what chance hangs on
 */
public record Arrival(ArrivalKind kind, Unit unit, Order order, int frames, int seed) {
  /** At once. */
  public static final Arrival NONE =
      new Arrival(ArrivalKind.NONE, Unit.WHOLE, Order.TOGETHER, 0, 0);

  /**
   * @throws IllegalArgumentException if it takes too long
   */
  public Arrival {
    Range.check("A title's coming or going", frames, 0, 480, "frames");
  }

  /** As a whole. */
  public static Arrival whole(ArrivalKind kind, int frames) {
    return new Arrival(kind, Unit.WHOLE, Order.TOGETHER, frames, 0);
  }

  /** Letter by letter as they are read. */
  public static Arrival letters(ArrivalKind kind, int frames) {
    return new Arrival(kind, Unit.LETTER, Order.FORWARD, frames, 0);
  }

  /** Whether it takes no time. */
  public boolean isAtOnce() {
    return kind == ArrivalKind.NONE || frames == 0;
  }
}
