package app.latethistle.server.demo;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
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
    double aspect = state.production().shape().aspect();
    Framing own = placement.framing().own();
    return Cropping.around(marked.marks(), own, marked.shape(), aspect, Cropping.CLOSEST)
        .map(
            crop -> {
              Film chosen =
                  Sources.choose(state.resolved(), placement.id(), marked, own).apply(state.film());
              return SetAspect.of(
                      Aspect.FRAMING, placement.id(), placement.framing().withOwn(crop.framing()))
                  .apply(chosen);
            });
  }
}
