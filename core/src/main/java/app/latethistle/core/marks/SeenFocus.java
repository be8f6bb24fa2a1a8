package app.latethistle.core.marks;

import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The focus of a shot where the film shows it.
 *
 * @param shot the id of its shot in the film
 * @param at the frames of the film in which the shot is seen
 * @param place what its places take up of the film's picture, each with a little round it
 */
public record SeenFocus(String shot, FrameRange at, Box place) {
  /** How far round a place counts, in parts of the take's sides: no source. */
  private static final double ROUND = 0.02;

  /**
   * The focuses of all shots of the cut that are seen in some of the film's frames.
   *
   * @param other the shape it is seen in, if that is not the film's own
   * @param shape of its pictures
   */
  public static List<SeenFocus> in(
      Resolved film, Optional<Shape> other, Shape shape, FrameRange frames) {
    double aspect = (double) shape.across() / shape.down();
    List<SeenFocus> all = new ArrayList<>();
    for (int i = 0; i < film.film().placements().size(); i++) {
      Placement shot = film.film().placements().get(i);
      Take take = shot.hasPicture() ? film.takes().get(shot.take()) : null;
      FrameRange at = film.cutting().seenOf(i);
      if (take != null && at.overlaps(frames)) {
        Framing framing = shot.framing().in(other, take.shape());
        shot.framing()
            .focus()
            .ifPresent(
                focus -> {
                  for (Focus.Point point : focus.shown().points()) {
                    SeenMark.place(framing, round(point), take.shape(), aspect)
                        .ifPresent(place -> all.add(new SeenFocus(shot.id(), at, place)));
                  }
                });
      }
    }
    return all;
  }

  /** Its place in parts of the picture's sides. */
  public Rectangle2D part() {
    return place.part();
  }

  private static Box round(Focus.Point point) {
    double x = point.x() / 1000.0;
    double y = point.y() / 1000.0;
    return new Box(x - ROUND, y - ROUND, x + ROUND, y + ROUND);
  }
}
