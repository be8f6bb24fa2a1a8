package app.latethistle.core.look;

import app.latethistle.core.Refused;
import app.latethistle.core.measure.Trail;
import java.util.ArrayList;
import java.util.List;

/**
 * What of a take has to be seen in every shape the film leaves in: a place, which may move over the
 * shot's time, and how large what matters there is. A shot that is split keeps its part of it.
 *
 * @param points in order, one at least, the first at 0
 * @param across how wide what matters is, in thousandths of the take's width, 0 to 1000
 * @param down how high, of its height
 * @param from how much of its time lies before the shot's start, 0 to 1
 * @param to how much of it lies before the shot's end, after {@code from}
 */
public record Focus(List<Point> points, int across, int down, double from, double to) {
  private static final int WHOLE = 1000;

  /**
   * A place at a time.
   *
   * @param at in thousandths of the focus's time
   * @param x in thousandths of the take's width, from its left edge
   * @param y in thousandths of its height, from its top
   */
  public record Point(int at, int x, int y) {
    /**
     * @throws IllegalArgumentException if it lies outside the take
     */
    public Point {
      if (x < 0 || x > WHOLE || y < 0 || y > WHOLE) {
        throw new Refused("A focus lies within the take, not beside it.");
      }
    }

    /** The same place at another time. */
    Point at(int other) {
      return new Point(other, x, y);
    }
  }

  /**
   * One that goes through places at even times of its shot; those beside the take are at its edge.
   *
   * @param across how wide what matters is, in thousandths of the take's width
   * @param down how high, of its height
   */
  public static Focus through(List<Trail.Place> places, int across, int down) {
    List<Point> points = new ArrayList<>();
    int last = Math.max(1, places.size() - 1);
    for (Trail.Place place : places) {
      points.add(
          new Point(points.size() * WHOLE / last, thousandths(place.x()), thousandths(place.y())));
    }
    return new Focus(points, across, down, /* from= */ 0, /* to= */ 1);
  }

  private static int thousandths(double share) {
    return (int) Math.round(WHOLE * Math.max(0, Math.min(1, share)));
  }

  /**
   * Copies the list.
   *
   * @throws IllegalArgumentException if the points are not in order, or a size is out of its range
   */
  public Focus {
    points = List.copyOf(points);
    if (!Stations.rise(points, Point::at)) {
      throw new Refused(
          "A focus goes through places each later than the one before, from the shot's start to"
              + " its end at most.");
    }
    if (across < 0 || across > WHOLE || down < 0 || down > WHOLE) {
      throw new Refused("What matters in a take is at most as large as the take.");
    }
    if (!(from >= 0 && from < to && to <= 1)) {
      throw new Refused("A part of a focus begins before it ends.");
    }
  }

  /** The part of it between two shares of the shot's time. */
  Focus part(double start, double end) {
    double span = to - from;
    return new Focus(points, across, down, from + span * start, from + span * end);
  }

  /** What of it the shot shows, over the whole of the shot's time; places and times are rounded. */
  public Focus shown() {
    if (points.size() == 1 || (from == 0 && to == 1)) {
      return new Focus(points, across, down, /* from= */ 0, /* to= */ 1);
    }
    double start = from * WHOLE;
    double span = (to - from) * WHOLE;
    List<Point> shown = new ArrayList<>();
    shown.add(place(start).at(0));
    for (Point p : points) {
      int at = (int) Math.round((p.at - start) / span * WHOLE);
      if (at > shown.get(shown.size() - 1).at && at < WHOLE) {
        shown.add(p.at(at));
      }
    }
    shown.add(place(start + span).at(WHOLE));
    return new Focus(shown, across, down, /* from= */ 0, /* to= */ 1);
  }

  /** A camera that keeps it in the middle, enlarged and turned as a view says. */
  FramingPath followedBy(View view) {
    List<FramingPath.Point> stations =
        points.stream().map(p -> new FramingPath.Point(p.at, onto(p, view))).toList();
    if (stations.size() == 1) {
      View only = stations.get(0).view();
      stations = List.of(new FramingPath.Point(0, only), new FramingPath.Point(WHOLE, only));
    }
    return new FramingPath(stations, Easing.EVEN, from, to);
  }

  /** A camera's own move, with the focus in its middle at each of its views. */
  FramingPath alongWith(FramingPath path) {
    return new FramingPath(
        path.points().stream()
            .map(p -> new FramingPath.Point(p.at(), onto(place(p.at()), p.view())))
            .toList(),
        path.easing(),
        path.from(),
        path.to());
  }

  private static View onto(Point p, View view) {
    return new View(view.size(), 10 * (p.x - WHOLE / 2), 10 * (p.y - WHOLE / 2), view.turn());
  }

  /** Where it is at a time, in thousandths of its time; between its points evenly. */
  private Point place(double at) {
    int next = 0;
    while (next < points.size() && points.get(next).at < at) {
      next++;
    }
    if (next == 0 || next == points.size()) {
      return points.get(next == 0 ? 0 : next - 1);
    }
    Point a = points.get(next - 1);
    Point b = points.get(next);
    double share = (at - a.at) / (b.at - a.at);
    return new Point(
        (int) Math.round(at),
        (int) Math.round(a.x + share * (b.x - a.x)),
        (int) Math.round(a.y + share * (b.y - a.y)));
  }
}
