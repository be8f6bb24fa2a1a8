package app.latethistle.core.look;

/**
 * Curves of the signal.
 *
 * @param luma of the brightness, which takes the colour along
 */
public record Curves(Curve luma, Curve red, Curve green, Curve blue) {
  /** All stays. */
  public static final Curves NONE =
      new Curves(Curve.STRAIGHT, Curve.STRAIGHT, Curve.STRAIGHT, Curve.STRAIGHT);
}
