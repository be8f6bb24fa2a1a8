package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Following;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.material.Pictures;
import org.springframework.stereotype.Component;

/** Follows a place in the take that a shot shows. */
@Component
class PlaceFollowing {
  /** Frames beside those that a shot shows in which a place is followed too, for trims: 2 s. */
  private static final long BESIDE = 48;

  /** A place is followed over so many frames at most: reading them takes some seconds. */
  private static final long MOST = 900;

  private final Pictures pictures;

  PlaceFollowing(Pictures pictures) {
    this.pictures = pictures;
  }

  /**
   * Follows a place.
   *
   * @param shotId the shot's id, in the cut or over it
   * @param frame of the film in which the place is pointed at
   * @param x where it is in the take's picture, share of its width, 0 to 1
   * @param y share of its height
   * @throws IllegalArgumentException if it cannot be followed, with a sentence for the person
   */
  Following of(FilmState state, String shotId, long frame, double x, double y) {
    if (!(x >= 0 && x <= 1 && y >= 0 && y <= 1)) {
      throw new Refused("Point at a place in the shot's picture, not beside it.");
    }
    Resolved film = state.resolved();
    Placement shot =
        ItemKind.PLACEMENT
            .find(film.film(), shotId)
            .filter(Placement::hasPicture)
            .orElseThrow(() -> new Refused("Choose a shot with a picture; a gap has none."));
    Take take = film.takes().get(shot.take());
    if (take == null) {
      throw new Refused("The take of that shot is not ready yet; wait until it is.");
    }
    FrameRange range = film.rangeOf(shot.id());
    long k = Math.max(0, Math.min(range.length() - 1, frame - range.start()));
    long marked = Math.round(shot.run().frame(shot.in(), take.frames(), k, range.length()));
    FrameRange shown = film.shown(shot.id());
    long from = Math.max(marked - MOST / 2, Math.max(0, shown.start() - BESIDE));
    long to = Math.min(marked + MOST / 2, Math.min(take.frames(), shown.end() + BESIDE));
    FrameRange frames = new FrameRange(Math.min(from, marked), Math.max(to, marked + 1));
    Trail trail = pictures.trail(take.media(), film.rate(), marked, x, y, frames);
    return new Following(take.id(), trail);
  }
}
