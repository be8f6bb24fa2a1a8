package app.latethistle.server.film;

import app.latethistle.core.look.Focus;
import java.util.List;

/**
 * What has to be seen of a take in every shape; see {@link Focus} for its units.
 *
 * @param points where it is, over the whole of the shot's time
 */
record FocusView(List<FocusPoint> points, int across, int down) {
  /** A place at a time. */
  record FocusPoint(int at, int x, int y) {}

  /** What a shot shows of a focus. */
  static FocusView of(Focus whole) {
    Focus focus = whole.shown();
    return new FocusView(
        focus.points().stream().map(p -> new FocusPoint(p.at(), p.x(), p.y())).toList(),
        focus.across(),
        focus.down());
  }

  /** As the film keeps it, over the whole of the shot. */
  Focus focus() {
    return new Focus(
        points.stream().map(p -> new Focus.Point(p.at, p.x, p.y)).toList(),
        across,
        down,
        /* from= */ 0,
        /* to= */ 1);
  }
}
