package app.latethistle.server.film;

import app.latethistle.core.look.Easing;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * Where an upper layer lies over the time it is seen, as the page shows and sets it.
 *
 * @param points one for a layer that does not move
 * @param easing even if not given
 */
record LieView(List<LiePoint> points, @Schema(nullable = true) Easing easing) {

  /**
   * Where it lies at a time; see {@link Lie} for its units.
   *
   * @param at in thousandths of the time it is seen
   */
  record LiePoint(int at, int opacity, int size, int x, int y, int turn) {}

  static LieView of(LiePath path) {
    return new LieView(
        path.points().stream()
            .map(
                p ->
                    new LiePoint(
                        p.at(),
                        p.lie().opacity(),
                        p.lie().size(),
                        p.lie().x(),
                        p.lie().y(),
                        p.lie().turn()))
            .toList(),
        path.easing());
  }

  /** As the film keeps it. */
  LiePath path() {
    return new LiePath(
        points.stream()
            .map(p -> new LiePath.Point(p.at, new Lie(p.opacity, p.size, p.x, p.y, p.turn)))
            .toList(),
        easing == null ? Easing.EVEN : easing);
  }
}
