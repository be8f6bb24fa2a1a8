package app.latethistle.core.marks;

import app.latethistle.core.film.Following;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Shape;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Where a place that is followed in a take is seen in the film's picture. */
public final class SeenTrail {
  private final List<Showing> showings;

  private SeenTrail(List<Showing> showings) {
    this.showings = showings;
  }

  /**
   * Of a film.
   *
   * @param other the shape it is seen in, if that is not the film's own
   * @param shape of its pictures
   * @return empty if the film does not show the take
   */
  public static Optional<SeenTrail> of(
      Resolved film, Following follows, Optional<Shape> other, Shape shape) {
    Take take = film.takes().get(follows.take());
    if (take == null) {
      return Optional.empty();
    }
    double aspect = (double) shape.across() / shape.down();
    List<Showing> showings = new ArrayList<>();
    for (Placement shot : film.film().placements()) {
      if (follows.take().equals(shot.take())) {
        showings.add(
            new Showing(film, shot, take, follows.trail(), other, aspect, Optional.empty()));
      }
    }
    for (Overlay over : film.film().overlays()) {
      if (follows.take().equals(over.placement().take())) {
        showings.add(
            new Showing(
                film,
                over.placement(),
                take,
                follows.trail(),
                other,
                aspect,
                Optional.of(over.lie())));
      }
    }
    return showings.isEmpty() ? Optional.empty() : Optional.of(new SeenTrail(showings));
  }

  /**
   * Where it is in a frame of the film, in shares of the picture's sides; where the take is not
   * seen, as where it is seen nearest in time.
   */
  public Trail.Place at(long frame) {
    Showing nearest = showings.get(0);
    for (Showing showing : showings) {
      nearest = showing.away(frame) < nearest.away(frame) ? showing : nearest;
    }
    return nearest.at(frame);
  }

  /**
   * As far as a place is known in a shot.
   *
   * @param shot the shot's id in the film
   * @param frames of the film in which it is known where it is; outside of them it stays
   * @param whole whether those are all in which the shot is seen
   */
  public record Known(String shot, FrameRange frames, boolean whole) {}

  /** As far as it is known in the first shot that shows the take. */
  public Known known() {
    return showings.get(0).known();
  }

  /**
   * Where a place is in its take's picture at even moments of a shot, the first and the last of its
   * frames among them.
   *
   * @param shot the shot's id
   * @return empty if the shot does not show the take
   */
  public static Optional<List<Trail.Place>> shown(
      Resolved film, String shot, Following follows, int moments) {
    Take take = film.takes().get(follows.take());
    return ItemKind.PLACEMENT
        .find(film.film(), shot)
        .filter(placement -> take != null && follows.take().equals(placement.take()))
        .map(
            placement -> {
              long length = film.rangeOf(shot).length();
              List<Trail.Place> places = new ArrayList<>();
              for (int i = 0; i < moments; i++) {
                long k = i * (length - 1) / Math.max(1, moments - 1);
                places.add(
                    follows
                        .trail()
                        .at(placement.run().frame(placement.in(), take.frames(), k, length)));
              }
              return places;
            });
  }

  /** One shot that shows the take. */
  private static final class Showing {
    private final Placement shot;
    private final Take take;
    private final Trail trail;
    private final FrameRange range;
    private final Framing framing;
    private final double aspect;
    private final Optional<LiePath> lie;

    Showing(
        Resolved film,
        Placement shot,
        Take take,
        Trail trail,
        Optional<Shape> other,
        double aspect,
        Optional<LiePath> lie) {
      this.shot = shot;
      this.take = take;
      this.trail = trail;
      this.aspect = aspect;
      this.lie = lie;
      range = film.rangeOf(shot.id());
      framing = shot.framing().in(other, take.shape());
    }

    long away(long frame) {
      return Math.max(0, Math.max(range.start() - frame, frame - range.end() + 1));
    }

    Known known() {
      if (trail.spots().size() == 1) {
        return new Known(shot.id(), range, /* whole= */ true);
      }
      long first = range.end();
      long last = range.start() - 1;
      for (long frame = range.start(); frame < range.end(); frame++) {
        double shown = shown(frame - range.start());
        if (shown > trail.from() - 1 && shown < trail.end()) {
          first = Math.min(first, frame);
          last = frame;
        }
      }
      return new Known(
          shot.id(),
          new FrameRange(Math.min(first, last + 1), last + 1),
          last - first + 1 == range.length());
    }

    /** The take's frame that the shot's frame k shows. */
    private double shown(long k) {
      return shot.run().frame(shot.in(), take.frames(), k, range.length());
    }

    Trail.Place at(long frame) {
      long k = Math.max(0, Math.min(range.length() - 1, frame - range.start()));
      double time = (k + 0.5) / range.length();
      Trail.Place in = trail.at(shown(k));
      Box there =
          SeenMark.through(
              SeenMark.window(framing, time, take.shape(), aspect),
              new Box(in.x(), in.y(), in.x(), in.y()),
              take.shape());
      if (lie.isEmpty()) {
        return new Trail.Place(there.left(), there.top());
      }
      LiePath.Moment lies = lie.get().at(time);
      double x = (there.left() - 0.5) * lies.size() * aspect;
      double y = (there.top() - 0.5) * lies.size();
      double cos = Math.cos(lies.turn());
      double sin = Math.sin(lies.turn());
      return new Trail.Place(lies.x() + (x * cos - y * sin) / aspect, lies.y() + x * sin + y * cos);
    }
  }
}
