package app.latethistle.server.film;

import app.latethistle.core.film.Following;
import app.latethistle.core.marks.SeenTrail;
import java.util.Optional;

/**
 * A place that is followed.
 *
 * @param shot the shot it is in, by its id in the film; "" if the film does not show it any more
 * @param start the first of the film's frames in which it is known where it is
 * @param end the one after the last
 * @param whole whether it is known in all of the shot
 */
record FollowedView(String shot, long start, long end, boolean whole) {
  static FollowedView of(FilmState state, Following follows) {
    return SeenTrail.of(state.resolved(), follows, Optional.empty(), state.shape())
        .map(SeenTrail::known)
        .map(k -> new FollowedView(k.shot(), k.frames().start(), k.frames().end(), k.whole()))
        .orElse(new FollowedView("", 0, 0, /* whole= */ false));
  }
}
