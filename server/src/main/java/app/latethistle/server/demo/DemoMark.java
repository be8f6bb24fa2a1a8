package app.latethistle.server.demo;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Sources;
import app.latethistle.core.look.Framing;
import app.latethistle.core.marks.Cropping;
import app.latethistle.core.take.Take;
import app.latethistle.server.film.FilmState;
import java.util.Optional;

/** A shot of the demo that shows a take with a service's mark, framed so that it is not seen. */
final class DemoMark {
  private DemoMark() {}

  /**
   * The film with the take in its shot; empty if that is not cut, or it would have to come too
   * close.
   *
   * @param shot the shot's id
   */
  static Optional<Film> of(FilmState state, String shot, Take marked) {
    int place = state.film().indexOfShot(shot);
    if (place < 0 || marked.marks().isEmpty()) {
      return Optional.empty();
    }
    Placement placement = state.film().placementAt(place);
    double aspect =
        state.production().shape().width() / (double) state.production().shape().height();
    return Cropping.around(marked.marks(), Framing.FILL, marked.shape(), aspect, Cropping.CLOSEST)
        .map(crop -> Sources.choose(state.resolved(), placement.id(), marked, crop.framing()))
        .map(edit -> edit.apply(state.film()));
  }
}
