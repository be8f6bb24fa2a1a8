package app.latethistle.core.marks;

import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.View;
import app.latethistle.core.look.Window;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Optional;

/**
 * A mark where a shot of the film shows it.
 *
 * @param shot the id of its shot in the film
 * @param at the film's frames that show it
 * @param place what it takes up of the film's picture over that time
 */
public record SeenMark(String shot, FrameRange at, Box place) {
  /** Moments of a shot that are looked at, beside its first: a camera moves evenly between them. */
  private static final int MOMENTS = 10;

  /**
   * The marks that a shot of the cut shows, over the time it is seen.
   *
   * @param other the shape it is seen in, if that is not the film's own
   * @param shape of its pictures
   */
  public static List<SeenMark> of(
      Resolved film, Placement shot, Optional<Shape> other, Shape shape) {
    Take take = shot.hasPicture() ? film.takes().get(shot.take()) : null;
    if (take == null) {
      return List.of();
    }
    FrameRange at = film.cutting().seenOf(film.film().indexOfId(shot.id()));
    Framing framing = shot.framing().in(other, take.shape());
    return take.marks().stream()
        .flatMap(
            mark ->
                place(framing, mark, take.shape(), (double) shape.across() / shape.down()).stream())
        .map(place -> new SeenMark(shot.id(), at, place))
        .toList();
  }

  /** Its place in parts of the picture's sides. */
  public Rectangle2D part() {
    return place.part();
  }

  /**
   * What a mark takes up of the film's picture while its shot is seen.
   *
   * @param mark in the take
   * @param aspect the film's width over its height
   * @return empty if it is never seen
   */
  public static Optional<Box> place(Framing framing, Box mark, PictureShape clip, double aspect) {
    double left = 1;
    double top = 1;
    double right = 0;
    double bottom = 0;
    for (int i = 0; i <= MOMENTS; i++) {
      Window window = window(framing, (double) i / MOMENTS, clip, aspect);
      Box now = through(window, mark, clip);
      if (now.right() > 0 && now.left() < 1 && now.bottom() > 0 && now.top() < 1) {
        left = Math.min(left, Math.max(0, now.left()));
        top = Math.min(top, Math.max(0, now.top()));
        right = Math.max(right, Math.min(1, now.right()));
        bottom = Math.max(bottom, Math.min(1, now.bottom()));
      }
    }
    return left < right && top < bottom
        ? Optional.of(new Box(left, top, right, bottom))
        : Optional.empty();
  }

  /** What of the take the picture shows; of one that is shown whole, a window larger than it. */
  static Window window(Framing framing, double time, PictureShape clip, double aspect) {
    if (framing.path().isPresent()) {
      return framing.path().get().at(time, clip, aspect);
    }
    if (framing.fit() == Fit.FILL) {
      return FramingPath.still(View.WHOLE).at(time, clip, aspect);
    }
    double across = clip.width() * clip.pixelAspect();
    double down = clip.height();
    return new Window(
        across / 2, down / 2, Math.max(across, down * aspect), Math.max(down, across / aspect), 0);
  }

  /** Where a box of a take lies in a window on it, in parts of the window's sides. */
  static Box through(Window window, Box mark, PictureShape clip) {
    double across = clip.width() * clip.pixelAspect();
    double middleX = (mark.left() + mark.right()) / 2 * across - window.x();
    double middleY = (mark.top() + mark.bottom()) / 2 * clip.height() - window.y();
    double halfX = (mark.right() - mark.left()) / 2 * across;
    double halfY = (mark.bottom() - mark.top()) / 2 * clip.height();
    double cos = Math.cos(window.turn());
    double sin = Math.sin(window.turn());
    // The window is turned clockwise, so what it shows is turned the other way.
    double x = middleX * cos + middleY * sin;
    double y = middleY * cos - middleX * sin;
    double reachX = halfX * Math.abs(cos) + halfY * Math.abs(sin);
    double reachY = halfX * Math.abs(sin) + halfY * Math.abs(cos);
    return new Box(
        (x - reachX) / window.width() + 0.5,
        (y - reachY) / window.height() + 0.5,
        (x + reachX) / window.width() + 0.5,
        (y + reachY) / window.height() + 0.5);
  }
}
