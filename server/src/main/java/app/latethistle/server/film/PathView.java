package app.latethistle.server.film;

import app.latethistle.core.look.Easing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.View;
import app.latethistle.core.take.PictureShape;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A camera's move over a take, as the page shows and sets it.
 *
 * @param points what is seen at each of its times
 * @param fills how many of the film's pixels a pixel of the take fills at its first and its last
 *     frame; not asked for when it is set
 */
record PathView(List<PathPoint> points, Easing easing, @Schema(nullable = true) Fills fills) {

  /**
   * A view; see {@link View} for its units.
   *
   * @param at in thousandths of the shot's time
   */
  record PathPoint(int at, int size, int right, int down, int turn) {}

  /** Film pixels that a pixel of the take fills. */
  record Fills(double first, double last) {}

  static PathView of(FramingPath path, PictureShape clip, PictureShape film) {
    return new PathView(
        path.points().stream()
            .map(
                p ->
                    new PathPoint(
                        p.at(),
                        p.view().size(),
                        p.view().right(),
                        p.view().down(),
                        p.view().turn()))
            .toList(),
        path.easing(),
        new Fills(
            path.fills(0, clip, film.width(), film.aspect()),
            path.fills(1, clip, film.width(), film.aspect())));
  }

  /** As the film keeps it, over the whole of the shot. */
  FramingPath path() {
    return new FramingPath(
        points.stream()
            .map(p -> new FramingPath.Point(p.at, new View(p.size, p.right, p.down, p.turn)))
            .toList(),
        easing == null ? Easing.EVEN : easing,
        /* from= */ 0,
        /* to= */ 1);
  }
}
