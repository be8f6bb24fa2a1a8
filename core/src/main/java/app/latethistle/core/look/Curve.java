package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * A curve of the signal through points; level before the first and after the last. Without points
 * it leaves all as it is.
 *
 * @param points from left to right, none or 2 to 8
 */
public record Curve(List<Point> points) {
  /** Points that a hand can still hold apart. */
  public static final int MOST = 8;

  /** All stays. */
  public static final Curve STRAIGHT = new Curve(List.of());

  /**
   * What becomes of a value.
   *
   * @param from in thousandths of the signal, 0 to 1000
   * @param to likewise
   */
  public record Point(int from, int to) {
    public Point {
      if (from < 0 || from > 1000 || to < 0 || to > 1000) {
        throw new Refused("A curve's points lie between 0 and 1000, not at " + from + ", " + to);
      }
    }
  }

  /**
   * @throws IllegalArgumentException if there are too few or too many, or two at one place
   */
  public Curve {
    points = List.copyOf(points);
    if (points.size() == 1 || points.size() > MOST) {
      throw new Refused("A curve has 2 to " + MOST + " points, not " + points.size() + ".");
    }
    for (int i = 1; i < points.size(); i++) {
      if (points.get(i).from <= points.get(i - 1).from) {
        throw new Refused("A curve's points go from left to right, each at its own place.");
      }
    }
  }
}
