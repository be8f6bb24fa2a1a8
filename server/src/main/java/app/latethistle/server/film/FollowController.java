package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Following;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.material.Pictures;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Titles and sounds that go with a place in a shot. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class FollowController {
  /** Frames beside those that a shot shows in which a place is followed too, for trims: 2 s. */
  private static final long BESIDE = 48;

  /** A place is followed over so many frames at most: reading them takes some seconds. */
  private static final long MOST = 900;

  private final FilmEdits edits;
  private final FilmService films;
  private final Pictures pictures;

  FollowController(FilmEdits edits, FilmService films, Pictures pictures) {
    this.edits = edits;
    this.films = films;
    this.pictures = pictures;
  }

  /**
   * Has a title or a sound go with a place.
   *
   * @param item the title's or the sound's id
   * @param shot the shot's, in the cut or over it
   * @param frame of the film in which the place is pointed at
   * @param x where it is in the take's picture, share of its width, 0 to 1
   * @param y share of its height
   */
  record FollowPlace(long revision, String item, String shot, long frame, double x, double y) {}

  record FollowNothing(long revision, String item) {}

  @PostMapping("/follow-place")
  FilmView follow(@PathVariable long productionId, @RequestBody FollowPlace f) {
    if (!(f.x() >= 0 && f.x() <= 1 && f.y() >= 0 && f.y() <= 1)) {
      throw new Refused("Point at a place in the shot's picture, not beside it.");
    }
    FilmState state = films.state(productionId);
    Resolved film = state.resolved();
    Placement shot =
        ItemKind.PLACEMENT
            .find(film.film(), f.shot())
            .filter(Placement::hasPicture)
            .orElseThrow(() -> new Refused("Choose a shot with a picture; a gap has none."));
    Take take = film.takes().get(shot.take());
    if (take == null) {
      throw new Refused("The take of that shot is not ready yet; wait until it is.");
    }
    FrameRange range = film.rangeOf(shot.id());
    long k = Math.max(0, Math.min(range.length() - 1, f.frame() - range.start()));
    long marked = Math.round(shot.run().frame(shot.in(), take.frames(), k, range.length()));
    FrameRange shown = film.shown(shot.id());
    long from = Math.max(marked - MOST / 2, Math.max(0, shown.start() - BESIDE));
    long to = Math.min(marked + MOST / 2, Math.min(take.frames(), shown.end() + BESIDE));
    FrameRange frames = new FrameRange(Math.min(from, marked), Math.max(to, marked + 1));
    Trail trail = pictures.trail(take.media(), film.rate(), marked, f.x(), f.y(), frames);
    Optional<Following> follows = Optional.of(new Following(take.id(), trail));
    return edits.make(
        productionId, f.revision(), now -> edit(now, f.item(), follows, "follow a place"));
  }

  @PostMapping("/follow-nothing")
  FilmView stay(@PathVariable long productionId, @RequestBody FollowNothing f) {
    return edits.make(
        productionId,
        f.revision(),
        now -> edit(now, f.item(), Optional.empty(), "follow a place no longer"));
  }

  private static Edit edit(
      FilmState state, String item, Optional<Following> follows, String called) {
    if (ItemKind.TITLE.find(state.film(), item).isPresent()) {
      return SetAspect.of(Aspect.TITLE_FOLLOWS, item, follows).called(called);
    }
    if (state.film().sound(item).isEmpty()) {
      throw new Refused("What was to follow is not in the film any more: " + item + ".");
    }
    return SetAspect.of(Aspect.SOUND_FOLLOWS, item, follows).called(called);
  }
}
