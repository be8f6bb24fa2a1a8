package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * How an upper layer moves over the picture, from where it lies first to where it lies last, over
 * the time it is seen: it follows its ties.
 *
 * @param points in order, the first at 0; after the last it rests
 * @param easing over its whole time
 */
public record LiePath(List<Point> points, Easing easing) {
  /** Over the whole picture. */
  public static final LiePath WHOLE = still(Lie.WHOLE);

  private static final int MOST = 24;

  /**
   * Where it lies at a time.
   *
   * @param at in thousandths of the path's time
   */
  public record Point(int at, Lie lie) {}

  /**
   * Where it lies between two points; values as of {@link Lie}, not rounded.
   *
   * @param opacity 0 to 1
   * @param size of what covers the picture, 1 for as large
   * @param x of the film's width
   * @param y of its height
   * @param turn clockwise, in radians
   */
  public record Moment(double opacity, double size, double x, double y, double turn) {}

  /**
   * Copies the list.
   *
   * @throws IllegalArgumentException if the points are not in order
   */
  public LiePath {
    points = List.copyOf(points);
    if (points.size() > MOST || !Stations.rise(points, Point::at)) {
      throw new Refused(
          "What lies over the cut goes through 1 to "
              + MOST
              + " places, each later than the one before, from its start to its end at most.");
    }
  }

  /** A layer that does not move. */
  public static LiePath still(Lie lie) {
    return new LiePath(List.of(new Point(0, lie)), Easing.EVEN);
  }

  /** A layer that moves all the time it is seen. */
  public static LiePath of(Lie first, Lie last, Easing easing) {
    return new LiePath(List.of(new Point(0, first), new Point(Stations.END, last)), easing);
  }

  /** Where it lies first. */
  public Lie first() {
    return points.get(0).lie;
  }

  /** Whether it stays where it lies. */
  public boolean isStill() {
    return points.stream().allMatch(p -> p.lie.equals(first()));
  }

  /**
   * Where it lies at a time.
   *
   * @param time share of the time it is seen, 0 to 1; before and after it as there
   */
  public Moment at(double time) {
    double end = points.get(points.size() - 1).at / (double) Stations.END;
    double on = end == 0 ? 0 : easing.at(Math.max(0, Math.min(1, time / end))) * end * Stations.END;
    int next = Stations.after(points, Point::at, on);
    Point b = points.get(next);
    Point a = points.get(Math.max(0, next - 1));
    double share = b.at == a.at ? 1 : Math.max(0, Math.min(1, (on - a.at) / (b.at - a.at)));
    return new Moment(
        between(a.lie.opacity(), b.lie.opacity(), share) / 100,
        between(a.lie.size(), b.lie.size(), share) / 1000,
        between(a.lie.x(), b.lie.x(), share) / 1000,
        between(a.lie.y(), b.lie.y(), share) / 1000,
        Math.toRadians(between(a.lie.turn(), b.lie.turn(), share) / 100));
  }

  private static double between(int a, int b, double share) {
    return a + (b - a) * share;
  }
}
