package app.latethistle.core.look;

import app.latethistle.core.Refused;
import app.latethistle.core.take.PictureShape;
import java.util.List;

/**
 * A camera's move over a take, from a first view to a last one, over the time the shot is seen: it
 * follows trims, and a shot that is split keeps its part of it in each half. Between its views it
 * stays inside the take, so that no edge is ever bare.
 *
 * @param points in order, two at least, the first at 0; after the last it holds
 * @param easing over its whole time
 * @param from how much of its time lies before the shot's start, 0 to 1
 * @param to how much of it lies before the shot's end, after {@code from}
 */
public record FramingPath(List<Point> points, Easing easing, double from, double to) {
  /**
   * A view at a time.
   *
   * @param at in thousandths of the path's time
   */
  public record Point(int at, View view) {}

  /**
   * Copies the list.
   *
   * @throws IllegalArgumentException if the points are not in order or fewer than two
   */
  public FramingPath {
    points = List.copyOf(points);
    if (points.size() < 2 || !Stations.rise(points, Point::at)) {
      throw new Refused(
          "A move goes through two views or more, each later than the one before, from the shot's"
              + " start to its end at most.");
    }
    if (!(from >= 0 && from < to && to <= 1)) {
      throw new Refused("A part of a move begins before it ends.");
    }
  }

  /** A move over the whole shot. */
  public static FramingPath of(View first, View last, Easing easing) {
    return new FramingPath(
        List.of(new Point(0, first), new Point(Stations.END, last)),
        easing,
        /* from= */ 0,
        /* to= */ 1);
  }

  /** A picture that is framed closer and does not move. */
  public static FramingPath still(View view) {
    return of(view, view, Easing.EVEN);
  }

  /** The view it begins with. */
  public View first() {
    return points.get(0).view;
  }

  /** The view it ends with. */
  public View last() {
    return points.get(points.size() - 1).view;
  }

  /**
   * What is seen at a time.
   *
   * @param time share of the shot's time, 0 to 1; before and after it as there
   * @param filmAspect width of the film's picture over its height
   */
  public Window at(double time, PictureShape clip, double filmAspect) {
    double within = from + (to - from) * Math.max(0, Math.min(1, time));
    double last = points.get(points.size() - 1).at / (double) Stations.END;
    double on = easing.at(within / last) * last * Stations.END;
    int next = Math.max(1, Stations.after(points, Point::at, on));
    Point a = points.get(next - 1);
    Point b = points.get(next);
    double share = Math.max(0, Math.min(1, (on - a.at) / (b.at - a.at)));
    return Window.of(a.view, clip, filmAspect)
        .towards(Window.of(b.view, clip, filmAspect), share)
        .within(clip);
  }

  /** The same with every view inside a take. */
  public FramingPath within(PictureShape clip, double filmAspect) {
    return new FramingPath(
        points.stream().map(p -> new Point(p.at, p.view.within(clip, filmAspect))).toList(),
        easing,
        from,
        to);
  }

  /** The part of it between two shares of the shot's time, for a part of the shot. */
  public FramingPath part(double start, double end) {
    double span = to - from;
    return new FramingPath(points, easing, from + span * start, from + span * end);
  }

  /**
   * How many of the film's pixels a pixel of the take fills, at a share of the shot's time.
   *
   * @param filmWidth of the film's picture, in pixels
   */
  public double fills(double time, PictureShape clip, int filmWidth, double filmAspect) {
    return filmWidth / at(time, clip, filmAspect).width();
  }
}
